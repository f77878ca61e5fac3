import { formatDuration, type TimedItem } from '../../clock';
import { isHold, type Mode } from '../../movement';
import { middleOf, rangeOf } from '../../plan';
import { findingLocation } from '../helpers';
import { LONGEST_HOLD_SECONDS } from '../../rules';
import type { Check } from '../types';

/**
 * The longest hold of one side by mode, seconds. Passive: the quiet school's five minutes; the others by what can be
 * kept up with a calm breath. Common practice, no source.
 */
const MOST_SECONDS: Partial<Record<Mode, number>> = {
	passive: LONGEST_HOLD_SECONDS.any,
	active: 120,
	isometric: 60,
	'press-and-ease': 90
};

/** Whether the work of an item is one hold; repetitions in any mode are not. */
const isHeld = ({ item, movement, form }: TimedItem): boolean => {
	const range = rangeOf(item, movement, form);
	return isHold(range) || range.unit === 'counts';
};

/** Seconds of work of one side of an item, in one go. */
export const secondsASide = (taught: TimedItem): number => taught.workSeconds / Math.max(1, taught.times);

/** Whether an item is held longer than its mode bears. */
export function isHeldTooLong(taught: TimedItem): boolean {
	const most = MOST_SECONDS[taught.item.mode];
	return most !== undefined && secondsASide(taught) > most && isHeld(taught);
}

export const holdTooLong: Check = {
	meta: {
		id: 'hold-too-long',
		summary: 'No hold is longer than its mode allows',
		severity: 'fix',
		why: 'Muscles tire after a minute or two, and then the joint takes the load; passive holds end at five minutes in the quietest school.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught) => {
			if (!isHeldTooLong(taught)) return [];
			const most = MOST_SECONDS[taught.item.mode]!;
			const seconds = secondsASide(taught);
			return [
				{
					message: `${taught.movement.english} is held for ${formatDuration(seconds)} a side; ${taught.item.mode} holds end at ${formatDuration(most)}`,
					where: findingLocation(taught),
					data: { movement: taught.movement.slug, seconds, mostSeconds: most }
				}
			];
		});
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { item, movement, form } = taught;
		const range = rangeOf(item, movement, form);
		if (!isHold(range)) return null;
		const share = Number(finding.data.mostSeconds) / Number(finding.data.seconds);
		const amount = Math.max(range.min, Math.floor(middleOf(item.dose) * share));
		if (amount >= item.dose.amount) return null;
		return {
			label: `Hold for ${amount} ${range.unit}`,
			edits: [{ do: 'setDose', itemId: item.id, change: { amount, most: undefined } }]
		};
	}
};
