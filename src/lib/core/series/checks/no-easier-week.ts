import type { SeriesCheck } from './types';

/** Most weeks without an easier one. */
const MOST_WEEKS = 5;

export const noEasierWeek: SeriesCheck = {
	meta: {
		id: 'no-easier-week',
		summary: 'An easier week comes now and then',
		severity: 'note',
		why: 'Easier weeks let the work settle; about every fourth is usual.',
		source: 'common practice'
	},
	check({ planned }) {
		const { weeks, easierEvery } = planned.series;
		const row = easierEvery === 0 ? weeks : Math.min(weeks, easierEvery - 1);
		return row > MOST_WEEKS
			? [{ message: `${row} weeks in a row without an easier one`, data: { weeks: row } }]
			: [];
	}
};
