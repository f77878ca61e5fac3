import { DIRECTION_NAME, DIRECTIONS } from '../../anatomy';
import { formatDuration } from '../../clock';
import type { Check } from '../types';

/** Allowed difference of the two legs in a direction: a share of the larger one, and a least number of seconds. */
const AGREE_PERCENT = 10;
const LEAST_SECONDS = 20;

export const leftRight: Check = {
	meta: {
		id: 'left-right',
		summary: 'Both hips get the same in every direction',
		severity: 'note',
		why: 'Many small differences add up to one leg that gets more than the other.',
		source: 'common practice',
		canRepair: false
	},
	check({ balance, style }) {
		if (style.sides === 'more time' || style.sides === 'more sets') return [];
		return DIRECTIONS.flatMap((d) => {
			const { leftSeconds, rightSeconds } = balance.directions[d];
			const apart = Math.abs(leftSeconds - rightSeconds);
			const more = Math.max(leftSeconds, rightSeconds);
			if (apart < LEAST_SECONDS || apart <= (AGREE_PERCENT / 100) * more) return [];
			return [
				{
					message: `${DIRECTION_NAME[d]}: left ${formatDuration(leftSeconds)}, right ${formatDuration(rightSeconds)}`,
					data: { direction: d, leftSeconds: Math.round(leftSeconds), rightSeconds: Math.round(rightSeconds) }
				}
			];
		});
	}
};
