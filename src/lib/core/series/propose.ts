import { otherLeg, type Leg } from '../anatomy';
import { metBeforeEach } from './schedule';
import { formOf } from '../movement';
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
import { HIP_TESTS } from '../measure';
import {
	mayStandIn,
	optionsFor,
	propose,
	type Effort,
	type Proposal,
	type ProposeContext,
	type Wishes
} from '../propose';
import type { StyleChoices } from '../style';
import { withProposed } from './edit';
import { neglected, targetsWithMore } from './neglect';
import { analyseSeries, type ClassAnalysis, type SeriesAnalysis, type SeriesContext } from './analysis';
import type { PlannedSeries, Rung } from './types';

/** What the classes of a series are proposed with, besides the group. */
export interface SeriesRequest {
	planned: PlannedSeries;
	setting: SeriesContext;
	/** The schools of who teaches. */
	choices: StyleChoices;
	seed: number;
	/** Ids of the classes to propose; taught ones and those changed by hand are never among them. */
	only?: readonly string[];
	effort?: Effort;
}

/** A whole series is many classes: each gets a seventh of the work that a single one is given. */
export const SERIES_EFFORT: Effort = {
	roughSteps: 0,
	starts: 2,
	steps: 5000,
	crossings: 1,
	refineSteps: 12_000,
	settleSteps: 3000
};
/** An easier week asks for so much of what the last ordinary one did. Common practice, no source. */
const EASIER = 0.85;

/** Which classes wait for a proposal: those without a plan, and those that no longer give what they should. */
export function waiting(analysis: SeriesAnalysis): string[] {
	return analysis.classes
		.filter(({ state }) => state === 'unplanned' || state === 'behind')
		.map((c) => c.class.id);
}

/** Which classes can be proposed anew without touching what was taught or changed by hand. */
export function renewable(analysis: SeriesAnalysis): string[] {
	return analysis.classes
		.filter(({ state }) => state === 'unplanned' || state === 'behind' || state === 'proposed')
		.map((c) => c.class.id);
}

/**
 * Proposes classes one after another, each from what came before it. Bounded by work: a seed gives the same series
 * everywhere. Stop by asking for no more.
 */
export function* proposeSeries(
	ask: SeriesRequest
): Generator<{ classId: string; done: number; of: number; plan: ClassPlan }> {
	const { setting, seed, effort = SERIES_EFFORT } = ask;
	let planned = ask.planned;
	const first = analyseSeries(planned, setting);
	const may = new Set(renewable(first));
	const wanted = (ask.only ?? waiting(first)).filter((id) => may.has(id));
	for (const [done, classId] of wanted.entries()) {
		const analysis = analyseSeries(planned, setting);
		const at = analysis.classes.findIndex((c) => c.class.id === classId);
		const { plan } = classFor(analysis, at, ask, seed + 104_729 * at, effort);
		planned = withProposed(planned, { [classId]: plan });
		yield { classId, done: done + 1, of: wanted.length, plan };
	}
}

function classFor(
	analysis: SeriesAnalysis,
	at: number,
	{ setting, choices }: SeriesRequest,
	seed: number,
	effort: Effort
): Proposal {
	const { series } = analysis.planned;
	const c = analysis.classes[at]!;
	const before = analysis.classes.slice(0, at).filter(({ plan }) => plan && itemsOf(plan).length > 0);
	const last = before.at(-1) ?? null;
	const known = metBeforeEach(analysis.planned, setting.knownBefore)[at]!;
	const weeksBefore = analysis.weeks.filter(({ monday }) => monday < c.class.on);
	const theme = series.themes[c.class.week - 1];
	const more = [...neglected(weeksBefore), ...(theme?.more ? [theme.more] : [])];
	const group = { ...setting.group, targets: targetsWithMore(setting.group.targets, more) };
	const within: ProposeContext = {
		catalogue: setting.catalogue,
		find: setting.find,
		targets: group.targets,
		group,
		...(setting.pace ? { pace: setting.pace } : {}),
		...(known.size ? { known: { slugs: [...known], from: 'planned' as const } } : {}),
		lastFirstSide: last?.firstSide ?? null
	};
	const base = baseFor(c, analysis, choices, last?.firstSide ?? null);
	const wishes = wishesFor(c, analysis, base, within, last, known.size > 0);
	let best: Proposal | null = null;
	for (const { proposal } of propose({ base, wishes, setting: within, seed, count: 1, effort }))
		best = proposal;
	return best!;
}

/** An empty class with what it has to give in its place: the rungs of the ladders, and the test at both ends. */
function baseFor(
	c: ClassAnalysis,
	{ planned: { series }, setting }: SeriesAnalysis,
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
	for (const { ladder, rung } of c.given) {
		const { rungs } = series.ladders[ladder]!;
		const step = rungs[rung]!;
		const isGoal = rung === rungs.length - 1;
		// a movement has its place once, also when two ladders lead through it
		if (itemsOf(plan).some((item) => item.movement === step.movement)) continue;
		put(partFor(step, isGoal, setting), (id) => ({ ...itemOf(plan, step, setting), id }));
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

/** The part of a class in which a rung stands: the goal in the peak where it may, everything else in the work before. */
function partFor(rung: Rung, isGoal: boolean, { find }: SeriesContext): SectionKind {
	const movement = find(rung.movement)!;
	const may = mayStandIn(movement, formOf(movement, rung.form)!, rung.mode);
	const order: SectionKind[] = isGoal ? ['peak', 'build', 'warm'] : ['build', 'warm', 'peak'];
	return [...order, ...SECTION_KINDS].find((kind) => may.has(kind)) ?? 'build';
}

function wishesFor(
	c: ClassAnalysis,
	analysis: SeriesAnalysis,
	base: ClassPlan,
	setting: ProposeContext,
	last: ClassAnalysis | null,
	groupIsKnown: boolean
): Wishes {
	const { series } = analysis.planned;
	const there = new Set(slugsOf(base));
	const offered = new Set(optionsFor(base, {}, setting).map((option) => option.movements[0]));
	const back = c.comesBack.filter((slug) => offered.has(slug) && !there.has(slug));
	const toward = series.themes[c.class.week - 1]?.toward;
	const known = new Set(setting.known?.slugs);
	const fresh = c.given.filter(({ isNew }) => isNew).length;
	const wishes: Wishes = {
		must: back,
		...(groupIsKnown ? { mostNew: Math.max(0, series.mostNew - fresh) } : {}),
		...(toward && offered.has(toward) && !there.has(toward) && (known.has(toward) || fresh === 0)
			? { toward }
			: {})
	};
	const most = mostEffort(c, analysis);
	if (most !== null) wishes.mostEffort = most;
	if (last?.plan) {
		const movements = slugsOf(last.plan);
		wishes.like = { movements, share: likeShare(series.keepPercent / 100, movements, known, series.mostNew) };
	}
	return wishes;
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

/**
 * The most effort that the class may ask for: the limit of the rise over the ordinary classes before it, less in an
 * easier week; null where there is nothing to compare with.
 */
function mostEffort(c: ClassAnalysis, { classes, planned }: SeriesAnalysis): number | null {
	const before = classes.filter((other) => other.number < c.number && other.analysis && !other.easier);
	const lastWeek = Math.max(
		0,
		...before.filter(({ class: o }) => o.week < c.class.week).map((o) => o.class.week)
	);
	const ordinary = before.filter((other) => other.class.week === lastWeek);
	if (ordinary.length === 0) return null;
	const load = ordinary.reduce((sum, other) => sum + other.load, 0) / ordinary.length;
	const factor = c.easier ? EASIER : 1 + planned.series.mostUpPercent / 100;
	return (factor * load) / (planned.series.lengthSeconds / 60);
}
