import { formatDuration } from '../clock';
import { doseRange, isHold, type Mode } from '../movement';
import { at } from './help';
import { LONGEST_HOLD_SECONDS } from '../rules';
import type { TimedItem } from '../clock';
import type { Check } from './types';

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

/** Seconds of work of one side of an item, in one go. */
export const secondsASide = (taught: TimedItem): number => taught.workSeconds / Math.max(1, taught.times);

export const holdTooLong: Check = {
	meta: {
		id: 'hold-too-long',
		summary: 'No hold is longer than its mode bears',
		severity: 'mend',
		why: 'Own strength fades after a minute or two, and then it is the joint that holds; passive holds end at five minutes in the quietest school.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught) => {
			const most = MOST_SECONDS[taught.item.mode];
			const seconds = secondsASide(taught);
			if (!most || seconds <= most) return [];
			return [
				{
					message: `${taught.movement.english} is held for ${formatDuration(seconds)} a side; ${taught.item.mode} holds end at ${formatDuration(most)}`,
					where: at(taught),
					data: { movement: taught.movement.slug, seconds, mostSeconds: most }
				}
			];
		});
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { item, form } = taught;
		const range = doseRange(form, item.mode, item.unit);
		if (!isHold(range)) return null;
		const share = Number(finding.data.mostSeconds) / Number(finding.data.seconds);
		const dose = Math.max(range.min, Math.floor(item.dose * share));
		if (dose >= item.dose) return null;
		return {
			label: `Hold for ${dose} ${range.unit}`,
			edits: [{ do: 'setItem', itemId: item.id, change: { dose } }]
		};
	}
};
