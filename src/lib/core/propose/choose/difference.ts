import { itemsOf, type ClassPlan } from '../../plan';

/** For each of some classes the share (0-1) of its movements that none of the others has: how different it is. */
export function ownShares(plans: readonly ClassPlan[]): number[] {
	const sets = plans.map((plan) => new Set(itemsOf(plan).map((item) => item.movement)));
	return sets.map((own, i) => {
		const elsewhere = new Set(sets.flatMap((other, j) => (j === i ? [] : [...other])));
		return own.size === 0 ? 0 : [...own].filter((slug) => !elsewhere.has(slug)).length / own.size;
	});
}
