import { otherLeg, type Leg } from '../anatomy';
import { LATELY_CLASSES, shortDirections } from '../orbit';
import { LOAD, targetLoad } from './load';
import { ordinaryBefore } from './progress';
import { metBeforeEach, rungOf } from './schedule';
import { formOf, stepOf, type FormId } from '../movement';
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
	mayStandIn,
	optionsFor,
	proposeClasses,
	type Proposal,
	type ProposeContext,
	type Wishes,
	type SearchBudget
} from '../propose';
import { styledRange, styleOf, type StyleChoices } from '../style';
import { withProposed } from './edit';
import { neglected, targetsWithMore } from './neglect';
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
		const { plan } = classFor(analysis, at, ask, seed + 104_729 * at, work);
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
): Proposal {
	const { series } = analysis.planned;
	const c = analysis.classes[at]!;
	const before = analysis.classes.slice(0, at).filter(({ plan }) => plan && itemsOf(plan).length > 0);
	const last = before.at(-1) ?? null;
	const known = metBeforeEach(analysis.planned, context.knownBefore)[at]!;
	const weeksBefore = analysis.weeks.filter(({ monday }) => monday < c.class.on);
	const theme = series.themes[c.class.week - 1];
	const lately = before.slice(-LATELY_CLASSES).flatMap(({ analysis: own }) => (own ? [own.orbit] : []));
	const more = [
		...new Set([
			...neglected(weeksBefore),
			...(theme?.more ? [theme.more] : []),
			...shortDirections(lately, context.group.targets)
		])
	];
	const group = { ...context.group, targets: targetsWithMore(context.group.targets, more) };
	const view = { offered: context.catalogue, find: context.find };
	const within: ProposeContext = planContext(view, group, context.pace, {
		...(known.size ? { known: { slugs: [...known], from: 'planned' as const } } : {}),
		lastFirstSide: last?.firstSide ?? null
	});
	const base = baseFor(c, analysis, choices, last?.firstSide ?? null);
	const wishes = { ...wishesFor(c, analysis, base, within, last, known.size > 0), more };
	let best: Proposal | null = null;
	for (const { proposal } of proposeClasses({ base, wishes, context: within, seed, count: 1, work }))
		best = proposal;
	return best!;
}

/** An empty class with what it has to give in its place: the rungs of the ladders, and the test at both ends. */
function baseFor(
	c: ClassAnalysis,
	{ planned: { series }, context }: SeriesAnalysis,
	choices: StyleChoices,
	lastSide: Leg | null
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
		const step = carriedOn(rungs[rung]!, rung === rungs.length - 1 && !c.easier ? time : 1, context, choices);
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

function itemOf(plan: ClassPlan, { movement, form, mode, dose }: Rung, { find }: SeriesContext) {
	const item = newItem(plan, find(movement)!, plan.firstSide, form);
	return { ...item, mode, dose: { ...item.dose, amount: dose } };
}

/**
 * A goal that is reached goes on: each further time more of it, up to what is usual at most (common practice, no source);
 * a set more is for the composition.
 */
function carriedOn(rung: Rung, time: number, { find }: SeriesContext, choices: StyleChoices): Rung {
	const movement = find(rung.movement);
	const form = movement && formOf(movement, rung.form);
	if (!form || time <= 1) return rung;
	const { max, unit } = styledRange(styleOf(choices), form, rung.mode);
	const dose = rung.dose + stepOf(unit) * (time - 1);
	return { ...rung, dose: Math.max(rung.dose, Math.min(max, dose)) };
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
	groupIsKnown: boolean
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
		...(groupIsKnown ? { mostNew: Math.max(0, series.mostNew - fresh) } : {}),
		...(toward && offered.has(toward) && !there.has(toward) && (known.has(toward) || fresh === 0)
			? { toward }
			: {})
	};
	const load = targetLoad(analysis, c.class.week);
	if (load !== null) {
		const effort = load / (series.lengthSeconds / 60);
		// a quarter of what is on target: one class low and the next one high would be a jump
		const slack = LOAD.slack / 4;
		wishes.effort = { least: (1 - slack) * effort, most: (1 + slack) * effort };
	}
	const ordinary = c.easier ? null : ordinaryBefore(analysis.classes, c);
	if (ordinary?.plan) wishes.before = ordinary.plan;
	const next = nextTime(c, analysis);
	if (next) wishes.nextTime = next;
	if (last?.plan) {
		const movements = slugsOf(last.plan);
		wishes.like = { movements, share: likeShare(series.keepPercent / 100, movements, known, series.mostNew) };
	}
	return wishes;
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
