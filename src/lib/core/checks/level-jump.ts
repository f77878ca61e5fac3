import { POSITION_NAME, POSITIONS } from '../movement';
import { findingLocation } from './help';
import type { Check, Report } from './types';

/** One such way in so many items is taken as it comes. */
const OFTEN = 10;

/** From lying on the back straight to the feet, or the way down: so many lines of the score at once. */
const FAR_LEVELS = 5;

export const levelJump: Check = {
	meta: {
		id: 'level-jump',
		summary: 'The way up and down goes by steps',
		severity: 'note',
		why: 'From the floor to the feet at once takes half a minute and makes heads swim; all fours or kneeling lie on the way.',
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
