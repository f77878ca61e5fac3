import { DIRECTION_NAME, DIRECTIONS } from '../../anatomy';
import { formatDuration, type TimedItem } from '../../clock';
import { oddFlow } from '../helpers';
import type { Check } from '../types';

/** Allowed difference of the two legs in a direction: a share of the larger one, and a least number of seconds. */
const AGREE_PERCENT = 10;
const LEAST_SECONDS = 20;

/** Whether the two sides of an item differ on purpose, without another item that makes up for it. */
const isSaidThere = ({ item }: TimedItem, items: readonly TimedItem[]): boolean =>
	item.dose.moreOn !== undefined ||
	(item.oneSided !== undefined &&
		!items.some(
			({ item: other }) =>
				other.movement === item.movement && other.oneSided !== undefined && other.lead !== item.lead
		));

export const leftRight: Check = {
	meta: {
		id: 'left-right',
		summary: 'Both hips get the same in every direction',
		severity: 'note',
		why: 'Many small differences add up to one leg that gets more than the other.',
		source: 'common practice',
		canRepair: false
	},
	check({ balance, style, items, plan }) {
		if (style.sides === 'more time' || style.sides === 'more sets') return [];
		// an item that gives one side more says so itself
		if (items.some((taught) => isSaidThere(taught, items) || oddFlow(plan, taught.blockId))) return [];
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
