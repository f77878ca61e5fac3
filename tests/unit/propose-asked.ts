import { USUAL_PACE } from '../../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import type { Group } from '../../src/lib/core/group';
import { emptyPlan, itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import {
	proposeClasses,
	type ClassRequest,
	type Proposal,
	type ProposeContext,
	type Wishes
} from '../../src/lib/core/propose';

/** Enough for a valid class; how good it is, is the bench's business. */
const LITTLE = { roughSteps: 300, starts: 1, steps: 2500, mostStarts: 6 };

export const contextFor = (group: Group, taughtBefore: string[] | null = null): ProposeContext => ({
	pace: USUAL_PACE,
	catalogue: CATALOGUE,
	find: findMovement,
	targets: group.targets,
	group,
	known: taughtBefore && { slugs: taughtBefore, from: 'taught' }
});

export const ask = (
	group: Group,
	minutes: number,
	wishes: Wishes = {},
	more: Partial<ClassRequest> = {}
): ClassRequest => ({
	base: emptyPlan('Proposed', group.startsAt, 60 * minutes),
	wishes,
	context: contextFor(group),
	seed: 7,
	count: 1,
	work: LITTLE,
	...more
});

const made = new Map<string, Proposal[]>();

/** All proposals at once; what is asked for again is not made again. */
export function proposals(asked: ClassRequest): Proposal[] {
	const { context, ...rest } = asked;
	const { catalogue, find: _find, ...of } = context;
	const key = JSON.stringify([rest, of, catalogue.length]);
	const known = made.get(key) ?? proposedAnew(asked);
	made.set(key, known);
	return known;
}

/** The same, made anew: to see that a seed gives the same again. */
export const proposedAnew = (asked: ClassRequest): Proposal[] =>
	[...proposeClasses(asked)].filter(({ done }) => done).map(({ proposal }) => proposal);

export const slugsOf = (plan: ClassPlan) => itemsOf(plan).map((item) => item.movement);
