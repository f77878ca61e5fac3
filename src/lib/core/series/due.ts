import { isRetest } from './schedule';
import type { Series, SeriesClass } from './types';

/** Something that a series waits for in a week. */
export interface Due {
	kind: 'write down' | 'plan' | 'test';
	/** Number of the class, from 1. */
	number: number;
	classId: string;
	on: string;
}

/**
 * Returns the tasks of a series: classes up to yesterday without a record (also those before the current week), and
 * the days of this week that lack a plan or have a test. `planned`, `taught`: ids of the classes with a plan and
 * with a record.
 */
export function dueIn(
	series: Series,
	planned: ReadonlySet<string>,
	taught: ReadonlySet<string>,
	days: readonly string[],
	today: string
): Due[] {
	const inWeek = ({ on }: SeriesClass) => days.includes(on);
	const last = days.at(-1) ?? today;
	return series.classes.flatMap((c, i): Due[] => {
		const due = (kind: Due['kind']): Due => ({ kind, number: i + 1, classId: c.id, on: c.on });
		if (taught.has(c.id)) return [];
		if (c.on < today) return c.on <= last ? [due('write down')] : [];
		if (!inWeek(c)) return [];
		if (!planned.has(c.id)) return [due('plan')];
		return isRetest(series, c.week) ? [due('test')] : [];
	});
}
