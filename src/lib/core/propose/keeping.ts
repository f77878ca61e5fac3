import { fit } from '../fit';
import { applyEdit, blocksOf, itemsOf, type Block, type ClassPlan, type PlanEdit } from '../plan';
import type { ProposeContext } from './types';

/** Whether what was there already is in its part and its order still, just as it was but for seconds of the closing rest. */
export function keepsAll(base: ClassPlan, plan: ClassPlan): boolean {
	const there = new Set(blocksOf(base).map(({ block }) => block.id));
	const closing = itemsOf(plan).at(-1)?.id;
	const same = (a: Block, b: Block | undefined) =>
		JSON.stringify(a) ===
		JSON.stringify(a.id === closing && a.kind === 'item' && b?.kind === 'item' ? { ...b, dose: a.dose } : b);
	return base.sections.every(({ id, blocks }) => {
		const now = plan.sections.find((section) => section.id === id)?.blocks ?? [];
		const kept = now.filter((block) => there.has(block.id));
		return blocks.length === kept.length && blocks.every((block, i) => same(block, kept[i]));
	});
}

/**
 * At its exact length where its doses can give it; else as it is, which the desk then says. What was there already keeps
 * its dose; only its closing rest takes up seconds that nothing else can.
 */
export function onTime(plan: ClassPlan, base: ClassPlan, setting: ProposeContext): ClassPlan {
	const there = itemsOf(base).map(({ id }) => id);
	const closing = itemsOf(plan).at(-1)?.id;
	for (const held of [there, there.filter((id) => id !== closing)]) {
		const pinned = held.map((itemId): PlanEdit => ({ do: 'setItem', itemId, change: { pinned: true } }));
		const fitted = fit(pinned.reduce(applyEdit, plan), setting.find, setting.pace);
		if (fitted.ok) return applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
	}
	return plan;
}
