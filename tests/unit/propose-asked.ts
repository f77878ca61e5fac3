import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import type { Group } from '../../src/lib/core/group';
import { emptyPlan, itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import type { ProposeRequest, Effort, ProposeContext, Wishes } from '../../src/lib/core/propose';

/** Enough for a valid class; how good it is, is the bench's business. */
export const QUICK: Effort = {
	roughSteps: 0,
	starts: 2,
	steps: 2500,
	crossings: 2,
	refineSteps: 600,
	settleSteps: 600
};

export const settingFor = (group: Group, taughtBefore: string[] | null = null): ProposeContext => ({
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
	more: Partial<ProposeRequest> = {}
): ProposeRequest => ({
	base: emptyPlan('Proposed', group.startsAt, 60 * minutes),
	wishes,
	setting: settingFor(group),
	seed: 7,
	count: 1,
	effort: QUICK,
	...more
});

export const slugsOf = (plan: ClassPlan) => itemsOf(plan).map((item) => item.movement);
