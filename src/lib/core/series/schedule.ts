import { itemsOf, type ClassPlan } from '../plan';
import { slotAfter, weekNumber, type Slot } from './dates';
import { sameRung } from './ladder';
import type { PlannedSeries, Rung, Series, SeriesClass } from './types';

/** A rung that a class gives. */
export interface GivenRung {
	ladder: number;
	/** Index of the rung. */
	rung: number;
	/** For the how-manieth time, from 1. */
	time: number;
	/** The movement comes for the first time. */
	isNew: boolean;
}

/** The rung that a class gives of a ladder. */
export const rungOf = ({ ladders }: Series, { ladder, rung }: GivenRung): Rung =>
	ladders[ladder]!.rungs[rung]!;

/** Whether a week of a series (from 1) is an easier one. */
export const isEasier = ({ easierEvery }: Series, week: number): boolean =>
	easierEvery > 0 && week % easierEvery === 0;
/** Whether a week of a series (from 1) has its test. */
export const isRetest = ({ retest }: Series, week: number): boolean => retest.weeks.includes(week);

/**
 * State of a class: taught (with its omissions), still ahead (its plan counts), or passed by (a later class was
 * taught and this one has no record: it was only planned).
 */
type Fate =
	| { kind: 'taught'; leftOut: readonly string[]; there: Readonly<Record<string, string>> }
	| { kind: 'ahead' }
	| { kind: 'passed by' };

function fatesOf({ series: { classes }, runs }: PlannedSeries): Map<string, Fate> {
	const last = classes.findLastIndex(({ id }) => runs[id]);
	return new Map(
		classes.map(({ id }, i): [string, Fate] => {
			const run = runs[id];
			if (run) return [id, { kind: 'taught', leftOut: run.leftOut, there: run.there ?? {} }];
			return [id, { kind: i < last ? 'passed by' : 'ahead' }];
		})
	);
}

/** Slugs that a class gives: of one that was taught without what was left out, of one that was passed by none. */
function givenBy(plan: ClassPlan | undefined, fate: Fate): Set<string> {
	if (!plan || fate.kind === 'passed by') return new Set();
	const out = new Set(fate.kind === 'taught' ? fate.leftOut : []);
	return new Set(
		itemsOf(plan)
			.map((item) => item.movement)
			.filter((slug) => !out.has(slug))
	);
}

/** Returns the movements that a group has met before each class of the series, from records and plans. */
export function metBeforeEach(planned: PlannedSeries, knownBefore: readonly string[]): ReadonlySet<string>[] {
	const fates = fatesOf(planned);
	let met: ReadonlySet<string> = new Set(knownBefore);
	return planned.series.classes.map(({ id }) => {
		const before = met;
		const given = givenBy(planned.plans[id], fates.get(id)!);
		if ([...given].some((slug) => !before.has(slug))) met = new Set([...before, ...given]);
		return before;
	});
}

/** Whether a rung is given: in a class that was taught it must have been in the plan, and not left out. */
function isGiven(rung: Rung, fate: Fate, plan: ClassPlan | undefined): boolean {
	if (fate.kind === 'ahead') return true;
	if (fate.kind === 'passed by' || !plan || fate.leftOut.includes(rung.movement)) return false;
	return itemsOf(plan).some((item) => sameRung(rung, item));
}

/** Where a ladder stands on the way through the classes. */
interface Climb {
	at: number;
	given: number;
	begun: boolean;
}

/**
 * How often each rung of a ladder comes: at least as often as the series says, and more where the weeks allow it, so
 * that the last one is reached near the end and not half way.
 */
export function timesEach(series: Series, ladder: number): number {
	const { rungs } = series.ladders[ladder]!;
	const climbing = series.classes.filter((c) => !isEasier(series, c.week)).length;
	return Math.max(series.repeats, Math.floor(climbing / Math.max(1, rungs.length)));
}

/**
 * Returns the rungs that each class gives. A rung comes at least twice before the next one; no ladder climbs in an
 * easier week; no class has more new movements than the series allows. A movement that a taught class left out is
 * not given, and neither is a class without a record that a later taught class has passed.
 */
export function schedule(
	planned: PlannedSeries,
	knownBefore: readonly string[],
	/** Classes as if there were more of them after the last. */
	later: readonly SeriesClass[] = []
): Map<string, GivenRung[]> {
	const { series, plans } = planned;
	const fates = fatesOf(planned);
	const times = series.ladders.map((_, ladder) => timesEach(series, ladder));
	const climbs = series.ladders.map((): Climb => ({ at: 0, given: 0, begun: false }));
	const known = new Set(knownBefore);
	const result = new Map<string, GivenRung[]>();
	for (const c of [...series.classes, ...later]) {
		const fate = fates.get(c.id) ?? { kind: 'ahead' };
		result.set(c.id, climbedIn(series, c, climbs, times, known, fate, plans[c.id]));
		for (const slug of givenBy(plans[c.id], fate)) known.add(slug);
	}
	return result;
}

function climbedIn(
	series: Series,
	c: SeriesClass,
	climbs: Climb[],
	times: readonly number[],
	known: Set<string>,
	fate: Fate,
	plan?: ClassPlan
): GivenRung[] {
	// a group of which nothing is known yet cannot be spared new things
	let left = known.size === 0 ? Infinity : series.mostNew;
	const given: GivenRung[] = [];
	for (const [ladder, { rungs }] of series.ladders.entries()) {
		const climb = climbs[ladder]!;
		const to = stepTo(climb, rungs.length - 1, isEasier(series, c.week) ? Infinity : times[ladder]!);
		const isNew = (at: number) => !known.has(rungs[at]!.movement);
		const may = !isNew(to) || left > 0;
		if (!climb.begun && !may) continue;
		if (may && to > climb.at) Object.assign(climb, { at: to, given: 0 });
		climb.begun = true;
		const rung = rungs[climb.at]!;
		if (isNew(climb.at)) left -= 1;
		given.push({ ladder, rung: climb.at, time: climb.given + 1, isNew: isNew(climb.at) });
		if (!isGiven(rung, fate, plan)) continue;
		known.add(rung.movement);
		// a rung that few people could do comes again before the next
		if (fate.kind === 'taught' && fate.there[rung.movement] === 'few') continue;
		climb.given += 1;
	}
	return given;
}

/** The rung that comes next, once this one was given so often. */
function stepTo({ at, given, begun }: Climb, last: number, times: number): number {
	return begun && given >= times ? Math.min(last, at + 1) : at;
}

/**
 * Movements that come back: what a taught class left out is owed until a class really gives it; the next one that is not
 * taught yet is to bring it.
 */
export function carriedOver(planned: PlannedSeries): Map<string, string[]> {
	const { series, plans } = planned;
	const fates = fatesOf(planned);
	const back = new Map<string, string[]>();
	let owed: string[] = [];
	for (const c of series.classes) {
		const fate = fates.get(c.id)!;
		if (fate.kind === 'passed by') continue;
		if (fate.kind === 'taught') {
			const given = givenBy(plans[c.id], fate);
			owed = [...new Set([...owed, ...fate.leftOut])].filter((slug) => !given.has(slug));
			continue;
		}
		if (owed.length) back.set(c.id, owed);
		break;
	}
	return back;
}

/** When a goal is reached: the date of the class that gives it first, and whether it lies within the series. */
export interface Reached {
	on: string;
	within: boolean;
}

/** Classes beyond the end that are looked at for the date on which a goal would be reached. */
const LOOK_AHEAD = 200;

/** For each ladder the date on which its last rung comes first; null when it never would. */
export function goalDates(
	planned: PlannedSeries,
	knownBefore: readonly string[],
	scheduled = schedule(planned, knownBefore)
): (Reached | null)[] {
	const { series } = planned;
	const dates = series.ladders.map((): Reached | null => null);
	const note = (given: readonly GivenRung[], on: string, within: boolean) => {
		for (const { ladder, rung } of given)
			if (rung === series.ladders[ladder]!.rungs.length - 1) dates[ladder] ??= { on, within };
	};
	for (const c of series.classes) note(scheduled.get(c.id)!, c.on, true);
	if (dates.every((date) => date !== null)) return dates;
	// as if the series went on as it is
	let last: Slot | null = series.classes.at(-1) ?? null;
	const more: SeriesClass[] = [];
	for (let i = 0; i < LOOK_AHEAD && last; i++) {
		last = slotAfter(series, last);
		if (last) more.push({ id: `later-${i}`, ...last, week: weekNumber(series, last.on) });
	}
	const longer = schedule(planned, knownBefore, more);
	for (const c of more) note(longer.get(c.id)!, c.on, false);
	return dates;
}
