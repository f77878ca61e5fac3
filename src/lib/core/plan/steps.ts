import { doseRange, formOf, stepOf, type FindMovement } from '../movement';
import { goesByTurns, movedBy } from './dose';
import { applyEdit, type PlanEdit } from './edit';
import { PLAN_LIMITS } from './limits';
import type { Block, ClassPlan, Item, BlockPosition } from './types';
import { blockOfItem, findBlock, itemsIn } from './walk';

/** The steps that a key or a button takes at the desk, as edits; null where there is nowhere to go. */

/** The block one place earlier (-1) or later (+1), across the sections' borders. */
export function moveByOne(plan: ClassPlan, blockId: string, step: -1 | 1): PlanEdit | null {
	const at = findBlock(plan, blockId);
	if (!at) return null;
	const s = plan.sections.findIndex((section) => section.id === at.sectionId);
	const here = plan.sections[s]!;
	const index = at.index + step;
	if (index >= 0 && index < here.blocks.length)
		return { do: 'move', blockId, to: { sectionId: here.id, index } };
	const next = plan.sections[s + step];
	if (!next) return null;
	return { do: 'move', blockId, to: { sectionId: next.id, index: step === 1 ? 0 : next.blocks.length } };
}

/**
 * Several blocks one place earlier or later, all of them together and in their order; null where the first (or last)
 * has nowhere to go.
 */
export function moveTogether(plan: ClassPlan, blockIds: readonly string[], step: -1 | 1): PlanEdit[] | null {
	const wanted = new Set(blockIds);
	const inOrder = plan.sections.flatMap((s) => s.blocks.filter((b) => wanted.has(b.id)).map((b) => b.id));
	const edits: PlanEdit[] = [];
	let moved = plan;
	for (const id of step === -1 ? inOrder : inOrder.reverse()) {
		const edit = moveByOne(moved, id, step);
		if (!edit) return null;
		edits.push(edit);
		moved = applyEdit(moved, edit);
	}
	return edits.length ? edits : null;
}

/** Where something new goes: after what is selected, or at the end of the last section that has anything. */
export function placeAfter(plan: ClassPlan, selectedId: string | null): BlockPosition {
	const block =
		selectedId === null ? undefined : (blockOfItem(plan, selectedId) ?? findBlock(plan, selectedId)?.block);
	const at = block && findBlock(plan, block.id);
	if (at) return { sectionId: at.sectionId, index: at.index + 1 };
	const section = plan.sections.findLast((s) => s.blocks.length > 0) ?? plan.sections[0];
	if (!section) throw new Error('the plan has no section');
	return { sectionId: section.id, index: section.blocks.length };
}

/**
 * Where a block goes that is dropped at a second of the class: before the first other block whose middle comes later,
 * at the end when there is none. `spans`: first and last second of each block. The index counts without the block.
 */
export function placeAtSecond(
	plan: ClassPlan,
	spans: ReadonlyMap<string, { fromSeconds: number; toSeconds: number }>,
	blockId: string,
	second: number
): BlockPosition | null {
	let last: BlockPosition | null = null;
	for (const section of plan.sections) {
		const others = section.blocks.filter((block) => block.id !== blockId);
		for (const [index, block] of others.entries()) {
			const span = spans.get(block.id);
			if (span && (span.fromSeconds + span.toSeconds) / 2 > second) return { sectionId: section.id, index };
			last = { sectionId: section.id, index: index + 1 };
		}
	}
	return last;
}

/** One more or one less of an item's dose; held seconds go in fives, and where the sides take turns one for each. */
export function doseByOne(item: Item, find: FindMovement, step: -1 | 1): PlanEdit | null {
	return doseMoved(item, find, step);
}

/** Returns the edit that moves a dose by a number of steps, a range as a whole; null at the limit. */
function doseMoved(item: Item, find: FindMovement, steps: number): PlanEdit | null {
	const size = stepOfItem(item, find);
	const { amount, most = amount } = item.dose;
	const by = Math.min(PLAN_LIMITS.amount - most, Math.max(1 - amount, steps * size));
	return item.passed || by === 0 ? null : { do: 'setDose', itemId: item.id, change: movedBy(item.dose, by) };
}

/** By how much the amount of an item goes up or down at once. */
export function stepOfItem(item: Item, find: FindMovement): number {
	const movement = find(item.movement);
	const form = movement && formOf(movement, item.form);
	if (!form) return 1;
	const { unit } = doseRange(form, item.mode, item.dose.unit);
	return stepOf(unit) * (unit !== 'seconds' && goesByTurns(item, movement) ? 2 : 1);
}

/** Joins the block that holds an item with the one after it in its section. */
export function chainWithNext(plan: ClassPlan, itemId: string): PlanEdit | null {
	const block = blockOfItem(plan, itemId);
	const at = block && findBlock(plan, block.id);
	const next = at && plan.sections.find((s) => s.id === at.sectionId)?.blocks[at.index + 1];
	if (!block || !next || itemsIn(next).length === 0) return null;
	return { do: 'chain', blockIds: [block.id, next.id] };
}

/** The ids that can be selected, in the order in which they stand: items (also inside chains and flows), words, tests. */
export function selectableIds(plan: ClassPlan): string[] {
	return plan.sections.flatMap((s) =>
		s.blocks.flatMap((b) => {
			const items = itemsIn(b);
			return items.length ? items.map((item) => item.id) : [b.id];
		})
	);
}

/** The neighbour of a selection, or the first (or last) when nothing is selected. */
export function neighbourId(plan: ClassPlan, selectedId: string | null, step: -1 | 1): string | null {
	const ids = selectableIds(plan);
	const at = selectedId === null ? -1 : ids.indexOf(selectedId);
	if (at === -1) return (step === 1 ? ids[0] : ids.at(-1)) ?? null;
	return ids[at + step] ?? selectedId;
}

/** The blocks that hold the given items or talks, each once, in the order of the plan. */
export function blocksHolding(plan: ClassPlan, ids: readonly string[]): Block[] {
	const wanted = new Set(ids);
	return plan.sections.flatMap((section) =>
		section.blocks.filter(
			(block) => wanted.has(block.id) || itemsIn(block).some((item) => wanted.has(item.id))
		)
	);
}

/** Returns the selectable ids from one id to another, both included, in the order of the plan. */
export function selectableBetween(plan: ClassPlan, from: string, to: string): string[] {
	const ids = selectableIds(plan);
	const [a, b] = [ids.indexOf(from), ids.indexOf(to)].sort((x, y) => x - y) as [number, number];
	return a < 0 ? [] : ids.slice(a, b + 1);
}

/**
 * Returns the dose of an item whose work is dragged longer or shorter by the given seconds in each pass: whole breaths,
 * repetitions or steps of five seconds. Null when nothing changes.
 */
export function doseDragged(
	item: Item,
	find: FindMovement,
	secondsEachGo: number,
	secondsOfEach: number
): PlanEdit | null {
	return doseMoved(item, find, Math.round(secondsEachGo / (secondsOfEach * stepOfItem(item, find))));
}
