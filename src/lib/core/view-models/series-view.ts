import { addDays, shortDay, WEEKDAY_NAMES } from '../calendar';
import { needsAttention } from '../checks';
import { formatDuration } from '../clock';
import type { FindMovement } from '../movement';
import {
	classLine,
	needsLengthOnly,
	offLengthSeconds,
	rungOf,
	rungWords,
	tierForms,
	type ClassLine,
	type ClassState,
	type ClassAnalysis,
	type WeekAnalysis,
	type Series,
	type SeriesAnalysis
} from '../series';
import { miniScore, type MiniScore } from './mini-score';
import { classRing, type RingSector } from './ring';
import { score } from './score';
import { ladderNames } from './series-lines';

/** A class of a series as its week shows it. */
export interface ClassCard {
	id: string;
	number: number;
	on: string;
	/** "Tue 3 Nov". */
	day: string;
	startsAt: string;
	title: string;
	planned: boolean;
	ring: RingSector[];
	mini: MiniScore | null;
	state: ClassState;
	stateWords: string;
	/** "Fit to 50:00 (2:10 too long)"; empty where it has the length of the series. */
	fitWords: string;
	/** `again`: "3rd time", empty at the first. */
	rungs: { words: string; again: string; isNew: boolean; tiers: string }[];
	/** Ladders that go on with a rung that was met before, by their short names: "Deep squat, 90-90". */
	goesOn: string;
	comesBack: string[];
	/** Says what is further than before, and what the next class brings; null where nothing is planned. */
	line: ClassLine | null;
	/** "effort 2.7, load 121 effort-min". */
	figures: string;
	/** Number of findings to fix. */
	toFix: number;
	easier: boolean;
	retest: boolean;
}

/** One week of a series as its card shows it. */
export interface WeekCard {
	number: number;
	/** "2 Nov". */
	from: string;
	theme: string;
	easier: boolean;
	retest: boolean;
	ring: RingSector[];
	empty: boolean;
	/** "load 135 effort-min, 4 % up". */
	figures: string;
	days: {
		iso: string;
		letter: string;
		name: string;
		skipped: boolean;
		missed: boolean;
		classIds: string[];
	}[];
	classes: ClassCard[];
}

export const STATE_WORDS: Record<ClassState, string> = {
	taught: 'taught',
	unplanned: 'not planned',
	proposed: 'proposed',
	edited: 'changed by hand',
	outdated: 'needs a new proposal'
};

/** "2nd", "3rd", "11th". */
function ordinal(n: number): string {
	const last = n % 100 > 10 && n % 100 < 14 ? 0 : n % 10;
	return `${n}${['th', 'st', 'nd', 'rd'][last] ?? 'th'}`;
}

/** "load 121 effort-min": effort from 0 to 10, times minutes. */
const loadWords = (load: number) => `load ${Math.round(load)} effort-min`;

/** "4 % up", "15 % down", "as before". */
function changeWords(change: number | null): string {
	if (change === null) return '';
	const percent = Math.round(change);
	if (percent === 0) return ', as before';
	return `, ${Math.abs(percent)} % ${percent > 0 ? 'up' : 'down'}`;
}

function fitWordsOf(c: ClassAnalysis, analysis: SeriesAnalysis): string {
	const seconds = offLengthSeconds(c, analysis);
	if (seconds === null) return '';
	const fit = `Fit to ${formatDuration(analysis.planned.series.lengthSeconds)}`;
	return seconds
		? `${fit} (${formatDuration(Math.abs(seconds))} too ${seconds > 0 ? 'long' : 'short'})`
		: fit;
}

function classCard(c: ClassAnalysis, analysis: SeriesAnalysis): ClassCard {
	const { planned, context } = analysis;
	const { series } = planned;
	const names = ladderNames(series, context.find);
	const goesOn = c.given.filter(({ time }) => time > 1).map(({ ladder }) => names[ladder]!);
	return {
		id: c.class.id,
		number: c.number,
		on: c.class.on,
		day: shortDay(c.class.on),
		startsAt: c.class.startsAt,
		title: c.plan?.title ?? '',
		planned: c.plan !== null,
		ring: c.analysis ? classRing(c.analysis.orbit, c.analysis.balance) : [],
		mini: c.analysis ? miniScore(score(c.analysis)) : null,
		state: c.state,
		stateWords: needsLengthOnly(c) ? 'not at its length' : STATE_WORDS[c.state],
		fitWords: fitWordsOf(c, analysis),
		rungs: c.given.map((given) => {
			const { time, isNew } = given;
			const step = rungOf(series, given);
			return {
				words: rungWords(step, context.find),
				again: time > 1 ? `${ordinal(time)} time` : '',
				isNew,
				tiers: tierForms(step, context.group, context.find)
					.map(({ tier, form }) => `${tier}: ${form}`)
					.join(', ')
			};
		}),
		goesOn: goesOn.join(', '),
		comesBack: c.comesBack.map((slug) => context.find(slug)?.english ?? slug),
		line: classLine(analysis, c),
		figures: c.plan ? `effort ${c.effort.toFixed(1)}, ${loadWords(c.load)}` : '',
		toFix: c.analysis?.findings.filter(needsAttention).length ?? 0,
		easier: c.easier,
		retest: c.retest
	};
}

function weekCard(week: WeekAnalysis, analysis: SeriesAnalysis): WeekCard {
	const { series } = analysis.planned;
	const own = week.classes.map((c) => classCard(c, analysis));
	return {
		number: week.number,
		from: shortDay(week.monday).split(' ').slice(1).join(' '),
		theme: series.themes[week.number - 1]?.words ?? '',
		easier: week.easier,
		retest: own.some(({ retest }) => retest),
		ring: classRing(week.orbit, week.balance),
		empty: week.orbit.rangeTotalSeconds === 0,
		figures: week.load > 0 ? `${loadWords(week.load)}${changeWords(week.changePercent)}` : '',
		days: WEEKDAY_NAMES.map((name, i) => {
			const iso = addDays(week.monday, i);
			return {
				iso,
				letter: name[0]!,
				name: `${name} ${shortDay(iso).split(' ').slice(1).join(' ')}`,
				skipped: series.skipped.includes(iso),
				missed: series.missed.some(({ on }) => on === iso),
				classIds: own.filter(({ on }) => on === iso).map(({ id }) => id)
			};
		}),
		classes: own
	};
}

/** The weeks side by side. */
export const weekCards = (analysis: SeriesAnalysis): WeekCard[] =>
	analysis.weeks.map((week) => weekCard(week, analysis));

/** Changes between two states of a series, class by class. */
export interface SeriesShift {
	key: string;
	name: string;
	before: string;
	after: string;
}

/** Returns the classes whose date or content a change of the series alters. */
export function seriesShifts(before: SeriesAnalysis, after: SeriesAnalysis): SeriesShift[] {
	const words = (c: ClassAnalysis | undefined, analysis: SeriesAnalysis) =>
		c ? `${shortDay(c.class.on)} ${c.class.startsAt}, ${contentWords(c, analysis)}` : 'missing';
	const later = new Map(after.classes.map((c) => [c.class.id, c]));
	const earlier = new Map(before.classes.map((c) => [c.class.id, c]));
	const ids = [...new Set([...earlier.keys(), ...later.keys()])];
	return ids
		.map((id) => ({
			key: id,
			name: `Class ${later.get(id)?.number ?? earlier.get(id)?.number}`,
			before: words(earlier.get(id), before),
			after: words(later.get(id), after)
		}))
		.filter(
			(shift) => shift.before !== shift.after || earlier.get(shift.key)?.plan !== later.get(shift.key)?.plan
		);
}

function contentWords(c: ClassAnalysis, { planned, context }: SeriesAnalysis): string {
	if (!c.plan) return 'not planned';
	const rungs = c.given.map((given) => rungWords(rungOf(planned.series, given), context.find));
	return [loadWords(c.load), ...rungs].join('; ');
}

/** A series in a few words, for a list of them. */
export function seriesInShort(series: Series, taught: ReadonlySet<string>, find: FindMovement) {
	return {
		title: series.title,
		goal: series.goal,
		from: shortDay(series.startsOn),
		weeks: series.weeks,
		days: series.meetings.map((m) => `${WEEKDAY_NAMES[m.weekday - 1]} ${m.startsAt}`).join(', '),
		taught: series.classes.filter(({ id }) => taught.has(id)).length,
		classes: series.classes.length,
		goals: series.ladders.map(({ rungs }) => find(rungs.at(-1)!.movement)?.english ?? '')
	};
}
