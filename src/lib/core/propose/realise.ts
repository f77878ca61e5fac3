import { previewRepair, analysePlan, SEVERITIES, type Analysis } from '../checks';
import { DIRECTIONS, isSymmetrical } from '../anatomy';
import { fit } from '../fit';
import {
	applyEdit,
	blocksOf,
	itemsOf,
	nextId,
	SECTION_KINDS,
	type Block,
	type ClassPlan,
	type Item,
	type PlanEdit
} from '../plan';
import { styleOf } from '../style';
import { calmOrder, lostSeconds } from '../ordering';
import type { Piece } from './candidate';
import { withAmount } from './options';
import { POINTS } from './points';
import type { ProposeContext, Weights } from './types';

/** Points of a finding of the desk, by its severity: what stops a class outweighs everything that the search weighs. */
const FINDING_POINTS = { stop: 100, mend: 6, note: 0.4 } as const;
/** Repairs that are tried on one class. */
const REPAIRS = 12;

/** A class as a plan: the pieces in their parts, in the calmest order that breaks no rule, at its exact length. */
export function realised(base: ClassPlan, pieces: readonly Piece[], setting: ProposeContext): ClassPlan {
	let used = 0;
	const lead = base.firstSide ?? 'left';
	const blockOf = ({ option, amount }: Piece): Block =>
		option.kept ?? withAmount(option.item!, nextId(base, used++), option.amounts[amount]!, lead);
	const sections = base.sections.map((section) => ({
		...section,
		blocks: pieces.filter((piece) => SECTION_KINDS[piece.section] === section.kind).map(blockOf)
	}));
	const calm = calmed({ ...base, sections }, base, setting);
	return onTime(inChains(calm, base, setting), base, setting);
}

/** Longest chain that is proposed: so many shapes can be owed to a side before it is forgotten. */
const LONGEST_CHAIN = 4;

/** In a style of chains, new neighbours with sides in one position go through on one side and are mirrored then. */
function inChains(plan: ClassPlan, base: ClassPlan, setting: ProposeContext): ClassPlan {
	if (styleOf(plan.style).runningSides !== 'chain') return plan;
	const there = new Set(blocksOf(base).map(({ block }) => block.id));
	let chained = plan;
	for (const section of plan.sections) {
		let run: Item[] = [];
		const close = () => {
			if (run.length > 1) chained = applyEdit(chained, { do: 'chain', blockIds: run.map(({ id }) => id) });
			run = [];
		};
		for (const block of section.blocks) {
			const isNew = block.kind === 'item' && !there.has(block.id);
			const movement = isNew ? setting.find(block.movement)! : null;
			const sided = movement && !isSymmetrical(movement.action);
			const before = run.at(-1);
			if (!sided || run.length === LONGEST_CHAIN) close();
			else if (before && setting.find(before.movement)!.position !== movement.position) close();
			if (sided && isNew) run.push(block);
		}
		close();
	}
	return chained;
}

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

/** In the calmest order, where that saves time and raises no finding that the order before did not have. */
function calmed(plan: ClassPlan, base: ClassPlan, setting: ProposeContext): ClassPlan {
	const { order, beforeSeconds, afterSeconds } = calmOrder(plan, setting.find, setting.pace);
	if (afterSeconds >= beforeSeconds) return plan;
	const after = applyEdit(plan, { do: 'reorder', order });
	const grave = (p: ClassPlan) => gravity(analysePlan({ ...p, lengthSeconds: 0 }, setting));
	return keepsAll(base, after) && grave(after) <= grave(plan) ? after : plan;
}

/**
 * At its exact length where its doses can give it; else as it is, which the desk then says. What was there already keeps
 * its dose; only its closing rest takes up seconds that nothing else can.
 */
function onTime(plan: ClassPlan, base: ClassPlan, setting: ProposeContext): ClassPlan {
	const there = itemsOf(base).map(({ id }) => id);
	const closing = itemsOf(plan).at(-1)?.id;
	for (const held of [there, there.filter((id) => id !== closing)]) {
		const pinned = held.map((itemId): PlanEdit => ({ do: 'setItem', itemId, change: { pinned: true } }));
		const fitted = fit(pinned.reduce(applyEdit, plan), setting.find, setting.pace);
		if (fitted.ok) return applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
	}
	return plan;
}

/** What the desk finds in a class, in points. */
export function gravity({ findings }: Analysis): number {
	return findings.reduce(
		(sum, { severity, places }) => sum + FINDING_POINTS[severity] * Math.max(1, places.length),
		0
	);
}

/**
 * What a class lacks of its bands, in the points of the search. A finding says that it is out of a band and not by how
 * much; without this a class that is a hair over would be led farther out for the sake of any note.
 */
export function unbalance({ balance: { directions, strength }, orbit, context }: Analysis): number {
	const rangeOff = DIRECTIONS.reduce((sum, d) => sum + directions[d].offByPercent, 0);
	const points =
		POINTS.directionOff * rangeOff * orbit.rangeTotalSeconds +
		POINTS.strengthOff * strength.offByPercent * orbit.workSeconds;
	return points / context.plan.lengthSeconds;
}

/**
 * The repairs of the desk, as a colleague would take them one by one, as long as one makes the class better by its
 * findings, by its bands and by the time that it loses between blocks, as much as the teacher gives on these.
 */
export function mended(
	plan: ClassPlan,
	base: ClassPlan,
	setting: ProposeContext,
	{ balance, flow }: Weights,
	keep: (plan: ClassPlan) => boolean
): ClassPlan {
	const worth = (analysis: Analysis, p: ClassPlan) =>
		gravity(analysis) +
		balance * unbalance(analysis) +
		flow * POINTS.lostSecond * lostSeconds(p, setting.find, setting.pace);
	let now = plan;
	let analysis = analysePlan(now, setting);
	let points = worth(analysis, now);
	for (let tries = 0; tries < REPAIRS; tries++) {
		let better: ClassPlan | null = null;
		for (const severity of SEVERITIES)
			for (const finding of analysis.findings.filter((f) => f.severity === severity)) {
				if (better || !finding.repairable) continue;
				const preview = previewRepair(finding, analysis.context);
				if (!preview) continue;
				const after = onTime(preview.repair.edits.reduce(applyEdit, now), base, setting);
				if (keep(after) && worth(analysePlan(after, setting), after) < points - 1e-9) better = after;
			}
		if (!better) return now;
		now = better;
		analysis = analysePlan(now, setting);
		points = worth(analysis, now);
	}
	return now;
}
