import { effortOfAnalysis, analysePlan } from '../analysis';
import { needsAttention } from '../checks';
import { FORM_IDS, formOf, setRestOf, stepOf, type FindMovement, type Movement } from '../movement';
import { applyEdit, blocksOf, itemsIn, type ClassPlan, type Item, type PlanEdit } from '../plan';
import { onTime, type ProposeContext, type Wishes } from '../propose';
import { countsAsStrength, USUAL_MOST_SETS } from '../rules';
import { styledRange, styleOf, type StyleChoices, type TeachingStyle } from '../style';
import { further, heightKey, heightsOf, type Height, type Standing } from './heights';
import type { Rung } from './types';

/** A rung as a class gives it. */
export interface RungStep extends Rung {
	sets: number;
}

/**
 * Returns a rung as it is given for the how-manieth time (from 1): each time a step more of it, up to the dose of the
 * next rung of the same form or to the most of its form, then another set (common practice, no source).
 */
export function carriedOn(
	rungs: readonly Rung[],
	at: number,
	time: number,
	find: FindMovement,
	choices: StyleChoices
): RungStep {
	const rung = rungs[at]!;
	const movement = find(rung.movement);
	const form = movement && formOf(movement, rung.form);
	if (!movement || !form) return { ...rung, sets: 1 };
	const { max, unit } = styledRange(styleOf(choices), form, rung.mode);
	const step = stepOf(unit);
	const next = rungs[at + 1];
	const isSame = (other: Rung | undefined) => other?.movement === rung.movement && other.form === rung.form;
	const most = Math.max(rung.dose, isSame(next) ? Math.min(max, next!.dose - step) : max);
	const steps = Math.floor((most - rung.dose) / step);
	const dose = rung.dose + step * Math.min(steps, time - 1);
	const bySets = movement.sets && countsAsStrength(form.effort, rung.mode) ? time - 1 - steps : 0;
	return {
		...rung,
		dose,
		sets: Math.min(isSame(next) ? USUAL_MOST_SETS - 1 : USUAL_MOST_SETS, 1 + Math.max(0, bySets))
	};
}

/** Returns a rung one step further than where the group stands with it in the same form and mode, where it is not already. */
export function beyond(
	step: RungStep,
	standing: Standing | undefined,
	find: FindMovement,
	choices: StyleChoices
): RungStep {
	const height = standing?.highest;
	const movement = find(step.movement);
	if (!height || !movement || FORM_IDS[height.form] !== step.form) return step;
	if (step.sets > height.sets || (step.sets === height.sets && step.dose > height.amount)) return step;
	const [more] = moreOf(movement, height, styleOf(choices));
	return { ...step, dose: more?.amount ?? height.amount, sets: more?.sets ?? height.sets };
}

/** Whether a movement can go no further than a height: its last form, the most of it, in as many sets as make sense. */
export function isAtTop(movement: Movement, height: Height, style: TeachingStyle = styleOf()): boolean {
	const form = movement.forms.find(({ id }) => FORM_IDS.indexOf(id) === height.form);
	return !form || (moreOf(movement, height, style).length === 0 && movement.forms.at(-1) === form);
}

/** Returns doses that go one step further than a height, in the same form and mode; none where it has the most of them. */
export function moreOf(
	movement: Movement,
	{ form: rank, sets, amount, mode }: Height,
	style: TeachingStyle = styleOf()
): { amount: number; sets: number }[] {
	const form = movement.forms.find(({ id }) => FORM_IDS.indexOf(id) === rank);
	if (!form) return [];
	const { max, unit } = styledRange(style, form, mode);
	const larger = amount + stepOf(unit);
	const isStrong = movement.sets !== undefined && countsAsStrength(form.effort, mode);
	return [
		...(larger <= max ? [{ amount: larger, sets }] : []),
		...(isStrong && sets < USUAL_MOST_SETS ? [{ amount, sets: sets + 1 }] : [])
	];
}

/** A class whose peak goes on, and where the group stands. */
interface FurtherPeak {
	/** The parts of it that stay as they are. */
	base: ClassPlan;
	standing: ReadonlyMap<string, Standing>;
	context: ProposeContext;
	effort: Wishes['effort'];
}

/**
 * Returns the class with each peak that was there before one step further, where it is not already: more of it or a set
 * more, as long as the class still has its length and its load.
 */
export function peakFurther(plan: ClassPlan, { base, standing, context, effort }: FurtherPeak): ClassPlan {
	const { find } = context;
	const style = styleOf(plan.style);
	const own = new Set(blocksOf(base).map(({ block }) => block.id));
	let now = plan;
	for (const { section, block } of blocksOf(plan)) {
		if (section.kind !== 'peak' || own.has(block.id) || block.kind === 'flow') continue;
		for (const item of itemsIn(block)) {
			const before = standing.get(heightKey(item));
			const height = heightsOf(now, find).get(heightKey(item));
			if (!before?.still || !height || further(height, before.highest)) continue;
			now =
				moreOf(find(item.movement)!, before.highest, style)
					.map((dose) =>
						withDose(now, item, block.kind === 'chain' ? { ...dose, sets: 1 } : dose, before, context, base)
					)
					.find((after) => after && mayStand(after, plan, context, effort, before.still)) ?? now;
		}
	}
	return now;
}

/** The class with another dose of an item, at its length; null where the item stands in another form or has no other dose. */
function withDose(
	plan: ClassPlan,
	{ id: itemId, form, movement }: Item,
	{ amount, sets }: { amount: number; sets: number },
	{ highest }: Standing,
	context: ProposeContext,
	base: ClassPlan
): ClassPlan | null {
	if (FORM_IDS.indexOf(form) !== highest.form) return null;
	const restSeconds = sets > 1 ? setRestOf(context.find(movement)!) : 0;
	const edit: PlanEdit = { do: 'setDose', itemId, change: { amount, sets, restSeconds } };
	const changed = applyEdit(plan, edit);
	// the peak keeps its doses while the rest is brought to the length
	const kept: ClassPlan = {
		...changed,
		sections: changed.sections.map((section) => ({
			...section,
			blocks: section.blocks.filter(
				({ id }) => section.kind === 'peak' || blocksOf(base).some(({ block }) => block.id === id)
			)
		}))
	};
	return onTime(changed, context, kept);
}

/** A peak that goes on may ask for this factor of the load: no more than the week has, or a little more where it has stood still twice. */
const MOST_OF_LOAD = { usual: 1, overdue: 1.015 } as const;

/** Whether a class that went on still has its length, nothing more to mend, and about its load. */
function mayStand(
	after: ClassPlan,
	before: ClassPlan,
	context: ProposeContext,
	effort: Wishes['effort'],
	still: number
): boolean {
	const [then, now] = [analysePlan(before, context), analysePlan(after, context)];
	if (now.findings.filter(needsAttention).length > then.findings.filter(needsAttention).length) return false;
	if (now.timeline.totalSeconds > then.timeline.totalSeconds) return false;
	return !effort || effortOfAnalysis(now) <= effort.most * MOST_OF_LOAD[still > 1 ? 'overdue' : 'usual'];
}
