import { daysInWeek } from 'date-fns/constants';
import { addDays } from '../calendar';
import type { ClassRecords } from '../record';
import type { Series } from './types';

/** Summary of a series in figures: planned and taught classes. */
export interface SeriesSummary {
	/** First and last day that it is about. */
	from: string;
	to: string;
	planned: number;
	taught: number;
	/** Of all that were taught. */
	minutes: number;
	/** Mean of those of which it was said; null where of none. */
	effort: number | null;
}

/** Counts the planned and taught classes of a series. */
export function seriesSummary({ startsOn, weeks, classes }: Series, runs: ClassRecords): SeriesSummary {
	const taught = classes.flatMap(({ id }) => runs[id] ?? []);
	const efforts = taught.flatMap(({ effort }) => effort ?? []);
	const last = [...classes.map(({ on }) => on), ...taught.map(({ on }) => on)].sort().at(-1);
	return {
		from: startsOn,
		to: last ?? addDays(startsOn, weeks * daysInWeek - 1),
		planned: classes.length,
		taught: taught.length,
		minutes: taught.reduce((sum, { minutes }) => sum + minutes, 0),
		effort: efforts.length
			? Math.round((10 * efforts.reduce((sum, effort) => sum + effort, 0)) / efforts.length) / 10
			: null
	};
}
