import { formatDuration } from '../../clock';
import { findingLocation } from '../helpers';
import { isSided } from '../../orbit';
import type { Check } from '../types';

/** Two sides agree within this share of the longer one. Common practice, no source. */
const AGREE_PERCENT = 10;

export const sideDrift: Check = {
	meta: {
		id: 'side-drift',
		summary: 'Both sides of an item get the same time, or differ on purpose',
		severity: 'note',
		why: 'In timed classes only one pair of sides in four matched within ten percent, with no fixed direction.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, timeline, style }) {
		if (style.sides === 'more time' || style.sides === 'more sets') return [];
		const seconds = new Map<string, [number, number]>();
		for (const entry of timeline.entries) {
			if (entry.phase !== 'work' || entry.itemId === null || entry.side === null) continue;
			const sum = seconds.get(entry.itemId) ?? [0, 0];
			sum[entry.side - 1]! += entry.toSeconds - entry.fromSeconds;
			seconds.set(entry.itemId, sum);
		}
		return items.filter(isSided).flatMap((taught) => {
			if (taught.item.dose.unevenReason) return []; // on purpose
			const [first, second] = seconds.get(taught.item.id) ?? [0, 0];
			if (second === 0) return []; // one side only is the business of other checks
			const longer = Math.max(first, second);
			if (Math.abs(first - second) <= (AGREE_PERCENT / 100) * longer) return [];
			return [
				{
					message: `${taught.movement.english} gets ${formatDuration(first)} on the first side and ${formatDuration(second)} on the second`,
					where: findingLocation(taught),
					data: { movement: taught.movement.slug, firstSeconds: first, secondSeconds: second }
				}
			];
		});
	},
	repair(finding) {
		const { itemId } = finding.where;
		if (!itemId) return null;
		return {
			label: 'The same on both sides',
			edits: [{ do: 'setDose', itemId, change: { moreOn: undefined, secondSide: undefined } }]
		};
	}
};
