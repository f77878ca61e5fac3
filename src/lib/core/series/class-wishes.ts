import { formOf, type FormId } from '../movement';
import { slugsOf, type ClassPlan } from '../plan';
import { demandOf, optionsFor, type ProposeContext, type ReachedHeight, type Wishes } from '../propose';
import { isAtTop } from './advance';
import type { ClassAnalysis, SeriesAnalysis, SeriesContext } from './analysis';
import type { Standing } from './heights';
import { LOAD, mostLoad, targetLoad } from './load';
import { rungOf } from './schedule';
import type { Rung } from './types';

/** Returns the wishes for a class from its place in the series: what comes back, goes on, is new, and how hard it is. */
export function wishesFor(
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
		...peakLimits(c, analysis, standing),
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
function peakLimits(
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
