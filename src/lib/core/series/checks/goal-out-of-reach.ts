import { dayName } from '../../calendar';
import { rungWords } from '../ladder';
import type { SeriesCheck } from './types';

export const goalOutOfReach: SeriesCheck = {
	meta: {
		id: 'goal-out-of-reach',
		summary: 'The goal is reached within the series',
		severity: 'fix',
		why: 'The rungs do not lead to the goal in time. Use fewer rungs, more classes or a nearer goal.',
		source: 'common practice'
	},
	check({ goals, planned, context }) {
		return planned.series.ladders.flatMap(({ rungs }, ladder) => {
			const reached = goals[ladder] ?? null;
			if (reached?.within) return [];
			const goal = rungWords(rungs.at(-1)!, context.find);
			return [
				{
					message: reached
						? `${goal} is not reached by the end at this pace; the earliest date would be ${dayName(reached.on)}`
						: `${goal} is never reached at this pace`,
					data: { ladder, earliest: reached?.on ?? '' }
				}
			];
		});
	}
};
