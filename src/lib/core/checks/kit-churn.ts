import type { Check } from './types';

/** Fetching kit once in so many seconds is the most that a class bears. Common practice, no source. */
const LEAST_SECONDS_APART = 180;

export const kitChurn: Check = {
	meta: {
		id: 'kit-churn',
		summary: 'Kit is fetched once and used for a while',
		severity: 'note',
		why: 'Fetching a prop takes about twelve seconds each time, and everybody stands up for it.',
		source: 'common practice',
		canRepair: false
	},
	check({ timeline }) {
		const fetches = timeline.entries.filter(({ phase }) => phase === 'fetch').length;
		const most = Math.max(4, Math.floor(timeline.totalSeconds / LEAST_SECONDS_APART));
		if (fetches <= most) return [];
		return [
			{
				message: `kit is fetched ${fetches} times; ${most} are plenty for a class of this length`,
				data: { fetches, most }
			}
		];
	}
};
