import { DIRECTIONS, otherLeg, type Direction, type Leg } from '../anatomy';
import { LATELY_CLASSES, shortDirections } from '../orbit';
import { LOAD, mostLoad, targetLoad } from './load';
import { standingsBefore } from './progress';
import { heightKey, type Standing } from './heights';
import { beyond, carriedOn, isAtTop, peakFurther, type RungStep } from './advance';
import { metBeforeEach, rungOf } from './schedule';
import { formOf, setRestOf, type FormId } from '../movement';
import {
	emptyPlan,
	itemsOf,
	newItem,
	nextId,
	SECTION_KINDS,
	slugsOf,
	type Block,
	type ClassPlan,
	type SectionKind
} from '../plan';
import { HIP_TESTS } from '../hip-tests';
import { planContext } from '../analysis';
import {
	demandOf,
	mayStandIn,
	optionsFor,
	proposeClasses,
	type ProposeContext,
	type ReachedHeight,
	type Wishes,
	type SearchBudget
} from '../propose';
import { styleOf, type StyleChoices } from '../style';
import { withProposed } from './edit';
import { nearlyNeglected, targetsWithMore } from './neglect';
import { analyseSeries, type ClassAnalysis, type SeriesAnalysis, type SeriesContext } from './analysis';
import type { PlannedSeries, Rung } from './types';

/** A request to propose the classes of a series. */
export interface SeriesRequest {
	planned: PlannedSeries;
	context: SeriesContext;
	/** The schools of who teaches. */
	choices: StyleChoices;
	seed: number;
	/** Ids of the classes to propose; taught ones and those changed by hand are never among them. */
	only?: readonly string[];
	work?: SearchBudget;
}

/** A whole series is many classes: each gets about half of the work that a single one is given. */
export const SERIES_WORK: SearchBudget = { roughSteps: 300, starts: 1, steps: 7000, mostStarts: 6 };

/** Which classes wait for a proposal: those without a plan, and those that no longer give what they should. */
export function waiting(analysis: SeriesAnalysis): string[] {
	return analysis.classes
		.filter(({ state }) => state === 'unplanned' || state === 'outdated')
		.map((c) => c.class.id);
}

/** Which classes can be proposed anew without touching what was taught or changed by hand. */
export function renewable(analysis: SeriesAnalysis): string[] {
	return analysis.classes
		.filter(({ state }) => state === 'unplanned' || state === 'outdated' || state === 'proposed')
		.map((c) => c.class.id);
}

/**
 * Proposes classes one after another, each from what came before it. Bounded by work: a seed gives the same series
 * everywhere. Stop by asking for no more.
 */
export function* proposeSeries(
	ask: SeriesRequest
): Generator<{ classId: string; done: number; of: number; plan: ClassPlan }> {
	const { context, seed, work = SERIES_WORK } = ask;
	let planned = ask.planned;
	const first = analyseSeries(planned, context);
	const may = new Set(renewable(first));
	const wanted = (ask.only ?? waiting(first)).filter((id) => may.has(id));
	for (const [done, classId] of wanted.entries()) {
		const analysis = analyseSeries(planned, context);
		const at = analysis.classes.findIndex((c) => c.class.id === classId);
		const plan = classFor(analysis, at, ask, seed + 104_729 * at, work);
		planned = withProposed(planned, { [classId]: plan });
		yield { classId, done: done + 1, of: wanted.length, plan };
	}
}

function classFor(
	analysis: SeriesAnalysis,
	at: number,
	{ context, choices }: SeriesRequest,
	seed: number,
	work: SearchBudget
): ClassPlan {
	const { series } = analysis.planned;
	const c = analysis.classes[at]!;
	const before = analysis.classes.slice(0, at).filter(({ plan }) => plan && itemsOf(plan).length > 0);
	const last = before.at(-1) ?? null;
	const known = metBeforeEach(analysis.planned, context.knownBefore)[at]!;
	const weeksBefore = analysis.weeks.filter(({ number }) => number < c.class.week);
	const theme = series.themes[c.class.week - 1];
	const lately = before.slice(-LATELY_CLASSES).flatMap(({ analysis: own }) => (own ? [own.orbit] : []));
	const urgent = nearlyNeglected(weeksBefore);
	const wanted = [
		...new Set([
			...urgent,
			...(theme?.more ? [theme.more] : []),
			...shortDirections(lately, context.group.targets)
		])
	];
	const group = { ...context.group, targets: targetsWithMore(context.group.targets, wanted) };
	// the first class gives something of every direction
	const more = lately.length ? wanted : DIRECTIONS;
	const view = { offered: context.catalogue, find: context.find };
	const within: ProposeContext = planContext(view, group, context.pace, {
		...(known.size ? { known: { slugs: [...known], from: 'planned' as const } } : {}),
		lastFirstSide: last?.firstSide ?? null
	});
	const standing = standingsBefore(analysis.classes, c, context.find);
	const base = baseFor(c, analysis, choices, last?.firstSide ?? null, standing);
	const wishes = { ...wishesFor(c, analysis, base, within, last, known.size > 0, standing), more };
	let best: { plan: ClassPlan; missed: number } | null = null;
	for (let tried = 0; tried < MOST_TRIES && best?.missed !== 0; tried++) {
		const composed = lastOf(
			proposeClasses({ base, wishes, context: within, seed: seed + TRIES_APART * tried, count: 1, work })
		).proposal.plan;
		const plan = c.easier
			? composed
			: peakFurther(composed, { base, standing, context: within, effort: wishes.effort });
		const missed = urgent.length ? missedIn(plan, c, analysis, urgent) : 0;
		if (!best || missed < best.missed) best = { plan, missed };
	}
	return best!.plan;
}

/** How often a class is proposed where a direction is nearly neglected, and how far apart the seeds are. */
const MOST_TRIES = 3;
const TRIES_APART = 15_485_863;

/** Returns how many of some directions a week is short of once it has a class. */
function missedIn(
	plan: ClassPlan,
	{ class: { id, week } }: ClassAnalysis,
	{ planned, context }: SeriesAnalysis,
	directions: readonly Direction[]
): number {
	const { weeks } = analyseSeries(withProposed(planned, { [id]: plan }), context);
	const { balance } = weeks.find(({ number }) => number === week)!;
	return directions.filter((d) => balance.directions[d].standing === 'short').length;
}

function lastOf<T>(all: Iterable<T>): T {
	const list = [...all];
	return list.at(-1)!;
}

/** An empty class with what it has to give in its place: the rungs of the ladders, and the test at both ends. */
function baseFor(
	c: ClassAnalysis,
	{ planned: { series }, context }: SeriesAnalysis,
	choices: StyleChoices,
	lastSide: Leg | null,
	standing: ReadonlyMap<string, Standing>
): ClassPlan {
	const theme = series.themes[c.class.week - 1]?.words.trim();
	const title = theme ? `${series.title}, class ${c.number}: ${theme}` : `${series.title}, class ${c.number}`;
	const empty: ClassPlan = {
		...emptyPlan(title.slice(0, 200), c.class.startsAt, series.lengthSeconds, choices),
		firstSide: lastSide && choices.firstSide !== 'same' ? otherLeg(lastSide) : 'left'
	};
	let plan = empty;
	const put = (kind: SectionKind, make: (id: string) => Block) => {
		const id = nextId(plan);
		plan = {
			...plan,
			sections: plan.sections.map((section) =>
				section.kind === kind ? { ...section, blocks: [...section.blocks, make(id)] } : section
			)
		};
	};
	for (const { ladder, rung, time } of c.given) {
		const { rungs } = series.ladders[ladder]!;
		const planned = carriedOn(rungs, rung, c.easier ? 1 : time, context.find, choices);
		const step = c.easier
			? planned
			: beyond(planned, standing.get(heightKey(planned)), context.find, choices);
		const isGoal = rung === rungs.length - 1;
		// a movement has its place once, also when two ladders lead through it
		if (itemsOf(plan).some((item) => item.movement === step.movement)) continue;
		put(partFor(step, isGoal, context, choices), (id) => ({ ...itemOf(plan, step, context), id }));
	}
	if (c.retest) {
		const { test } = series.retest;
		for (const kind of ['settle', 'release'] as const)
			put(kind, (id) => ({ kind: 'test', id, test, seconds: HIP_TESTS[test].usualSeconds }));
	}
	return plan;
}

function itemOf(
	plan: ClassPlan,
	{ movement: slug, form, mode, dose, sets }: RungStep,
	{ find }: SeriesContext
) {
	const movement = find(slug)!;
	const item = newItem(plan, movement, plan.firstSide, form);
	const inSets = sets > 1 ? { sets, restSeconds: setRestOf(movement) } : {};
	return { ...item, mode, dose: { ...item.dose, amount: dose, ...inSets } };
}

/** The part of a class in which a rung stands: the goal in the peak where it may, everything else in the work before. */
function partFor(
	rung: Rung,
	isGoal: boolean,
	{ find, group }: SeriesContext,
	choices: StyleChoices
): SectionKind {
	const movement = find(rung.movement)!;
	const given = { movement, form: formOf(movement, rung.form)!, mode: rung.mode };
	const may = mayStandIn(given, group, styleOf(choices));
	const order: SectionKind[] = isGoal ? ['peak', 'build', 'warm'] : ['build', 'warm', 'peak'];
	return [...order, ...SECTION_KINDS].find((kind) => may.has(kind)) ?? 'build';
}

function wishesFor(
	c: ClassAnalysis,
	analysis: SeriesAnalysis,
	base: ClassPlan,
	context: ProposeContext,
	last: ClassAnalysis | null,
	groupIsKnown: boolean,
	standing: ReadonlyMap<string, Standing>
): Wishes {
	const { series } = analysis.planned;
	const there = new Set(slugsOf(base));
	const offered = new Set(optionsFor(base, {}, context).map(({ item }) => item.movement));
	const back = c.comesBack.filter((slug) => offered.has(slug) && !there.has(slug));
	const toward = series.themes[c.class.week - 1]?.toward;
	const known = new Set(context.known?.slugs);
	const fresh = c.given.filter(({ isNew }) => isNew).length;
	const { purpose } = series.themes[c.class.week - 1] ?? {};
	const wishes: Wishes = {
		must: back,
		...(purpose ? { purpose } : {}),
		...rungsAhead(c, analysis),
		...peakOf(c, analysis, standing),
		// an easier week keeps the range and lets go of sets
		reached: new Map([...standing].map(([key, own]) => [key, reachedOf(own, c.easier)])),
		...(groupIsKnown
			? { mostNew: c.easier ? 0 : Math.max(0, series.mostNew - fresh) }
			: { mostMovements: FIRST_CLASS_MOVEMENTS }),
		...(toward && offered.has(toward) && !there.has(toward) && (known.has(toward) || fresh === 0)
			? { toward }
			: {})
	};
	const load = targetLoad(analysis, c.class.week);
	if (load !== null) {
		const effort = load / (series.lengthSeconds / 60);
		// a quarter of what is on target: one class low and the next one high would be a jump
		const slack = LOAD.slack / 4;
		const most = Math.min(
			(1 + slack) * effort,
			mostLoad(analysis, c.class.week) / (series.lengthSeconds / 60)
		);
		wishes.effort = { least: Math.min(most, (1 - slack) * effort), most };
	}
	const next = nextTime(c, analysis);
	if (next) wishes.nextTime = next;
	if (last?.plan) {
		const movements = slugsOf(last.plan);
		wishes.lastTime = movements;
		wishes.like = { movements, share: likeShare(series.keepPercent / 100, movements, known, series.mostNew) };
	}
	return wishes;
}

/** A first class is a beginning: this many movements at most. Common practice, no source. */
const FIRST_CLASS_MOVEMENTS = 9;

/** How far a group has gone with a movement, as a class is to keep it. */
function reachedOf({ highest, last, still }: Standing, easier: boolean): ReachedHeight {
	const { form, sets, amount } = easier ? highest : last;
	return { form, sets: easier ? 1 : sets, amount: easier ? 0 : amount, still: easier ? 0 : still };
}

/** The visits as a peak at one height after which a movement hands over: what can go no further, and anything. Common practice, no source. */
const HANDS_OVER_AFTER = { atTop: 2, anything: 3 };
/** The peaks in a row after which a movement makes room for another one, unless a ladder leads to it. Common practice, no source. */
const PEAKS_IN_A_ROW = 3;

/** Limits the peak: to less than the goals until they are reached, and to movements that have not come to their end. */
function peakOf(
	c: ClassAnalysis,
	{ planned: { series }, context: { find } }: SeriesAnalysis,
	standing: ReadonlyMap<string, Standing>
): Pick<Wishes, 'notPeak' | 'peakBelow'> {
	const given = new Set(c.given.map((one) => rungOf(series, one).movement));
	const notPeak = c.easier
		? []
		: [...standing.values()].flatMap(({ highest, still, peaksInARow }) => {
				const slug = highest.movement;
				const after = isAtTop(find(slug)!, highest) ? HANDS_OVER_AFTER.atTop : HANDS_OVER_AFTER.anything;
				const isOver = still >= after;
				return isOver || (peaksInARow >= PEAKS_IN_A_ROW && !given.has(slug)) ? [slug] : [];
			});
	const ahead = series.ladders.flatMap(({ rungs }, ladder) => {
		const at = c.given.find((given) => given.ladder === ladder)?.rung ?? -1;
		return at < rungs.length - 1 ? [demandOfRung(rungs.at(-1)!, find)] : [];
	});
	return { notPeak, ...(ahead.length ? { peakBelow: Math.max(...ahead) } : {}) };
}

function demandOfRung({ movement: slug, form: id, mode }: Rung, find: SeriesContext['find']): number {
	const movement = find(slug);
	const form = movement && formOf(movement, id);
	return form ? demandOf(form, mode) : Infinity;
}

/** Returns the rungs that the ladders have not reached: harder forms of the present rung, and all later rungs. */
function rungsAhead(
	c: ClassAnalysis,
	{ planned: { series } }: SeriesAnalysis
): Pick<Wishes, 'upTo' | 'never'> {
	const upTo: Record<string, FormId> = {};
	const never = new Set<string>();
	for (const [ladder, { rungs }] of series.ladders.entries()) {
		const at = c.given.find((given) => given.ladder === ladder)?.rung ?? -1;
		for (const { movement, form } of rungs.slice(0, at + 1)) upTo[movement] = form;
		for (const { movement } of rungs.slice(at + 1)) if (!(movement in upTo)) never.add(movement);
	}
	return { upTo, never: [...never].filter((slug) => !(slug in upTo) && !c.comesBack.includes(slug)) };
}

/**
 * The share of the last class that can come again: more than is asked for as long as the group knows little else, for
 * new movements come one by one.
 */
function likeShare(
	wanted: number,
	last: readonly string[],
	known: ReadonlySet<string>,
	mostNew: number
): number {
	const elsewhere = [...known].filter((slug) => !last.includes(slug)).length;
	const needed = (last.length - mostNew - elsewhere) / Math.max(1, last.length);
	return Math.max(wanted, needed);
}

/** Describes the next class; null where there is nothing to say. */
function nextTime(
	c: ClassAnalysis,
	{ classes, planned: { series }, context }: SeriesAnalysis
): string | null {
	const next = classes[c.number];
	if (!next) return null;
	const rungs = next.given.map((given) => rungOf(series, given).movement);
	const names = rungs.map((slug) => context.find(slug)?.english ?? slug);
	return names.join(' and ') || series.themes[next.class.week - 1]?.words.trim() || null;
}
