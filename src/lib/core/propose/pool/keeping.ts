import { needsAttention } from '../../checks';
import { analysePlan, previewRepair } from '../../analysis';
import { fit, type BoundsOf } from '../../fit';
import { formOf } from '../../movement';
import { applyEdit, blocksOf, itemsOf, type Block, type ClassPlan, type PlanEdit } from '../../plan';
import { USUAL_MOST_SETS } from '../../rules';
import { workBounds } from './role-dose';
import type { ProposeContext } from './types';

/** Repairs that are tried on one class. */
const REPAIRS = 8;

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
 * At its exact length where its doses can give it; else as it is, which the desk then says. What `base` has already keeps
 * its dose; only its closing rest takes up seconds that nothing else can.
 */
export function onTime(plan: ClassPlan, { find, pace }: ProposeContext, base?: ClassPlan): ClassPlan {
	const there = base ? itemsOf(base).map(({ id }) => id) : [];
	const closing = itemsOf(plan).at(-1)?.id;
	const linked = new Set(
		blocksOf(plan).flatMap(({ block }) => (block.kind === 'chain' ? block.items.map(({ id }) => id) : []))
	);
	const inRole: BoundsOf = ({ id: itemId, movement: slug, form: id, mode }, kind) => {
		const movement = find(slug);
		const form = movement && formOf(movement, id);
		return form ? workBounds({ movement, form, mode }, kind, plan.lengthSeconds, linked.has(itemId)) : null;
	};
	// rather with each dose in its role; else as far as the forms allow
	for (const boundsOf of [inRole, undefined])
		for (const held of [there, there.filter((id) => id !== closing)]) {
			const pinned = held.map((itemId): PlanEdit => ({ do: 'setItem', itemId, change: { pinned: true } }));
			const fitted = fit(
				pinned.reduce(applyEdit, plan),
				find,
				pace,
				plan.lengthSeconds,
				boundsOf,
				USUAL_MOST_SETS
			);
			if (fitted.ok) return applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
		}
	return plan;
}

/**
 * The desk's own repairs of what would have to be mended, one by one, as long as there is one that may be taken.
 * @param base what stays as it is
 */
export function mended(
	plan: ClassPlan,
	context: ProposeContext,
	may: (plan: ClassPlan) => boolean = () => true,
	base?: ClassPlan
): ClassPlan {
	let now = plan;
	for (let tries = 0; tries < REPAIRS; tries++) {
		const better = repaired(now, context, may, base);
		if (!better) return now;
		now = better;
	}
	return now;
}

/** A class with the first repair that may be taken; null where there is none. */
function repaired(
	plan: ClassPlan,
	context: ProposeContext,
	may: (plan: ClassPlan) => boolean,
	base?: ClassPlan
): ClassPlan | null {
	const { findings, context: analysed } = analysePlan(plan, context);
	for (const finding of findings) {
		if (!needsAttention(finding) || !finding.repairable) continue;
		const preview = previewRepair(finding, analysed);
		if (!preview) continue;
		const after = onTime(preview.repair.edits.reduce(applyEdit, plan), context, base);
		if (may(after)) return after;
	}
	return null;
}
