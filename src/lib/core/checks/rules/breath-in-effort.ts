import { formatDuration, type TimedItem } from '../../clock';
import { isHold, type Caution } from '../../movement';
import { rangeOf } from '../../plan';
import { findingLocation } from '../helpers';
import { livedWith } from '../lived';
import { secondsASide } from './hold-too-long';
import type { Check } from '../types';

/** Whoever should not hold the breath under effort. */
const BREATHERS: readonly Caution[] = [
	'high blood pressure or glaucoma',
	'pregnancy',
	'early pregnancy',
	'after birth or hernia'
];

/** From this effort and length on people begin to hold the breath. Common practice, no source. */
const HARD = { effort: 2, seconds: 20 };

const isLongEffort = (taught: TimedItem): boolean =>
	taught.item.mode === 'isometric' &&
	taught.form.effort >= HARD.effort &&
	isHold(rangeOf(taught.item, taught.movement, taught.form)) &&
	secondsASide(taught) >= HARD.seconds;

/** Its note says how to breathe, or it is counted in breaths. */
const hasWord = ({ movement, form, item }: TimedItem): boolean =>
	rangeOf(item, movement, form).unit === 'breaths' || /breath/i.test(item.note ?? '');

export const breathInEffort: Check = {
	meta: {
		id: 'breath-in-effort',
		summary: 'Long efforts come with a word about the breath',
		severity: 'note',
		why: 'Whoever holds the breath under effort raises the pressure in head, belly and pelvic floor.',
		source:
			'Breath holding under effort raises blood pressure: MacDougall et al., J Appl Physiol 58:785 (1985), from memory; the amounts are common practice',
		canRepair: true
	},
	check(context) {
		return BREATHERS.flatMap((caution) => {
			const lived = livedWith(context, caution);
			if (!lived) return [];
			return lived.items
				.filter((taught) => isLongEffort(taught) && !hasWord(taught))
				.map((taught) => ({
					message: `${caution} (${lived.people}): ${taught.movement.english} is held hard for ${formatDuration(secondsASide(taught))}. Say that the breath goes on.`,
					where: findingLocation(taught),
					cause: caution,
					data: { caution, movement: taught.movement.slug }
				}));
		});
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const note = [taught.item.note, 'Breathe on; breathe out with the effort.'].filter(Boolean).join('\n');
		return {
			label: 'Add “Breathe on” to its note',
			edits: [{ do: 'setItem', itemId: taught.item.id, change: { note } }]
		};
	}
};
