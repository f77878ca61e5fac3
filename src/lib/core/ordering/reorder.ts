import type { FindMovement } from '../movement';
import { type PaceModel, paceOf } from '../pace';
import type { Block, ClassPlan } from '../plan';
import { betweenSeconds, stopOf, type ComingFrom } from './cost';
import { rulesOf, type Rules } from './rules';
import { exactOrders, type PartialOrder } from './exact';
import { improvedOrder } from './improve';

/** Sections up to this many blocks are ordered exactly; larger ones by local search. */
export const EXACT_BLOCKS = 14;

/** Another order of the same blocks, with what it saves. */
export interface Calmed {
	/** Block ids of each section in their new order, by section id. */
	order: Record<string, string[]>;
	/** Seconds lost between blocks, before and after. */
	beforeSeconds: number;
	afterSeconds: number;
	/** Whether every section was small enough to be ordered exactly. */
	exact: boolean;
}

/**
 * "Reduce transitions": the same blocks in the same sections, with the least time lost in changes of body position and
 * kit among all orders that break no hard rule. What a section begins with depends on what the one before ends with,
 * so the sections are chained: for each possible last block the best way to it is kept.
 * @param stop asked between steps; when it answers true the best so far is given
 */
export function calmOrder(
	plan: ClassPlan,
	find: FindMovement,
	model: PaceModel,
	stop: () => boolean = () => false
): Calmed {
	const pace = paceOf(model, plan.pinnedPace);
	let entries: PartialOrder[] = [{ here: null, cost: 0, order: {} }];
	let exact = true;
	const earlier: Block[] = [];
	let warm = 0;
	for (const section of plan.sections) {
		if (section.blocks.length === 0) continue;
		const stops = section.blocks.map((block) => stopOf(block, find));
		const rules = keepable(rulesOf(plan, section, earlier, find, model), warm);
		const cost = (from: ComingFrom, to: number) => betweenSeconds(from, stops[to]!, pace);
		const small = section.blocks.length <= EXACT_BLOCKS;
		exact &&= small;
		entries = small
			? exactOrders(section.id, stops, rules, warm, entries, cost)
			: improvedOrder(section.id, stops, rules, warm, entries, cost, stop);
		earlier.push(...section.blocks);
		warm += rules.warms.reduce((a, b) => a + b, 0);
	}
	const best = entries.reduce((a, b) => (b.cost < a.cost ? b : a));
	return { order: best.order, beforeSeconds: lostSeconds(plan, find, model), afterSeconds: best.cost, exact };
}

/** A rule that the plan breaks whatever the order is (too little warmth in the whole section) is not asked for. */
function keepable(rules: Rules, warm: number): Rules {
	const most = warm + rules.warms.reduce((a, b) => a + b, 0);
	return {
		...rules,
		wantsWarm: rules.wantsWarm.map((wanted, i) => Math.min(wanted, most - rules.warms[i]!))
	};
}

/** Seconds lost between the blocks of a plan as it stands. */
export function lostSeconds(plan: ClassPlan, find: FindMovement, model: PaceModel): number {
	const pace = paceOf(model, plan.pinnedPace);
	let here: ComingFrom = null;
	let sum = 0;
	for (const section of plan.sections)
		for (const block of section.blocks) {
			const stop = stopOf(block, find);
			sum += betweenSeconds(here, stop, pace);
			here = stop.leave ?? here;
		}
	return sum;
}
