import { legsOfItem } from '../../orbit';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

const MOST_CHANGES = 6;

/** Shapes with both legs wide face the long edge of the mat, everything else on the feet or knees the short one. */
function facing(taught: TimedItem): 'long edge' | 'short edge' | null {
	const { position } = taught.movement;
	if (position !== 'standing' && position !== 'kneeling') return null;
	const wide = legsOfItem(taught).every((leg) => leg.positions.some((p) => (p.abduction ?? 0) >= 30));
	return wide ? 'long edge' : 'short edge';
}

export const facingChanges: Check = {
	meta: {
		id: 'facing-changes',
		summary: 'The group seldom changes the way it faces',
		severity: 'note',
		why: 'Each turn on the mat costs attention; group wide shapes together and lunges together.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		const ways = items.map(facing).filter((way) => way !== null);
		const changes = ways.filter((way, i) => i > 0 && way !== ways[i - 1]).length;
		if (changes <= MOST_CHANGES) return [];
		return [
			{
				message: `the group turns on the mat ${changes} times between wide shapes and lunges`,
				data: { changes, most: MOST_CHANGES }
			}
		];
	}
};
