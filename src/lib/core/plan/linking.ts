import { otherLeg, type Leg } from '../anatomy';
import { insertBlock, mapSection, placeOf, removeBlock } from './blocks';
import type { Dose } from './dose';
import type { Block, ClassPlan, Flow, Item, Link, Linked } from './types';
import { findBlock, findItem, isLinked, itemsIn, nextId } from './walk';

/** Chains and flows: joined, taken apart, left by an item, and the leg followed through them. */

/** A flow to begin with: twice on each side. Common practice, no source. */
export const NEW_FLOW = { rounds: 4, sides: 'alternate' } as const;

/** Breaths joined to the movement in a flow. */
export const breathsJoined = (amount: number): Dose => ({ amount, unit: 'breaths', byBreath: true });

/** The breaths that are joined to every movement of a flow; null where they differ or there are other doses. */
export function breathsToEach({ items }: Flow): number | null {
	const [first] = items;
	const all =
		first?.dose.byBreath && items.every(({ dose }) => dose.byBreath && dose.amount === first.dose.amount);
	return all ? first.dose.amount : null;
}

/** An item as a new flow begins with it: one breath joined to the movement. */
export const asStep = (item: Item): Item => ({ ...item, dose: breathsJoined(1) });

/** Joins blocks into one where the first of them stands, in the order of the plan. Chains and flows are dissolved into it. */
export function join(
	plan: ClassPlan,
	blockIds: string[],
	make: (id: string, items: Item[]) => Linked
): ClassPlan {
	const wanted = new Set(blockIds);
	const blocks = plan.sections.flatMap((s) => s.blocks.filter((b) => wanted.has(b.id)));
	const first = blocks.find((block) => itemsIn(block).length > 0);
	const items = blocks.flatMap(itemsIn);
	if (!first || items.length < 2) return plan;
	const joined = make(nextId(plan), items);
	const { sectionId, index } = placeOf(plan, first.id);
	const rest = blocks.reduce((p, b) => (itemsIn(b).length ? removeBlock(p, b.id) : p), plan);
	return insertBlock(rest, { sectionId, index }, joined);
}

/** A chain or flow taken apart into its items. */
export function unchain(plan: ClassPlan, blockId: string): ClassPlan {
	const { block, sectionId } = placeOf(plan, blockId);
	if (!isLinked(block)) return plan;
	return mapSection(plan, sectionId, (blocks) =>
		blocks.flatMap((b) => (b.id === blockId ? block.items.map(unlinked) : [b]))
	);
}

/** An item on its own hangs on nothing before it. */
export function unlinked({ link: _link, ...item }: Item): Item {
	return item;
}

/**
 * Says how the leg changes before an item of a chain or flow, and which leg leads then; all that follow change with
 * it, since each leads as the one before does unless its own link says otherwise.
 */
export function linkItem(plan: ClassPlan, itemId: string, link: Link | undefined, lead: Leg): ClassPlan {
	const relinked = (block: Block): Block => {
		const at = isLinked(block) ? block.items.findIndex((item) => item.id === itemId) : -1;
		if (!isLinked(block) || at < 1) return block;
		const flips = block.items[at]!.lead !== lead;
		const items = block.items.map((item, i) => {
			if (i < at) return item;
			const led = flips ? { ...item, lead: otherLeg(item.lead) } : item;
			return i === at ? { ...unlinked(led), ...(link ? { link } : {}) } : led;
		});
		return { ...block, items };
	};
	return { ...plan, sections: plan.sections.map((s) => ({ ...s, blocks: s.blocks.map(relinked) })) };
}

/** Takes an item out of its chain or flow; a chain left with one item becomes that item. */
export function removeItem(plan: ClassPlan, itemId: string): ClassPlan {
	if (findBlock(plan, itemId)) return removeBlock(plan, itemId);
	if (!findItem(plan, itemId)) throw new Error(`no item ${itemId} in the plan`);
	const without = (block: Block): Block[] => {
		if (!isLinked(block) || !block.items.some((i) => i.id === itemId)) return [block];
		const items = block.items.filter((i) => i.id !== itemId);
		const [only] = items;
		if (!only) return [];
		return [items.length === 1 ? unlinked(only) : { ...block, items }];
	};
	return { ...plan, sections: plan.sections.map((s) => ({ ...s, blocks: s.blocks.flatMap(without) })) };
}
