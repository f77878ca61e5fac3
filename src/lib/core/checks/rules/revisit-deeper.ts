import type { Form } from '../../movement';
import { middleOf, rangeInStyle } from '../../plan';
import { findingLocation } from '../helpers';
import { STILL_MODES } from '../../orbit';
import { isReset, STRETCH_FROM_INTENSITY } from '../../rules';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

const depth = ({ movement, form }: TimedItem) => movement.forms.indexOf(form as Form);

/** A shape to rest in or to begin from: it comes again as it is. */
const isBase = ({ movement, form, item }: TimedItem) =>
	isReset(movement) || item.mode === 'rest' || item.passed || form.intensity < STRETCH_FROM_INTENSITY;

export const revisitDeeper: Check = {
	meta: {
		id: 'revisit-deeper',
		summary: 'A second visit is deeper than the first',
		severity: 'note',
		why: 'By the second visit people know the shape: hold it longer or use a stronger form. The same again teaches little.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const met = new Map<string, TimedItem>();
		return items.flatMap((taught) => {
			const before = met.get(taught.movement.slug);
			met.set(taught.movement.slug, taught);
			if (!before || !STILL_MODES.has(taught.item.mode) || taught.item.mode !== before.item.mode) return [];
			// short passages may return unchanged, and flows repeat anyway
			if (isBase(taught) || before.blockId === taught.blockId || before.times > 2 || taught.times > 2)
				return [];
			if (depth(taught) > depth(before) || taught.workSeconds > before.workSeconds) return [];
			return [
				{
					message: `${taught.movement.english} comes a second time with no change`,
					where: findingLocation(taught),
					data: { movement: taught.movement.slug }
				}
			];
		});
	},
	/** A little longer than before, where its form allows that. */
	repair(finding, { items, style }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		const before = items.findLast(
			({ movement, startSeconds }) =>
				movement.slug === finding.data.movement && startSeconds < (taught?.startSeconds ?? 0)
		);
		if (!taught || !before) return null;
		const { item, movement, form } = taught;
		const range = rangeInStyle(style, item, movement, form);
		const perUnit = taught.workSeconds / middleOf(item.dose);
		const amount = Math.min(range.max, Math.floor(before.workSeconds / perUnit) + 1);
		if (amount <= item.dose.amount) return null;
		return {
			label: `${amount} ${range.unit} on the second visit`,
			edits: [{ do: 'setDose', itemId: item.id, change: { amount, most: undefined } }]
		};
	}
};
