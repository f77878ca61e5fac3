import {
	clock,
	doseSeconds,
	PHASE_NAME,
	PHASES,
	phaseSeconds,
	secondsPerUnit,
	type Timeline
} from '../clock';
import { doseRange, formOf, type FindMovement } from '../movement';
import { styledRange, styleOf } from '../style';
import { type Pace, type PaceModel, paceOf, USUAL_PACE } from '../pace';
import { itemsIn, itemsOf, type ClassPlan, type Item } from '../plan';
import { chooseAmounts, type AdjustableDose } from './choose';

/** One fixed thing that takes time, for saying where it all goes. */
export interface FixedPart {
	label: string;
	seconds: number;
}

export type FitResult =
	| { ok: true; doses: Record<string, number>; totalSeconds: number; changed: FitChange[] }
	| { ok: false; reason: FitProblem; message: string };

export interface FitChange {
	itemId: string;
	from: number;
	to: number;
}

export interface FitProblem {
	kind: 'too-long' | 'too-short' | 'no-exact-sum';
	/** Seconds that cannot be saved (too-long) or filled (too-short); distance to the nearest sum otherwise. */
	missingSeconds: number;
	shortestSeconds: number;
	longestSeconds: number;
	largestFixed: FixedPart[];
	/** For no-exact-sum: the lengths just below and above that whole doses can reach. */
	nearest: number[];
}

/**
 * How much a change counts. The peak is what the class is about; the closing rest has so wide a range that
 * without a weight it would swallow every difference. Common practice, no source.
 */
const PEAK_WEIGHT = 2;
const CLOSING_WEIGHT = 2;

/** Holds are given in such steps; only the last item dosed in seconds takes up what is left. */
const HELD_STEP_SECONDS = 5;

/**
 * Brings a plan to an exact length by changing the doses of items that are not pinned, within the limits of
 * their forms, in whole breaths and repetitions; seconds come from items dosed in seconds, the closing rest
 * above all. Among all exact ways the one with the least weighted change, to the optimum.
 * The plan is not changed: apply `doses` by a `setDoses` edit.
 *
 * @param lengthSeconds the length to come to; that of the plan where nothing is said
 * @returns the dose of every item that may change, in its own unit; or why no doses come to this length: by how many
 *   seconds they miss, the lengths that can be reached just below and above, and what takes most of the fixed time
 * @throws Error when the plan names what `find` does not know
 */
export function fit(
	plan: ClassPlan,
	find: FindMovement,
	pace: PaceModel = USUAL_PACE,
	lengthSeconds = plan.lengthSeconds
): FitResult {
	const timeline = clock(plan, find, pace);
	const adjustable = adjustableDoses(plan, find, timeline, paceOf(pace, plan.pinnedPace));
	const free = adjustable.reduce((sum, k) => sum + (k.seconds[k.current - k.min] ?? 0), 0);
	const fixedSeconds = timeline.totalSeconds - free;
	const inSteps = chooseAmounts(adjustable, lengthSeconds - fixedSeconds);
	const choice = inSteps.ok
		? inSteps
		: chooseAmounts(
				adjustable.map((k) => ({ ...k, step: 1 })),
				lengthSeconds - fixedSeconds
			);
	if (choice.ok) {
		const doses = Object.fromEntries(adjustable.map((k, i) => [k.itemId, choice.amounts[i] as number]));
		const before = new Map(itemsOf(plan).map((item) => [item.id, item.dose]));
		const changed = Object.entries(doses)
			.map(([itemId, to]) => ({ itemId, from: before.get(itemId) as number, to }))
			.filter(({ from, to }) => from !== to);
		return { ok: true, doses, totalSeconds: lengthSeconds, changed };
	}
	const problem: FitProblem = {
		kind: choice.kind,
		missingSeconds: choice.missingSeconds,
		shortestSeconds: fixedSeconds + choice.leastSeconds,
		longestSeconds: fixedSeconds + choice.mostSeconds,
		largestFixed: largestFixed(timeline, adjustable),
		nearest: choice.nearest.map((seconds) => fixedSeconds + seconds)
	};
	return { ok: false, reason: problem, message: explain(problem, lengthSeconds) };
}

/** The items whose dose may change, each with the seconds that every amount takes (all passes together). */
export function adjustableDoses(
	plan: ClassPlan,
	find: FindMovement,
	timeline: Timeline,
	pace: Pace = paceOf(USUAL_PACE, plan.pinnedPace)
): AdjustableDose[] {
	const items = itemsOf(plan);
	const byId = new Map(items.map((item) => [item.id, item]));
	// for each pass of an item what that side gets on top of the dose
	const passes = new Map<string, number[]>();
	for (const { phase, itemId, leads, byBreath } of timeline.entries) {
		// what is joined to the breath has no dose that could give
		if (phase !== 'work' || itemId === null || byBreath) continue;
		const more = byId.get(itemId)?.moreOn;
		const extras = passes.get(itemId) ?? [];
		extras.push(more && more.leg === leads ? more.dose : 0);
		passes.set(itemId, extras);
	}
	const closing = items.at(-1);
	const peak = new Set(
		plan.sections.filter((s) => s.kind === 'peak').flatMap((s) => s.blocks.flatMap(itemsIn))
	);
	const style = styleOf(plan.style);
	const unitOf = (item: Item) => {
		const form = formOf(find(item.movement)!, item.form);
		return form && doseRange(form, item.mode, item.unit).unit;
	};
	const absorber = items.findLast(
		(item) => !item.pinned && passes.has(item.id) && unitOf(item) === 'seconds'
	);
	return items
		.filter((item) => !item.pinned && passes.has(item.id))
		.map((item) => {
			const movement = find(item.movement);
			const form = movement && formOf(movement, item.form);
			if (!form) throw new Error(`the catalogue has no ${item.movement} in the ${item.form} form`);
			const dose = styledRange(style, form, item.mode, item.unit);
			// A dose that was outside the limits keeps its seconds as they are until the fit moves it inside.
			const min = Math.min(dose.min, item.dose);
			const max = Math.max(dose.max, item.dose);
			const extras = passes.get(item.id) ?? [];
			const seconds: number[] = [];
			for (let amount = min; amount <= max; amount++)
				seconds.push(
					extras.reduce((sum, extra) => sum + doseSeconds(dose, item.mode, amount + extra, pace), 0)
				);
			return {
				itemId: item.id,
				min,
				current: item.dose,
				allowed: [dose.min, dose.max] as const,
				step: dose.unit === 'seconds' && item !== absorber ? HELD_STEP_SECONDS : 1,
				seconds,
				secondsPerUnit: extras.length * secondsPerUnit(dose, item.mode, pace),
				weight: item === closing ? CLOSING_WEIGHT : peak.has(item) ? PEAK_WEIGHT : 1
			};
		});
}

function largestFixed(timeline: Timeline, adjustable: AdjustableDose[]): FixedPart[] {
	const free = new Set(adjustable.map((k) => k.itemId));
	const sums = phaseSeconds(timeline, (e) => e.phase !== 'work' || e.itemId === null || !free.has(e.itemId));
	return PHASES.map((phase) => ({
		label: phase === 'work' ? 'pinned work' : PHASE_NAME[phase],
		seconds: sums[phase]
	}))
		.filter((part) => part.seconds > 0)
		.sort((a, b) => b.seconds - a.seconds)
		.slice(0, 3);
}

function explain(problem: FitProblem, lengthSeconds: number): string {
	const d = formatMinutes;
	const parts = problem.largestFixed.map((p) => `${p.label} ${d(p.seconds)}`).join(', ');
	const largest = parts ? `; the largest fixed parts are ${parts}` : '';
	if (problem.kind === 'too-long')
		return `needs ${d(problem.missingSeconds)} less: the shortest this plan can be is ${d(problem.shortestSeconds)}${largest}`;
	if (problem.kind === 'too-short')
		return `needs ${d(problem.missingSeconds)} more: the longest this plan can be is ${d(problem.longestSeconds)}`;
	const near = problem.nearest.map(d).join(' or ');
	return `cannot be exactly ${d(lengthSeconds)}: whole breaths and repetitions reach ${near}; a closing rest that is dosed in seconds would take up the difference`;
}

function formatMinutes(seconds: number): string {
	return `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;
}
