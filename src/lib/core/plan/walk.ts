import type { Block, ClassPlan, Item, Linked, BlockPosition, Section } from './types';

/** A block with its section and its place in it. */
export interface BlockInPlace {
	section: Section;
	block: Block;
	index: number;
}

/** All blocks in the order in which they are taught, with where they stand. */
export function blocksOf(plan: ClassPlan): BlockInPlace[] {
	return plan.sections.flatMap((section) =>
		section.blocks.map((block, index) => ({ section, block, index }))
	);
}

/** Whether a block holds items one after another. */
export const isLinked = (block: Block): block is Linked => block.kind === 'chain' || block.kind === 'flow';

/** The items of one block: itself, those of a chain or flow, none of words and tests. */
export function itemsIn(block: Block): Item[] {
	if (block.kind === 'item') return [block];
	return isLinked(block) ? block.items : [];
}

/**
 * The items of a block as they are really done: what is joined to the breath or only passed through moves, whatever it
 * is elsewhere.
 */
export function itemsAsDone(block: Block): Item[] {
	return itemsIn(block).map((item) =>
		(item.dose.byBreath || item.passed) && item.mode !== 'rest' ? { ...item, mode: 'dynamic' } : item
	);
}

/** A block with each of its items changed. */
export function withItems<B extends Block>(block: B, change: (item: Item) => Item): B {
	if (block.kind === 'item') return change(block) as B;
	return isLinked(block) ? { ...block, items: block.items.map(change) } : block;
}

/** All items in the order in which their first sides are taught. */
export function itemsOf(plan: ClassPlan): Item[] {
	return plan.sections.flatMap((section) => section.blocks.flatMap(itemsIn));
}

/** Slugs of the movements of a plan, each once, in the order in which they first come. */
export function slugsOf(plan: ClassPlan): string[] {
	return [...new Set(itemsOf(plan).map((item) => item.movement))];
}

/** A block with its section and index; undefined when the plan has none of that id. */
export function findBlock(plan: ClassPlan, blockId: string): (BlockPosition & { block: Block }) | undefined {
	for (const section of plan.sections) {
		const index = section.blocks.findIndex((block) => block.id === blockId);
		const block = section.blocks[index];
		if (block) return { sectionId: section.id, index, block };
	}
	return undefined;
}

/** An item, also inside a chain or flow; undefined when the plan has none of that id. */
export function findItem(plan: ClassPlan, itemId: string): Item | undefined {
	return itemsOf(plan).find((item) => item.id === itemId);
}

/** Looks items up by their ids: for many of them, where {@link findItem} would walk the plan for each. */
export function itemFinder(plan: ClassPlan): (itemId: string) => Item | undefined {
	const byId = new Map(itemsOf(plan).map((item) => [item.id, item]));
	return (itemId) => byId.get(itemId);
}

/** The block that holds an item: the item itself, or its chain or flow. */
export function blockOfItem(plan: ClassPlan, itemId: string): Block | undefined {
	return blocksOf(plan).find(({ block }) => itemsIn(block).some((item) => item.id === itemId))?.block;
}

/** How often each item's movement has come before it in the class: 0 on the first visit. */
export function visitsBefore(plan: ClassPlan): Map<string, number> {
	const met = new Map<string, number>();
	const visits = new Map<string, number>();
	for (const { id, movement } of itemsOf(plan)) {
		const before = met.get(movement) ?? 0;
		visits.set(id, before);
		met.set(movement, before + 1);
	}
	return visits;
}

/** A fresh id: one more than the highest number in use, so that the same edit of the same plan gives the same id. */
export function nextId(plan: ClassPlan, offset = 0): string {
	let highest = 0;
	const see = (id: string) => {
		const digits = /^b(\d{1,9})$/.exec(id)?.[1];
		if (digits) highest = Math.max(highest, Number(digits));
	};
	for (const { block } of blocksOf(plan)) {
		see(block.id);
		itemsIn(block).forEach((item) => see(item.id));
	}
	return `b${highest + 1 + offset}`;
}
