import { formatDuration } from '../../clock';
import type { SeriesCheck } from './types';

/** Held long per muscle group and week, seconds. */
export const WEEKLY_DOSE_SECONDS = 300;
/** Below this over a week a tissue is only touched on the way. */
const MEANT_SECONDS = 120;

export const weeklyDose: SeriesCheck = {
	meta: {
		id: 'weekly-dose',
		summary: 'Each stretched muscle gets five minutes a week',
		severity: 'note',
		why: 'Five minutes or more per muscle group and week, spread over days, improve range. Classes alone seldom reach that, so suggest a set for home.',
		source:
			'Thomas et al., Int J Sports Med 39:243 (2018): 5 min or more per muscle group and week (from memory)'
	},
	check({ weeks }) {
		const planned = weeks.filter(({ classes }) => classes.length > 0 && classes.every((c) => c.plan));
		if (planned.length === 0) return [];
		const sums = new Map<string, number>();
		for (const { tissues } of planned)
			for (const [tissue, seconds] of tissues) sums.set(tissue, (sums.get(tissue) ?? 0) + seconds);
		return [...sums]
			.map(([tissue, seconds]) => ({ tissue, seconds: Math.round(seconds / planned.length) }))
			.filter(({ seconds }) => seconds >= MEANT_SECONDS && seconds < WEEKLY_DOSE_SECONDS)
			.map(({ tissue, seconds }) => ({
				message: `the ${tissue} get ${formatDuration(seconds)} a week; five minutes is the dose; ${formatDuration(WEEKLY_DOSE_SECONDS - seconds)} remain for home`,
				data: { tissue, seconds }
			}));
	}
};
