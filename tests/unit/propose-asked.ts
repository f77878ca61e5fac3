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

export const settingFor = (group: Group, taughtBefore: string[] | null = null): ProposeContext => ({ pace: USUAL_PACE,
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
	setting: settingFor(group),
	seed: 7,
	count: 1,
	work: LITTLE,
	...more
});

/** All proposals at once. */
export const proposals = (asked: ClassRequest): Proposal[] =>
	[...proposeClasses(asked)].filter(({ done }) => done).map(({ proposal }) => proposal);

export const slugsOf = (plan: ClassPlan) => itemsOf(plan).map((item) => item.movement);
