import type { SectionKind } from '../../plan';
import type { Random } from '../pool/random';
import { changedAt } from './moves';
import type { Place } from './places';
import type { CandidatePools } from './pools';
import { draftOfScheme, type Scheme } from './scheme';
import type { Task } from './task';
import { valueOf } from './value';

/** The last part of the steps in which nothing worse is taken. */
const GREEDY_TAIL_FRACTION = 0.15;
/** Temperature at the start of annealing, in points. */
const INITIAL_TEMPERATURE = 0.8;

/** One small change of a scheme; null where it comes to nothing. */
function changed(scheme: Scheme, task: Task, pools: CandidatePools, random: Random): Scheme | null {
	const place = placeIn(scheme, task.keep.closed, random);
	return place && changedAt(place, scheme, task, pools, random);
}

/** A place to change, the longer lists more often; null where nothing may be put anywhere. */
function placeIn(
	{ episodes, peak, warm, release }: Scheme,
	closed: ReadonlySet<SectionKind>,
	random: Random
): Place | null {
	const places: { place: Place; weight: number }[] = [];
	if (!closed.has('warm')) places.push({ place: { kind: 'warm' }, weight: warm.length + 1 });
	if (!closed.has('build'))
		for (const [at, { units }] of episodes.entries())
			places.push({ place: { kind: 'build', at }, weight: units.length + 1 });
	if (!closed.has('peak')) places.push({ place: { kind: 'peak' }, weight: peak.length + 2 });
	if (!closed.has('release')) places.push({ place: { kind: 'release' }, weight: release.length + 1 });
	let left = random() * places.reduce((sum, { weight }) => sum + weight, 0);
	for (const { place, weight } of places) {
		left -= weight;
		if (left < 0) return place;
	}
	return places.at(-1)?.place ?? null;
}

/** Makes a scheme better by small changes; at first also worse ones are taken. */
export function anneal(
	start: Scheme,
	task: Task,
	pools: CandidatePools,
	random: Random,
	steps: number
): { scheme: Scheme; value: number } {
	let now = start;
	let value = valueOf(draftOfScheme(now, pools, task), task);
	let best = { scheme: now, value };
	for (let step = 0; step < steps; step++) {
		const next = changed(now, task, pools, random);
		if (!next) continue;
		const then = valueOf(draftOfScheme(next, pools, task), task);
		const temperature = INITIAL_TEMPERATURE * Math.max(0, 1 - step / steps / (1 - GREEDY_TAIL_FRACTION));
		if (then < value - temperature * random()) continue;
		now = next;
		value = then;
		if (value > best.value) best = { scheme: now, value };
	}
	return best;
}
