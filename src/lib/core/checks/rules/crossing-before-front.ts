import type { TimedItem } from '../../clock';
import { findingLocation } from '../helpers';
import { legsOfItem, lengthened, STILL_MODES } from '../../orbit';
import type { Check } from '../types';

/** From this much past the middle a leg is crossed over, degrees. */
const CROSSED_DEG = 15;

const held = ({ item }: TimedItem) => STILL_MODES.has(item.mode) && !item.passed;
const crosses = (taught: TimedItem) =>
	held(taught) &&
	legsOfItem(taught).some((leg) => leg.positions.some((p) => (p.adduction ?? 0) >= CROSSED_DEG));
/** Front-to-back work: the front of the hip or the back of the leg held long. */
const frontToBack = (taught: TimedItem) =>
	held(taught) &&
	(['hip flexors', 'rectus femoris', 'hamstrings'] as const).some((tissue) => lengthened(taught).has(tissue));

export const crossingBeforeFront: Check = {
	meta: {
		id: 'crossing-before-front',
		summary: 'Cross-body shapes come after front-to-back work',
		severity: 'note',
		why: 'A leg crosses more easily, and pinches less, once the front of the hip and the back of the leg have been opened.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		const first = items.findIndex(crosses);
		if (first === -1 || items.slice(0, first).some(frontToBack)) return [];
		const later = items.slice(first + 1).find(frontToBack);
		if (!later) return [];
		const taught = items[first]!;
		return [
			{
				message: `${taught.movement.english} crosses the body before any front-to-back work; ${later.movement.english} comes only later`,
				where: findingLocation(taught),
				data: { movement: taught.movement.slug, later: later.movement.slug }
			}
		];
	}
};
