import { roomSheet, type RoomSheet } from '../../core/substitution';
import { notesAsPlanned, type FamiliarMovements } from '../../core/record';
import type { ClassKind, PaceModel, PaceEvidence } from '../../core/pace';
import { inside, type Fault } from '../../core/validation';
import { CATALOGUE } from '../../catalogue';
import { type SilencedCheck } from '../../core/checks';
import { analysePlan, effortOfAnalysis, planContext, type Analysis } from '../../core/analysis';
import {
	changesInWords,
	ladderLines,
	livedViews,
	type LivedView,
	percentOf,
	runningOrder,
	plannedVsActual,
	shiftsBetween,
	weekCards
} from '../../core/view-models';
import type { Leg } from '../../core/anatomy';
import { groupToday, type Group } from '../../core/group';
import { catalogueView, type Movement, type CatalogueView } from '../../core/movement';
import { comparePlans, itemsOf, type ClassPlan } from '../../core/plan';
import {
	compareSeries,
	momentOf,
	analyseSeries,
	rungOf,
	rungWords,
	schedule,
	type PlannedSeries,
	type SeriesAnalysis
} from '../../core/series';
import { styleOf } from '../../core/style';
import {
	eventFaults,
	figuresOf,
	isTaught,
	notesOfTally,
	prepare,
	replay,
	scriptFaults,
	tally,
	evidenceOfSession,
	type PackSource,
	type Prepared,
	type SessionEvent,
	type Script
} from '../../core/teach';
import { planCard, type PlanCard, type Which } from './plan-card';

/**
 * Computations of the server on plans and series, apart from storage. They run in threads (pool.ts): inputs and
 * results are plain data.
 */

/** The movements that a plan or series is read with: those of the catalogue come with the program. */
export interface Movements {
	own: readonly Movement[];
	leftOut: readonly string[];
	/** As the plans were made with them. */
	kept: readonly Movement[];
}

/** A plan with everything that it is read against. */
export interface PlanInput {
	plan: ClassPlan;
	group: Group;
	movements: Movements;
	known: FamiliarMovements;
	pace: PaceModel;
	silencedChecks: SilencedCheck[];
	lastFirstSide: Leg | null;
}

/** A series with everything that it is read against. */
export interface SeriesInput {
	planned: PlannedSeries;
	group: Group;
	movements: Movements;
	knownBefore: readonly string[];
	pace: PaceModel;
}

const catalogueFor = ({ own, leftOut, kept }: Movements): CatalogueView =>
	catalogueView(CATALOGUE, own, leftOut, kept);

function analysis({ plan, group, movements, known, pace, silencedChecks, lastFirstSide }: PlanInput): {
	analysis: Analysis;
	catalogue: CatalogueView;
} {
	const catalogue = catalogueFor(movements);
	const context = planContext(catalogue, group, pace, { known, silencedChecks, lastFirstSide });
	return { analysis: analysePlan(plan, context), catalogue };
}

function analysisOfSeries({ planned, group, movements, knownBefore, pace }: SeriesInput): SeriesAnalysis {
	const { find, offered } = catalogueFor(movements);
	return analyseSeries(planned, { group, find, catalogue: offered, knownBefore, pace });
}

/** Returns the card of each plan. */
function cards(
	plans: (Which & {
		plan: ClassPlan;
		group: Group;
		movements: Movements;
		pace: PaceModel;
		silencedChecks: readonly SilencedCheck[];
	})[]
): PlanCard[] {
	return plans.map(({ plan, group, movements, id, groupId, plannedOn, ...way }) =>
		planCard({ id, groupId, plannedOn }, plan, group, catalogueFor(movements), way)
	);
}

/** Returns the variants of each tier and caution at every item, and the kit of the class. */
function room(input: PlanInput): RoomSheet {
	const { analysis: read, catalogue } = analysis(input);
	const group = groupToday(input.group, input.plan.here);
	return roomSheet(read.context.items, group, catalogue.find, styleOf(input.plan.style));
}

/** Returns the class as each kind of people lives it. */
const lived = (input: PlanInput): LivedView[] => livedViews(analysis(input).analysis);

/** The class card for the teacher's hand. */
function classCard(input: PlanInput) {
	const { analysis: read } = analysis(input);
	const sheet = room(input);
	return {
		totalSeconds: read.timeline.totalSeconds,
		order: runningOrder(read),
		kit: sheet.kit,
		cues: Object.fromEntries(sheet.rows.map((row) => [row.itemId, row.cues])),
		cautions: Object.fromEntries(sheet.rows.map((row) => [row.itemId, row.cautions]))
	};
}

/** Compares an earlier class with a later one. */
function compare({ earlier, later }: { earlier: PlanInput; later: PlanInput }) {
	const before = analysis(earlier);
	const after = analysis(later);
	const { came, went, kept, likeness } = comparePlans(earlier.plan, later.plan);
	const name = (slug: string) => (after.catalogue.find(slug) ?? before.catalogue.find(slug))?.english ?? slug;
	const changed = kept.filter((both) => both.changed.length > 0);
	return {
		likeness: percentOf(likeness),
		came: came.map(name),
		went: went.map(name),
		changed: changed.map((both) => ({
			name: name(both.movement),
			fields: changesInWords(both, before.analysis, after.analysis)
		})),
		same: kept.length - changed.length,
		items: { before: itemsOf(earlier.plan).length, after: itemsOf(later.plan).length },
		...shiftsBetween(before.analysis, after.analysis)
	};
}

/** The weeks and ladders of a series for the studio wall. */
function wall(input: SeriesInput) {
	const read = analysisOfSeries(input);
	return {
		weeks: weekCards(read).map(({ number, theme, easier, retest, ring, empty, classes }) => ({
			number,
			theme,
			easier,
			retest,
			ring,
			empty,
			classes: classes.map(({ id, day, startsAt, rungs }) => ({
				id,
				day,
				startsAt,
				rungs: rungs.map(({ words }) => words)
			}))
		})),
		ladders: laddersOf(read)
	};
}

const laddersOf = (read: SeriesAnalysis) =>
	ladderLines(read).lines.map(({ name, goal, rungs }) => ({ name, goal, rungs }));

/** Two series side by side. */
function compareTwoSeries({ a, b }: { a: SeriesInput; b: SeriesInput }) {
	const [one, other] = [analysisOfSeries(a), analysisOfSeries(b)];
	return { a: laddersOf(one), b: laddersOf(other), lines: compareSeries(one, other) };
}

/** The classes of a series as moments with what is to be climbed in each. */
function dates({ planned, movements, knownBefore }: SeriesInput) {
	const { series, plans } = planned;
	const { find } = catalogueFor(movements);
	const scheduled = schedule(planned, [...knownBefore]);
	return series.classes.map((c, i) => ({
		id: c.id,
		title: plans[c.id]?.title || `${series.title}, class ${i + 1}`,
		start: momentOf(c, series.timeZone),
		lengthSeconds: plans[c.id]?.lengthSeconds ?? series.lengthSeconds,
		note: (scheduled.get(c.id) ?? []).map((given) => rungWords(rungOf(series, given), find)).join('\n')
	}));
}

/** A class made ready to teach: the script of a plan for the group as it is today, and its drawings. */
function script({ plan, group, movements, pace }: PlanInput): Prepared & { source: PackSource } {
	const source = { plan, group, ...movements, pace };
	return { ...prepare(source, plan.here, CATALOGUE), source };
}

/** Returns the first notes on a class, and its movements. */
function outcome(input: PlanInput) {
	const { analysis: read, catalogue } = analysis(input);
	const slugs = [...new Set(itemsOf(input.plan).map(({ movement }) => movement))];
	return {
		asPlanned: notesAsPlanned(effortOfAnalysis(read), read.timeline.totalSeconds / 60),
		movements: slugs.map((slug) => ({ slug, english: catalogue.find(slug)?.english ?? slug }))
	};
}

/** Drawings by their keys, as the steps of a script name them. */
const drawings = ({ keys, movements }: { keys: string[]; movements: Movements }) =>
	figuresOf(keys, catalogueFor(movements).find);

/** A class that was led: its script and what happened in it. */
interface LedClass {
	script: Script;
	events: readonly SessionEvent[];
}

/** Returns the faults in a device's upload: of the script, and of each event by its index. */
function sentFaults({ script: sent, events }: { script: unknown; events: readonly unknown[] }): {
	script: Fault[];
	events: Fault[][];
} {
	return {
		script: sent === null ? [] : inside('script', scriptFaults(sent)),
		events: events.map((event, i) => inside(`events[${i}]`, eventFaults(event)))
	};
}

/** Returns the record of a class that was led. */
const tallyOfLed = ({ script: of, events }: LedClass) => tally(of, events);

/** Returns the automatic notes on a class that was led; null where it was not led to its end. */
function notesOfLed({ script: of, events, plan }: LedClass & { plan: ClassPlan | null }) {
	const became = tally(of, events);
	return isTaught(became) ? notesOfTally(became, plan) : null;
}

/** Returns the counts of the tests in a class that was led. */
const countsOfLed = ({ script: of, events }: LedClass) => replay(of, events).counts;

/** A class that was led as it is shown: planned and real. */
const shownLed = ({ movements, ...led }: LedClass & { movements: Movements }) => ({
	tally: tally(led.script, led.events),
	scores: plannedVsActual(led.script, led.events, catalogueFor(movements).find)
});

/** Returns the evidence of a led class on the pace of its teacher. */
const timeOfLed = ({
	plan,
	kind,
	movements,
	...led
}: LedClass & { plan: ClassPlan; kind: ClassKind; movements: Movements }): PaceEvidence | null =>
	evidenceOfSession(led, plan, catalogueFor(movements).find, kind);

export const TASKS = {
	sentFaults,
	tallyOfLed,
	notesOfLed,
	countsOfLed,
	shownLed,
	timeOfLed,
	cards,
	room,
	lived,
	script,
	drawings,
	outcome,
	classCard,
	compare,
	wall,
	compareTwoSeries,
	dates
};
export type Tasks = typeof TASKS;

/** Works a task out somewhere: in a thread beside the requests, or right here. */
export type RunTask = <T extends keyof Tasks>(
	task: T,
	input: Parameters<Tasks[T]>[0]
) => Promise<ReturnType<Tasks[T]>>;

/** Right here: where no request waits, as in the seed. */
export const workHere: RunTask = async (task, input) =>
	(TASKS[task] as (input: unknown) => unknown)(input) as ReturnType<Tasks[typeof task]>;
