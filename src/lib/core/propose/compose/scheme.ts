import { SECTION_KINDS, type SectionKind } from '../../plan';
import { STATIONS, type Station } from '../pool/stations';
import type { Draft, DraftItem, Unit } from './draft';
import type { Candidate } from './candidates';
import type { CandidatePools } from './pools';
import type { Task } from './task';
import { stationsOf } from './ways';

/**
 * A class as the search changes it: section by section, the build as one episode for each theme. Resets are added
 * afterwards, where a heavy block ends.
 */
export interface Scheme {
	settle: readonly Unit[];
	warm: readonly Unit[];
	/** In the order of the class: the one before the peak is about the first theme. */
	episodes: readonly { theme: number; units: readonly Unit[] }[];
	peak: readonly Unit[];
	release: readonly Unit[];
	rest: readonly Unit[];
}

/** Returns a block of one item. */
export const singleItemUnit = (candidate: Candidate, sets = 1): Unit => ({
	parts: [{ candidate, sets }],
	theme: null,
	rank: null
});

/** From this demand on a block wants something after it that lets go. */
const HEAVY = 4;
/** A class has one thing that lets go between for each share of this length. Common practice, no source. */
const ONE_RESET_IN_SECONDS = 900;

const demandOf = ({ parts }: Unit) =>
	Math.max(...parts.map(({ candidate }: DraftItem) => candidate.traits.demand));
const isHeavy = (unit: Unit) =>
	demandOf(unit) >= HEAVY || unit.parts.some(({ sets, candidate }) => sets > 1 && candidate.traits.strong);
const letsGo = ({ parts }: Unit) =>
	parts.every(({ candidate: { traits } }) => traits.reset || (traits.demand <= 1.5 && !traits.sided));

/** The class that a scheme becomes: each part along its way, with what lets go between, and pauses. */
export function draftOfScheme(
	{ settle, warm, episodes, peak, release, rest }: Scheme,
	{ resets }: CandidatePools,
	{ story: { way }, keep: { closed }, classSeconds }: Pick<Task, 'story' | 'keep' | 'classSeconds'>
): Draft {
	const along = (kind: SectionKind, units: readonly Unit[], episode = 0) =>
		alongTheWay(units, stationsOf(way, kind, episode, episodes.length));
	const easing = new Easing(resets, Math.max(1, Math.round(classSeconds / ONE_RESET_IN_SECONDS)));
	const parts = episodes.map(({ units }, e) => along('build', units, e));
	const peakUnits = along('peak', peak);
	const build = closed.has('build')
		? parts.flat()
		: parts.flatMap((units, e) => easing.eased(units, parts[e + 1]?.[0] ?? peakUnits[0]));
	const ends = along('release', release).map((unit, i, all): Unit => {
		const last = i === all.length - 1 && i > 0;
		return last && unit.parts.length === 1 && !unit.kept ? { ...unit, notice: true } : unit;
	});
	return SECTION_KINDS.map(
		(kind) =>
			({
				settle,
				warm: along('warm', warm),
				build,
				peak: closed.has('peak') ? peak : easing.eased(peakUnits, undefined),
				release: ends,
				rest
			})[kind]
	);
}

/** Blocks in the order of the stations; what was there already keeps its order, and the others go where it stands. */
function alongTheWay(units: readonly Unit[], stations: readonly Station[]): readonly Unit[] {
	if (units.length < 2 || stations === STATIONS) return units;
	let reached = 0;
	const keyed = units.map((unit) => {
		const index = stations.indexOf(unit.parts[0]!.candidate.station);
		if (!unit.kept) return { unit, at: index < 0 ? stations.length : index };
		reached = Math.max(reached, index);
		return { unit, at: reached };
	});
	if (keyed.every(({ at }, i) => i === 0 || keyed[i - 1]!.at <= at)) return units;
	return keyed.sort((a, b) => a.at - b.at).map(({ unit }) => unit);
}

/** Puts what lets go between heavy blocks of one class, each thing once before any comes again. */
class Easing {
	private readonly given = new Map<Candidate, number>();

	constructor(
		private readonly resets: CandidatePools['resets'],
		private left: number
	) {}

	/** A run of blocks with what lets go after heavy ones, and a pause for noticing at its end. */
	eased(units: readonly Unit[], goesOn: Unit | undefined): Unit[] {
		const run: Unit[] = [];
		for (const [i, unit] of units.entries()) {
			const next = units[i + 1] ?? goesOn;
			const last = i === units.length - 1;
			const reset =
				isHeavy(unit) && !letsGo(unit) && !(next && letsGo(next)) && (last || (next && isHeavy(next)))
					? this.resetAt(unit.parts.at(-1)!.candidate.station)
					: null;
			if (!last) run.push(unit);
			else if (reset) run.push(unit);
			else run.push(unit.parts.length === 1 && !unit.kept ? { ...unit, notice: true } : unit);
			if (reset) run.push(last ? { ...reset, notice: true } : reset);
		}
		return run;
	}

	/** Returns what lets go at a station, the one that came least often; null where there is none left. */
	private resetAt(station: Station): Unit | null {
		const all = this.resets.get(station) ?? [];
		if (this.left === 0 || all.length === 0) return null;
		const times = (one: Candidate) => this.given.get(one) ?? 0;
		const candidate = all.reduce((least, one) => (times(one) < times(least) ? one : least));
		this.given.set(candidate, times(candidate) + 1);
		this.left -= 1;
		return singleItemUnit(candidate);
	}
}
