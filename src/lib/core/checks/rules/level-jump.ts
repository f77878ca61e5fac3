import { POSITION_NAME, POSITIONS } from '../../movement';
import { findingLocation } from '../helpers';
import type { Check, Report } from '../types';

/** One such jump per this many items is allowed. */
const OFTEN = 10;

/** Lines of the score between lying on the back and standing. */
const FAR_LEVELS = 5;

export const levelJump: Check = {
	meta: {
		id: 'level-jump',
		summary: 'Getting up and down goes in steps',
		severity: 'note',
		why: 'Going from the floor to standing at once takes half a minute and can make people dizzy; go through all fours or kneeling.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		const jumps = items.flatMap((taught, index): Report[] => {
			const before = items[index - 1]?.movement.position;
			const now = taught.movement.position;
			if (!before) return [];
			const far = Math.abs(POSITIONS.indexOf(now) - POSITIONS.indexOf(before));
			// down into the closing rest is a way that everybody knows
			if (far < FAR_LEVELS || taught.item.mode === 'rest') return [];
			return [
				{
					message: `${taught.movement.english} goes from “${POSITION_NAME[before].toLowerCase()}” to “${POSITION_NAME[now].toLowerCase()}” at once`,
					where: findingLocation(taught),
					cause: 'way',
					data: { movement: taught.movement.slug, from: before, to: now }
				}
			];
		});
		return jumps.length > items.length / OFTEN ? jumps : [];
	}
};
