import type { SeriesCheck } from './types';

/** So many weeks without an easier one are many. */
const MOST_WEEKS = 5;

export const noEasierWeek: SeriesCheck = {
	meta: {
		id: 'no-easier-week',
		summary: 'An easier week comes now and then',
		severity: 'note',
		why: 'What was asked for settles in the easier weeks; about every fourth is usual.',
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
