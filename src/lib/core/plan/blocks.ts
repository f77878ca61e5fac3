import type { Block, ClassPlan, Item, BlockPosition } from './types';
import { findBlock, findItem, withItems } from './walk';

/** How blocks and items are changed, put in, taken out and moved: what every edit is made of. Each returns a new plan. */

/** The plan with one section changed. */
export function mapSection(
	plan: ClassPlan,
	sectionId: string,
	change: (blocks: Block[]) => Block[]
): ClassPlan {
	if (!plan.sections.some((s) => s.id === sectionId)) throw new Error(`no section ${sectionId} in the plan`);
	return {
		...plan,
		sections: plan.sections.map((s) => (s.id === sectionId ? { ...s, blocks: change(s.blocks) } : s))
	};
}

/** The plan with one block changed. */
export function mapBlock(plan: ClassPlan, blockId: string, change: (block: Block) => Block): ClassPlan {
	const found = placeOf(plan, blockId);
	return mapSection(plan, found.sectionId, (blocks) => blocks.map((b) => (b.id === blockId ? change(b) : b)));
}

/** The plan with each of its items changed. */
export function mapAllItems(plan: ClassPlan, change: (item: Item) => Item): ClassPlan {
	return {
		...plan,
		sections: plan.sections.map((s) => ({ ...s, blocks: s.blocks.map((b) => withItems(b, change)) }))
	};
}

/** The plan with one item changed. */
export function mapItems(plan: ClassPlan, itemId: string, change: (item: Item) => Item): ClassPlan {
	if (!findItem(plan, itemId)) throw new Error(`no item ${itemId} in the plan`);
	return mapAllItems(plan, (item) => (item.id === itemId ? change(item) : item));
}

/**
 * The section and index of a block.
 * @throws Error when the plan has no such block
 */
export function placeOf(plan: ClassPlan, blockId: string) {
	const found = findBlock(plan, blockId);
	if (!found) throw new Error(`no block ${blockId} in the plan`);
	return found;
}

/** The plan with a block put in at a place. */
export function insertBlock(plan: ClassPlan, at: BlockPosition, block: Block): ClassPlan {
	const index = Math.max(0, at.index);
	return mapSection(plan, at.sectionId, (blocks) => [
		...blocks.slice(0, index),
		block,
		...blocks.slice(index)
	]);
}

/** The plan without a block. */
export function removeBlock(plan: ClassPlan, blockId: string): ClassPlan {
	return mapSection(plan, placeOf(plan, blockId).sectionId, (blocks) =>
		blocks.filter((b) => b.id !== blockId)
	);
}

/** `to.index` counts in the target section after the block was taken out of its old place. */
export function moveBlock(plan: ClassPlan, blockId: string, to: BlockPosition): ClassPlan {
	const { block } = placeOf(plan, blockId);
	return insertBlock(removeBlock(plan, blockId), to, block);
}
