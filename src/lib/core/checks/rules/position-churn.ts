import { positionChanges } from '../../clock';
import type { Check } from '../types';

/** Least seconds between changes of position, on average. Common practice, no source. */
const LEAST_SECONDS_APART = 120;

export const positionChurn: Check = {
	meta: {
		id: 'position-churn',
		summary: 'Movements are grouped by body position',
		severity: 'fix',
		why: 'Each change of position costs about ten seconds and some attention; one timed class of 18 minutes changed thirty times, others once.',
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
