import {
	clock,
	PHASE_NAME,
	PHASES,
	phaseSeconds,
	secondsOfEach,
	setSeconds,
	type Timeline,
	type TimelineEntry
} from '../clock';
import { formOf, type FindMovement } from '../movement';
import { type Pace, type PaceModel, paceFor, paceOf, USUAL_PACE } from '../pace';
import {
	amountOn,
	applyEdit,
	itemsIn,
	itemsOf,
	movedBy,
	PLAN_LIMITS,
	rangeInStyle,
	rangeOf,
	setsOf,
	stepOfItem,
	type ClassPlan,
	type DoseChange,
	type Item,
	type SectionKind
} from '../plan';
import { styleOf } from '../style';
import { chooseAmounts, type AdjustableDose } from './choose';

/** One fixed thing that takes time, for saying where it all goes. */
export interface FixedPart {
	label: string;
	seconds: number;
}

export type FitResult =
	| { ok: true; doses: Record<string, DoseChange>; totalSeconds: number; changed: FitChange[] }
	| { ok: false; reason: FitProblem; message: string };

/** Seconds of work between which an item stays, all sides and sets together. */
export interface WorkBounds {
	leastSeconds: number;
	mostSeconds: number;
}
/** Returns the bounds of an item in a part of a class; null: as far as its form allows. */
export type BoundsOf = (item: Item, kind: SectionKind) => WorkBounds | null;

/** The change of one item by a fit. */
export interface FitChange {
	itemId: string;
	from: { amount: number; sets: number };
	to: { amount: number; sets: number };
}

/** Why a class cannot have the length that is asked for. */
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
export const PEAK_WEIGHT = 2;
export const CLOSING_WEIGHT = 2;

/**
 * Brings a plan to an exact length by changing the doses of items that are not pinned, within what is usual for
 * their forms (or what they have already), in whole breaths and repetitions; seconds come from items dosed in seconds,
 * the closing rest above all. Among all exact ways the one with the least weighted change, to the optimum. Only where no
 * amounts come to the length, one set after another is taken from (or added to) what is given in several.
 * The plan is not changed: apply `doses` by a `setDoses` edit.
 *
 * @param lengthSeconds the length to come to; that of the plan where nothing is said
 * @param boundsOf narrower limits for some items
 * @returns the dose of every item that may change, in its own unit; or why no doses come to this length: by how many
 *   seconds they miss, the lengths that can be reached just below and above, and what takes most of the fixed time
 * @throws Error when the plan names what `find` does not know
 */
export function fit(
	plan: ClassPlan,
	find: FindMovement,
	pace: PaceModel,
	lengthSeconds = plan.lengthSeconds,
	boundsOf: BoundsOf = () => null,
	mostSets: number = PLAN_LIMITS.sets
): FitResult {
	const first = fitAmounts(plan, find, pace, lengthSeconds, boundsOf);
	let last = first;
	let now = plan;
	while (!last.ok && last.reason.kind !== 'no-exact-sum') {
		const next = setsChanged(now, last.reason.kind === 'too-long' ? -1 : 1, mostSets);
		if (!next) return first;
		now = next;
		last = fitAmounts(now, find, pace, lengthSeconds, boundsOf);
	}
	return last.ok ? changesBetween(plan, applyEdit(now, { do: 'setDoses', doses: last.doses }), last) : first;
}

/** One set fewer or more of the item that has the most (the fewest) of those given in several; null where none can. */
function setsChanged(plan: ClassPlan, by: 1 | -1, mostSets: number): ClassPlan | null {
	const several = itemsOf(plan).filter(({ pinned, passed, dose }) => !pinned && !passed && setsOf(dose) > 1);
	const may = several.filter(({ dose }) => by < 0 || setsOf(dose) + by <= mostSets);
	const [item] = [...may].sort((a, b) => by * (setsOf(a.dose) - setsOf(b.dose)));
	if (!item) return null;
	return applyEdit(plan, { do: 'setDose', itemId: item.id, change: { sets: setsOf(item.dose) + by } });
}

function changesBetween(
	before: ClassPlan,
	after: ClassPlan,
	{ totalSeconds, doses }: FitResult & { ok: true }
): FitResult {
	const was = new Map(itemsOf(before).map(({ id, dose }) => [id, dose]));
	const changed: FitChange[] = [];
	const all = { ...doses };
	for (const { id, dose } of itemsOf(after)) {
		const old = was.get(id)!;
		if (setsOf(old) !== setsOf(dose)) all[id] = { ...all[id], sets: setsOf(dose) };
		if (old.amount === dose.amount && setsOf(old) === setsOf(dose)) continue;
		changed.push({
			itemId: id,
			from: { amount: old.amount, sets: setsOf(old) },
			to: { amount: dose.amount, sets: setsOf(dose) }
		});
	}
	return { ok: true, doses: all, totalSeconds, changed };
}

function fitAmounts(
	plan: ClassPlan,
	find: FindMovement,
	pace: PaceModel,
	lengthSeconds: number,
	boundsOf: BoundsOf
): FitResult {
	const timeline = clock(plan, find, pace);
	const adjustable = adjustableDoses(plan, find, timeline, paceOf(pace, plan.pinnedPace), boundsOf);
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
		const byId = new Map(itemsOf(plan).map((item) => [item.id, item]));
		const doses = Object.fromEntries(
			adjustable.map((k, i) => [
				k.itemId,
				movedBy(byId.get(k.itemId)!.dose, (choice.amounts[i] as number) - k.current)
			])
		);
		return { ok: true, doses, totalSeconds: lengthSeconds, changed: [] };
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
	pace: Pace = paceOf(USUAL_PACE, plan.pinnedPace),
	boundsOf: BoundsOf = () => null
): AdjustableDose[] {
	const items = itemsOf(plan);
	const goes = new Map<string, TimelineEntry[]>();
	for (const entry of timeline.entries) {
		if (entry.phase !== 'work' || entry.itemId === null || entry.passed) continue;
		const own = goes.get(entry.itemId);
		if (own) own.push(entry);
		else goes.set(entry.itemId, [entry]);
	}
	const kinds = new Map(
		plan.sections.flatMap((section) =>
			section.blocks.flatMap(itemsIn).map((item) => [item.id, section.classKind ?? pace.classKind] as const)
		)
	);
	const partOf = new Map(
		plan.sections.flatMap(({ kind, blocks }) => blocks.flatMap(itemsIn).map(({ id }) => [id, kind] as const))
	);
	const closing = items.at(-1);
	const peak = new Set(
		plan.sections.filter((s) => s.kind === 'peak').flatMap((s) => s.blocks.flatMap(itemsIn))
	);
	const style = styleOf(plan.style);
	const known = (item: Item) => {
		const movement = find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (!form) throw new Error(`the catalogue has no ${item.movement} in the ${item.form} form`);
		return { movement, form };
	};
	const unitOf = (item: Item) => rangeOf(item, known(item).movement, known(item).form).unit;
	// movements joined to the breath have no dose that could give
	const free = items.filter((item) => !item.pinned && !item.dose.byBreath && goes.has(item.id));
	const absorber = free.findLast((item) => unitOf(item) === 'seconds');
	return free.map((item) => {
		const { movement, form } = known(item);
		const range = rangeInStyle(style, item, movement, form);
		const { dose, mode } = item;
		const kind = kinds.get(item.id)!;
		const own = paceFor(pace, movement.slug);
		// a dose that is not usual was meant so: it may stay where it is
		const min = Math.min(range.min, dose.amount);
		const max = Math.max(range.max, dose.amount);
		const given = goes.get(item.id)!;
		const others = given.map(({ side, leads }) => amountOn(dose, side, leads) - dose.amount);
		const seconds: number[] = [];
		for (let amount = min; amount <= max; amount++)
			seconds.push(
				others.reduce(
					(sum, more) => sum + setSeconds(dose, range, mode, Math.max(1, amount + more), own, kind),
					0
				)
			);
		const step = stepOfItem(item, find);
		return {
			itemId: item.id,
			min,
			current: dose.amount,
			allowed: within(boundsOf(item, partOf.get(item.id)!), seconds, min, dose.amount),
			step: item === absorber ? 1 : step,
			seconds,
			secondsPerUnit: given.length * secondsOfEach(dose, range, mode, own, kind),
			weight: item === closing ? CLOSING_WEIGHT : peak.has(item) ? PEAK_WEIGHT : 1
		};
	});
}

/** The amounts that last between the bounds, always with the one that is given. */
function within(
	bounds: WorkBounds | null,
	seconds: readonly number[],
	min: number,
	current: number
): readonly [number, number] {
	const max = min + seconds.length - 1;
	if (!bounds) return [min, max];
	let [from, to] = [current, current];
	for (const [i, own] of seconds.entries()) {
		if (own < bounds.leastSeconds || own > bounds.mostSeconds) continue;
		from = Math.min(from, min + i);
		to = Math.max(to, min + i);
	}
	return [from, to];
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
