import { itemsOf, type ClassPlan } from '../plan';
import { slotAfter, weekNumber, type Slot } from './dates';
import { sameRung } from './ladder';
import type { PlannedSeries, Rung, Series, SeriesClass } from './types';

/** What a class gives of a ladder. */
export interface Given {
	ladder: number;
	/** Index of the rung. */
	rung: number;
	/** For the how-manieth time, from 1. */
	time: number;
	/** The movement comes for the first time. */
	isNew: boolean;
}

/** The rung that a class gives of a ladder. */
export const rungOf = ({ ladders }: Series, { ladder, rung }: Given): Rung => ladders[ladder]!.rungs[rung]!;

export const isEasier = ({ easierEvery }: Series, week: number): boolean =>
	easierEvery > 0 && week % easierEvery === 0;
export const isRetest = ({ retest }: Series, week: number): boolean => retest.weeks.includes(week);

/** Slugs in a plan that were really taught. */
function taught(plan: ClassPlan, c: SeriesClass): Set<string> {
	const out = new Set(c.run?.leftOut);
	return new Set(
		itemsOf(plan)
			.map((item) => item.movement)
			.filter((slug) => !out.has(slug))
	);
}

/** Whether a rung was given: in a class that was taught it must have been in the plan, and not left out. */
function wasGiven(rung: Rung, c: SeriesClass, plan: ClassPlan | undefined): boolean {
	if (!c.run) return true;
	if (!plan || c.run.leftOut.includes(rung.movement)) return false;
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
 * What each class gives of each ladder. A rung comes at least twice before the next; in an easier week nobody climbs; no
 * class has more new movements than the series says; what a taught class left out does not count as given.
 */
export function schedule(
	{ series, plans }: PlannedSeries,
	knownBefore: readonly string[],
	/** Classes as if there were more of them after the last. */
	later: readonly SeriesClass[] = []
): Map<string, Given[]> {
	const times = series.ladders.map((_, ladder) => timesEach(series, ladder));
	const climbs = series.ladders.map((): Climb => ({ at: 0, given: 0, begun: false }));
	const known = new Set(knownBefore);
	const result = new Map<string, Given[]>();
	for (const c of [...series.classes, ...later]) {
		result.set(c.id, climbedIn(series, c, climbs, times, known, plans[c.id]));
		for (const slug of plans[c.id] ? taught(plans[c.id]!, c) : []) known.add(slug);
	}
	return result;
}

function climbedIn(
	series: Series,
	c: SeriesClass,
	climbs: Climb[],
	times: readonly number[],
	known: Set<string>,
	plan?: ClassPlan
): Given[] {
	// a group of which nothing is known yet cannot be spared new things
	let left = known.size === 0 ? Infinity : series.mostNew;
	const given: Given[] = [];
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
		if (!wasGiven(rung, c, plan)) continue;
		climb.given += 1;
		known.add(rung.movement);
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
export function comesBack({ series, plans }: PlannedSeries): Map<string, string[]> {
	const back = new Map<string, string[]>();
	let owed: string[] = [];
	for (const c of series.classes) {
		if (c.run) {
			const given = plans[c.id] ? taught(plans[c.id]!, c) : new Set<string>();
			owed = [...new Set([...owed, ...c.run.leftOut])].filter((slug) => !given.has(slug));
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
	const note = (given: readonly Given[], on: string, within: boolean) => {
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
