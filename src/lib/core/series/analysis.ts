import { stillSeconds, balance, sumOfOrbits, type Balance, type Orbit } from '../orbit';
import { analysePlan, planContext, effortOfAnalysis, type Analysis } from '../analysis';
import { type ClassRecord, draftNotes, notesAsPlanned, type ClassNotes } from '../record';
import type { Leg, Tissue } from '../anatomy';
import type { Group } from '../group';
import { changePercent, monotony, sessionLoad, strain, weeklyLoad } from '../training-load';
import type { FindMovement, Movement } from '../movement';
import type { PaceModel } from '../pace';
import { blocksOf, firstSideOf, isAsMarked, itemsOf, type ClassPlan } from '../plan';
import { addDays } from '../calendar';
import { mondayOfWeek, weekNumber } from './dates';
import { sameRung } from './ladder';
import {
	carriedOver,
	goalDates,
	isEasier,
	isRetest,
	rungOf,
	schedule,
	type GivenRung,
	type Reached
} from './schedule';
import type { PlannedSeries, Series, SeriesClass } from './types';

/** Everything that a series is analysed against. */
export interface SeriesContext {
	group: Group;
	find: FindMovement;
	/** The pace of who teaches; left out: the usual one. */
	pace: PaceModel;
	/** Movements that may be proposed. */
	catalogue: readonly Movement[];
	/** Slugs that the group met before the series began. */
	knownBefore: readonly string[];
}

/**
 * Where a class stands: taught and written down; not planned; as it was proposed; changed by hand; or proposed before
 * the series was changed, so that it no longer gives what it should, or is of another length.
 */
export type ClassState = 'taught' | 'unplanned' | 'proposed' | 'edited' | 'outdated';

/** One class of a series with everything that is worked out from it. */
export interface ClassAnalysis {
	class: SeriesClass;
	/** Record of the class; null until one is written. */
	run: ClassRecord | null;
	/** From 1. */
	number: number;
	plan: ClassPlan | null;
	analysis: Analysis | null;
	state: ClassState;
	/** Its length alone, or its content, where it is behind what the series asks; null where it is not. */
	behind: 'length' | 'content' | null;
	/** Rungs that the class should give, and movements that return because an earlier class left them out. */
	given: readonly GivenRung[];
	comesBack: readonly string[];
	easier: boolean;
	retest: boolean;
	/** Minutes and effort as planned, or as they were. */
	minutes: number;
	effort: number;
	load: number;
	/** As planned, whatever was reported of it. */
	plannedLoad: number;
	/** Seconds held long per tissue on one leg. */
	tissues: ReadonlyMap<Tissue, number>;
	firstSide: Leg | null;
}

/** One week of a series: its classes, load and balance. */
export interface WeekAnalysis {
	/** Calendar week of the series, from 1. */
	number: number;
	monday: string;
	classes: readonly ClassAnalysis[];
	easier: boolean;
	/** It has all of its classes, each planned. */
	whole: boolean;
	/** Some of its classes were changed by hand and some not: it says nothing of how the series goes. */
	mixed: boolean;
	load: number;
	/** As planned, whatever was reported of it. */
	plannedLoad: number;
	/** Of seven daily loads; null without load. */
	monotony: number | null;
	strain: number | null;
	/** Against the last ordinary week that had all of its classes; null where there is none. */
	changePercent: number | null;
	orbit: Orbit;
	balance: Balance;
	tissues: ReadonlyMap<Tissue, number>;
}

/** Everything that is worked out from a series: nothing of it is stored. */
export interface SeriesAnalysis {
	planned: PlannedSeries;
	context: SeriesContext;
	classes: readonly ClassAnalysis[];
	weeks: readonly WeekAnalysis[];
	/** Over the whole series. */
	orbit: Orbit;
	balance: Balance;
	/** For each ladder when its goal comes first. */
	goals: readonly (Reached | null)[];
}

/** Facts about one plan; cached for as long as the plan is the same value. */
interface PlanFacts {
	find: FindMovement;
	group: Group;
	pace: PaceModel | undefined;
	analysis: Analysis;
	effort: number;
	tissues: ReadonlyMap<Tissue, number>;
}
const factsCache = new WeakMap<ClassPlan, PlanFacts>();

function planFacts(plan: ClassPlan, { find, group, catalogue, pace }: SeriesContext): PlanFacts {
	const before = factsCache.get(plan);
	if (before && before.find === find && before.group === group && before.pace === pace) return before;
	const analysis = analysePlan(plan, planContext({ offered: catalogue, find }, group, pace));
	const facts = {
		find,
		group,
		pace,
		analysis,
		effort: effortOfAnalysis(analysis),
		tissues: stillSeconds(analysis.context.items)
	};
	factsCache.set(plan, facts);
	return facts;
}

/** Returns the notes that the form of a class starts with: earlier notes, else the plan. */
export const draftOfRecord = ({ run, effort, minutes }: ClassAnalysis): ClassNotes =>
	draftNotes(run, notesAsPlanned(effort, minutes));

/** Reads a series: every class, every week, and the whole. */
export function analyseSeries(planned: PlannedSeries, context: SeriesContext): SeriesAnalysis {
	const { series } = planned;
	const scheduled = schedule(planned, context.knownBefore);
	const back = carriedOver(planned);
	const asReported = reportedAgainstPlanned(planned, context);
	const classes = series.classes.map((c, i) =>
		readClass(c, i + 1, planned, context, scheduled.get(c.id) ?? [], back.get(c.id) ?? [], asReported)
	);
	const orbit = sumOfOrbits(classes.flatMap(({ analysis }) => (analysis ? [analysis.orbit] : [])));
	return {
		planned,
		context,
		classes,
		weeks: weeksOf(series, classes, context),
		orbit,
		balance: balance(orbit, context.group.targets),
		goals: goalDates(planned, context.knownBefore, scheduled)
	};
}

/** From this number of reports on, what the group says of its classes leads. Common practice, no source. */
const FEWEST_REPORTS = 3;

/**
 * Returns by what factor the group's classes feel harder than planned, over all that have a report; 1 with fewer than
 * {@link FEWEST_REPORTS}.
 */
function reportedAgainstPlanned({ series, plans, runs }: PlannedSeries, context: SeriesContext): number {
	let [reports, said, worked] = [0, 0, 0];
	for (const { id } of series.classes) {
		const effort = runs[id]?.effort;
		const plan = plans[id];
		if (effort === null || effort === undefined || !plan) continue;
		reports += 1;
		said += effort;
		worked += planFacts(plan, context).effort;
	}
	return reports >= FEWEST_REPORTS && worked > 0 ? said / worked : 1;
}

function readClass(
	c: SeriesClass,
	number: number,
	{ series, plans, runs }: PlannedSeries,
	context: SeriesContext,
	given: readonly GivenRung[],
	back: readonly string[],
	asReported: number
): ClassAnalysis {
	const plan = plans[c.id] ?? null;
	const run = runs[c.id] ?? null;
	const facts = plan && planFacts(plan, context);
	const behind = plan && behindIn(c, plan, given, back, series);
	const minutes = run?.minutes ?? (facts ? facts.analysis.timeline.totalSeconds / 60 : 0);
	const effort = run?.effort ?? (facts ? Math.min(10, facts.effort * asReported) : 0);
	return {
		class: c,
		run,
		number,
		plan,
		analysis: facts?.analysis ?? null,
		state: stateOf(c, run, plan, behind),
		behind,
		given,
		comesBack: back,
		easier: isEasier(series, c.week),
		retest: isRetest(series, c.week),
		minutes,
		effort,
		load: sessionLoad(effort, minutes),
		plannedLoad: facts ? sessionLoad(facts.effort, facts.analysis.timeline.totalSeconds / 60) : 0,
		tissues: facts?.tissues ?? new Map(),
		firstSide: plan && itemsOf(plan).length ? firstSideOf(plan) : null
	};
}

function stateOf(
	c: SeriesClass,
	run: ClassRecord | null,
	plan: ClassPlan | null,
	behind: ClassAnalysis['behind']
): ClassState {
	if (run) return 'taught';
	if (!plan) return 'unplanned';
	if (!isAsMarked(plan, c.proposedAs)) return 'edited';
	return behind ? 'outdated' : 'proposed';
}

/** Whether a plan is behind what the series asks of it, in its content or in its length alone. */
function behindIn(
	c: SeriesClass,
	plan: ClassPlan,
	given: readonly GivenRung[],
	back: readonly string[],
	series: Series
): ClassAnalysis['behind'] {
	if (missingIn(plan, given, back, series).length > 0 || lacksTest(plan, c, series)) return 'content';
	return plan.lengthSeconds === series.lengthSeconds ? null : 'length';
}

/** Whether a class in a week with a test has none of it. */
function lacksTest(plan: ClassPlan, { week }: SeriesClass, series: Series): boolean {
	return (
		isRetest(series, week) &&
		!blocksOf(plan).some(({ block }) => block.kind === 'test' && block.test === series.retest.test)
	);
}

/** Slugs that a class should have and has not, or not in the form of its rung. */
export function missingIn(
	plan: ClassPlan,
	given: readonly GivenRung[],
	back: readonly string[],
	series: Series
): string[] {
	const items = itemsOf(plan);
	const rungs = given.map((g) => rungOf(series, g));
	return [
		...rungs.filter((rung) => !items.some((item) => sameRung(rung, item))).map(({ movement }) => movement),
		...back.filter((slug) => !items.some(({ movement }) => movement === slug))
	];
}

function weeksOf(series: Series, classes: readonly ClassAnalysis[], context: SeriesContext): WeekAnalysis[] {
	const last = classes.at(-1);
	const count = Math.max(series.weeks, last ? weekNumber(series, last.class.on) : 0);
	const inWeek = new Map<number, ClassAnalysis[]>();
	for (const c of classes) {
		const week = weekNumber(series, c.class.on);
		inWeek.set(week, [...(inWeek.get(week) ?? []), c]);
	}
	const weeks: WeekAnalysis[] = [];
	let ordinary: WeekAnalysis | null = null;
	for (let number = 1; number <= count; number++) {
		const own = inWeek.get(number) ?? [];
		const monday = mondayOfWeek(series, number);
		const easier = own.length > 0 && own.every((c) => c.easier);
		const load = weeklyLoad(own.map((c) => c.load));
		const whole = own.length >= series.meetings.length && own.every((c) => c.analysis);
		const edited = own.filter(({ state }) => state === 'edited').length;
		const mixed = edited > 0 && edited < own.length;
		const week: WeekAnalysis = {
			...readWeek(number, monday, own, easier, load, ordinary, context),
			whole,
			mixed
		};
		weeks.push(week);
		if (whole && !mixed && !easier && load > 0) ordinary = week;
	}
	return weeks;
}

/**
 * Returns the change of load of a week against an earlier one, percent: from reports where both weeks have them,
 * else from both plans. The two measures are never mixed.
 */
function changeAgainst(before: WeekAnalysis, classes: readonly ClassAnalysis[]): number | null {
	const taught = [...before.classes, ...classes].every(({ run }) => run);
	const sum = (list: readonly ClassAnalysis[]) =>
		weeklyLoad(list.map((c) => (taught ? c.load : c.plannedLoad)));
	return changePercent(sum(before.classes), sum(classes));
}

/** With fewer classes a week the days of rest decide, whatever is done. Common practice, no source. */
const FEWEST_FOR_MONOTONY = 3;

function readWeek(
	number: number,
	monday: string,
	classes: readonly ClassAnalysis[],
	easier: boolean,
	load: number,
	ordinary: WeekAnalysis | null,
	{ group }: SeriesContext
): Omit<WeekAnalysis, 'whole' | 'mixed'> {
	const daily = Array.from({ length: 7 }, (_, day) =>
		weeklyLoad(classes.filter((c) => c.class.on === addDays(monday, day)).map((c) => c.load))
	);
	const orbit = sumOfOrbits(classes.flatMap(({ analysis }) => (analysis ? [analysis.orbit] : [])));
	const tissues = new Map<Tissue, number>();
	for (const c of classes)
		for (const [tissue, seconds] of c.tissues) tissues.set(tissue, (tissues.get(tissue) ?? 0) + seconds);
	return {
		number,
		monday,
		classes,
		easier,
		load,
		plannedLoad: weeklyLoad(classes.map((c) => c.plannedLoad)),
		...(classes.length >= FEWEST_FOR_MONOTONY
			? { monotony: monotony(daily), strain: strain(daily) }
			: { monotony: null, strain: null }),
		changePercent: ordinary === null || load === 0 ? null : changeAgainst(ordinary, classes),
		orbit,
		balance: balance(orbit, group.targets),
		tissues
	};
}
