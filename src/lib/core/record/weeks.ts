import { daysInWeek } from 'date-fns/constants';
import { daysBetween } from '../calendar';
import type { ClassRecord } from './record';

/** A class that was taught, with what is known of it beside what was written down. */
export interface TaughtBefore {
	run: ClassRecord;
	/** Null without a plan. */
	plannedMinutes: number | null;
	/** Work of all movements that were planned alike on both sides, seconds; null where it was not led step by step. */
	sides: { first: number; second: number } | null;
	/** Slugs of the plan; empty without one. */
	planned: readonly string[];
}

/** Summary of several weeks of a group. */
export interface OverWeeks {
	/** How many of the classes with a plan ended on time. */
	onTime: { times: number; of: number };
	/** How much longer (or shorter, under 0) second sides were than first ones, percent; null where no class was led. */
	secondSidePercent: number | null;
	/** Movements left out in at least half of the classes that planned them, most frequent first. */
	leftOut: { slug: string; times: number; of: number }[];
	favourites: { slug: string; times: number }[];
	/** Once given more than once, and not for long. */
	forgotten: { slug: string; times: number; weeksAgo: number }[];
}

/** A class is on time within this. Common practice, no source. */
const ON_TIME_MINUTES = 2;
const MOST_SHOWN = 5;
const FORGOTTEN_WEEKS = 5;
const isOnTime = (minutes: number, planned: number): boolean =>
	Math.abs(minutes - planned) <= ON_TIME_MINUTES;

/** Summarises the taught classes of a group. */
export function overWeeks(classes: readonly TaughtBefore[], today: string): OverWeeks {
	const withPlan = classes.filter(({ plannedMinutes }) => plannedMinutes !== null);
	const sides = classes.flatMap(({ sides: of }) => of ?? []);
	const planned = new Map<string, number>();
	const out = new Map<string, number>();
	const given = new Map<string, { times: number; last: string }>();
	for (const { run, planned: slugs } of classes)
		for (const slug of slugs) {
			planned.set(slug, (planned.get(slug) ?? 0) + 1);
			if (run.leftOut.includes(slug)) {
				out.set(slug, (out.get(slug) ?? 0) + 1);
				continue;
			}
			const before = given.get(slug);
			const last = before && before.last > run.on ? before.last : run.on;
			given.set(slug, { times: (before?.times ?? 0) + 1, last });
		}
	const byTimes = <T extends { slug: string; times: number }>(list: T[]) =>
		list.sort((a, b) => b.times - a.times || a.slug.localeCompare(b.slug)).slice(0, MOST_SHOWN);
	const first = sides.reduce((sum, side) => sum + side.first, 0);
	const second = sides.reduce((sum, side) => sum + side.second, 0);
	return {
		onTime: {
			times: withPlan.filter(({ run, plannedMinutes }) => isOnTime(run.minutes, plannedMinutes!)).length,
			of: withPlan.length
		},
		secondSidePercent: first > 0 ? Math.round(100 * (second / first - 1)) : null,
		leftOut: byTimes(
			[...out]
				.map(([slug, times]) => ({ slug, times, of: planned.get(slug)! }))
				.filter(({ times, of }) => times > 1 && 2 * times >= of)
		),
		favourites: byTimes(
			[...given].map(([slug, { times }]) => ({ slug, times })).filter(({ times }) => times > 1)
		),
		forgotten: byTimes(
			[...given]
				.map(([slug, { times, last }]) => ({
					slug,
					times,
					weeksAgo: Math.floor(daysBetween(last, today) / daysInWeek)
				}))
				.filter(({ times, weeksAgo }) => times > 1 && weeksAgo >= FORGOTTEN_WEEKS)
		)
	};
}

/** Describes the summary in sentences; `nameOf` returns the name of a movement. */
export function weeksWords(over: OverWeeks, nameOf: (slug: string) => string): string[] {
	const { onTime, secondSidePercent: drift, leftOut, favourites, forgotten } = over;
	const times = (n: number) => (n === 1 ? 'once' : `${n} times`);
	return [
		...(onTime.of
			? [`${onTime.times} of ${onTime.of} classes ended within ${ON_TIME_MINUTES} minutes of their time.`]
			: []),
		...(drift === null
			? []
			: [
					drift === 0
						? 'Second sides took as long as first sides.'
						: `Second sides were ${Math.abs(drift)} % ${drift > 0 ? 'longer' : 'shorter'} than first ones.`
				]),
		...leftOut.map(({ slug, times: n, of }) => `${nameOf(slug)} was left out ${n} of ${times(of)}.`),
		...(favourites.length
			? [`Most often given: ${favourites.map(({ slug, times: n }) => `${nameOf(slug)} (${n})`).join(', ')}.`]
			: []),
		...(forgotten.length
			? [
					`Not given for a long time: ${forgotten.map(({ slug, weeksAgo }) => `${nameOf(slug)} (${weeksAgo} weeks)`).join(', ')}.`
				]
			: [])
	];
}

/** Classes one after another: minutes planned and real for a chart, with their effort as a table. */
export function weeksTable(classes: readonly TaughtBefore[], dayOf: (on: string) => string) {
	const rows = [...classes].sort((a, b) => a.run.on.localeCompare(b.run.on));
	return {
		days: rows.map(({ run }) => dayOf(run.on)),
		planned: rows.map(({ plannedMinutes }) => plannedMinutes),
		real: rows.map(({ run }) => run.minutes),
		table: {
			head: ['Day', 'Minutes planned', 'Minutes real', 'Effort, 0 to 10'],
			rows: rows.map(({ run, plannedMinutes }) => [
				dayOf(run.on),
				plannedMinutes === null ? '' : String(plannedMinutes),
				String(run.minutes),
				run.effort === null ? '' : String(run.effort)
			])
		}
	};
}
