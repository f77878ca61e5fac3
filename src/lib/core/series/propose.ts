import { DIRECTIONS, otherLeg, type Direction, type Leg } from '../anatomy';
import { LATELY_CLASSES, shortDirections } from '../orbit';
import { standingsBefore } from './progress';
import { wishesFor } from './class-wishes';
import { heightKey, type Standing } from './heights';
import { beyond, carriedOn, peakFurther, type RungStep } from './advance';
import { metBeforeEach } from './schedule';
import { formOf, setRestOf } from '../movement';
import {
	emptyPlan,
	itemsOf,
	newItem,
	nextId,
	SECTION_KINDS,
	type Block,
	type ClassPlan,
	type SectionKind
} from '../plan';
import { HIP_TESTS } from '../hip-tests';
import { planContext } from '../analysis';
import { mayStandIn, proposeClasses, type ProposeContext, type SearchBudget } from '../propose';
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
