import { positionChanges } from '../clock';
import type { Check } from './types';

/** One change of position in so many seconds is the most that a class bears. Common practice, no source. */
const LEAST_SECONDS_APART = 120;

export const positionChurn: Check = {
	meta: {
		id: 'position-churn',
		summary: 'Movements are grouped by body position',
		severity: 'mend',
		why: 'Each change of position costs about ten seconds and a break in attention; one class of 18 minutes changed thirty times, others once.',
		source: 'common practice',
		canRepair: false
	},
	check({ timeline, items }) {
		const changes = positionChanges(timeline);
		const most = Math.max(4, Math.floor(timeline.totalSeconds / LEAST_SECONDS_APART));
		if (items.length === 0 || changes <= most) return [];
		return [
			{
				message: `the body position changes ${changes} times; ${most} are plenty for a class of this length`,
				data: { changes, most }
			}
		];
	}
};
