import { clock, timedItems, type Timeline } from '../../clock';
import type { Group } from '../../group';
import type { FindMovement } from '../../movement';
import type { PaceModel } from '../../pace';
import { blocksOf, type ClassPlan } from '../../plan';
import { GUARDS, TERMS, type GuardId, type TermId } from './amounts';
import { scoredItems, type ClassFeatures } from './features';
import { guardsOf } from './guards';
import { termsOf } from './terms';
import { Kinds } from './traits';

/** The score of a class: points in all, and points of each part. */
export interface Worth {
	total: number;
	parts: Record<TermId | GuardId, number>;
}

/** Reads a plan for the objective. */
export function readingOf(
	plan: ClassPlan,
	find: FindMovement,
	group: Pick<Group, 'purposes'> | null,
	pace: PaceModel
): ClassFeatures {
	const timeline = clock(plan, find, pace);
	const items = timedItems(plan, find, timeline);
	const kinds = new Kinds(items.map(({ movement }) => movement));
	return {
		kinds,
		steps: scoredItems(plan, items, timeline.totalSeconds, kinds),
		wordsBefore: wordsBefore(plan),
		transitionShare: shareOfTransitions(timeline),
		purposes: new Set(group?.purposes ?? [])
	};
}

/** Returns the score of a plan as a class, in points; more is better. */
export function worthOf(
	plan: ClassPlan,
	find: FindMovement,
	group: Pick<Group, 'purposes'> | null,
	pace: PaceModel
): Worth {
	return worth(readingOf(plan, find, group, pace));
}

function shareOfTransitions({ entries, totalSeconds }: Timeline): number {
	const lost = entries.filter(({ phase }) => phase === 'move' || phase === 'fetch');
	return lost.reduce((sum, e) => sum + e.toSeconds - e.fromSeconds, 0) / Math.max(1, totalSeconds);
}

function wordsBefore(plan: ClassPlan): number[] {
	const words: number[] = [];
	let steps = 0;
	for (const { block } of blocksOf(plan)) {
		if (block.kind === 'talk') words.push(steps);
		else if (block.kind === 'item') steps += 1;
		else if (block.kind !== 'test') steps += block.items.length;
	}
	return words;
}

/** Returns the score of a class from its features. */
export function worth(reading: ClassFeatures): Worth {
	const { steps } = reading;
	const parts = {} as Worth['parts'];
	if (steps.length === 0) {
		for (const id of [...Object.keys(TERMS), ...Object.keys(GUARDS)] as (TermId | GuardId)[]) parts[id] = 0;
		return { total: 0, parts };
	}
	const values = termsOf(reading);
	const counts = guardsOf(reading);
	for (const [id, { points, cap }] of Object.entries(TERMS) as [TermId, (typeof TERMS)[TermId]][])
		parts[id] = points * Math.min(cap, values[id]);
	for (const [id, { points, most }] of Object.entries(GUARDS) as [GuardId, (typeof GUARDS)[GuardId]][])
		parts[id] = -Math.min(most, points * Math.max(0, counts[id]));
	return { total: Object.values(parts).reduce((sum, part) => sum + part, 0), parts };
}
