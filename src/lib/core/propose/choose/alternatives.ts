import { workSecondsOf } from '../../clock';
import { blocksOf, findItem, slugsOf, type ClassPlan, type Item } from '../../plan';
import { worthOf } from '../model';
import { inPlaceOf, FormPool } from '../pool/form-pool';
import type { ProposeContext, Wishes } from '../pool/types';

/** Something else in the place of one item, everything else as it is. */
export interface Alternative {
	/** Under the id of the item that it stands in for, with a dose that takes about the same time. */
	item: Item;
	/** Points of the objective by which the class is worth less (or, negative, more) than now. */
	worse: number;
}

/** Number of most similar movements that are considered. */
const LOOKED_AT = 30;

/**
 * The best other movements for the place of an item, the best first: by what the class is worth with each of them, all
 * other blocks kept just as they are. Empty for an item inside a chain or flow, whose place is not its own.
 */
export function alternativesFor(
	plan: ClassPlan,
	itemId: string,
	context: ProposeContext,
	wishes: Wishes = {},
	most = 3
): Alternative[] {
	const { find, group, pace } = context;
	const item = findItem(plan, itemId);
	const movement = item && find(item.movement);
	const place = blocksOf(plan).find(({ block }) => block.id === itemId);
	if (!item || !movement || !place) return [];
	const { kind } = place.section;
	const there = new Set(slugsOf(plan));
	const offer = new FormPool(plan, context, { ...wishes, only: [kind] });
	const worthWith = (other: Item) => {
		const sections = plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.map((block) => (block.id === itemId ? other : block))
		}));
		return worthOf({ ...plan, sections }, find, group, pace).total;
	};
	const now = worthWith(item);
	const seconds = workSecondsOf(plan, find, pace).get(itemId) ?? 0;
	return offer
		.like(item, movement, (other) => !there.has(other.movement.slug), LOOKED_AT)
		.map((other) => inPlaceOf(item, other, seconds))
		.map((other): Alternative => ({ item: other, worse: now - worthWith(other) }))
		.sort((a, b) => a.worse - b.worse)
		.slice(0, most);
}
