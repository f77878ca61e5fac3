import { formatDuration } from '../../clock';
import { isHold } from '../../movement';
import { middleOf, rangeOf } from '../../plan';
import { findingLocation } from '../helpers';
import { secondsASide } from './hold-too-long';
import type { Check } from '../types';

/** A static stretch of less than this changes little: ACSM gives 10-30 s. */
const LEAST_SECONDS = 10;

export const holdTooShort: Check = {
	meta: {
		id: 'hold-too-short',
		summary: 'A held stretch is long enough to work',
		severity: 'note',
		why: 'A static stretch takes 10 to 30 seconds; three breaths in nine seconds are only a pose.',
		source:
			'ACSM position stand, Garber et al., Med Sci Sports Exerc 43:1334 (2011): 10-30 s a stretch (from memory)',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught) => {
			const { item, form, movement } = taught;
			if (item.mode !== 'passive' || item.passed || !isHold(rangeOf(item, movement, form))) return [];
			const seconds = secondsASide(taught);
			if (seconds >= LEAST_SECONDS) return [];
			return [
				{
					message: `${movement.english} is held for ${formatDuration(seconds)} a side; from ${formatDuration(LEAST_SECONDS)} on it has an effect`,
					where: findingLocation(taught),
					cause: 'hold-too-short',
					data: { movement: movement.slug, seconds, leastSeconds: LEAST_SECONDS }
				}
			];
		});
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { item, movement, form } = taught;
		const range = rangeOf(item, movement, form);
		const amount = Math.min(
			range.max,
			Math.ceil((middleOf(item.dose) * LEAST_SECONDS) / secondsASide(taught))
		);
		if (amount <= item.dose.amount) return null;
		return {
			label: `Hold for ${amount} ${range.unit}`,
			edits: [{ do: 'setDose', itemId: item.id, change: { amount, most: undefined } }]
		};
	}
};
