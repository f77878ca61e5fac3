import { modesOf, type Mode } from '../../movement';
import { amountWords, blocksOf, formChange, middleOf, rangeInStyle, rangeOf } from '../../plan';
import { widestRange } from '../../style';
import { findingLocation } from '../helpers';
import { isHeldTooLong } from './hold-too-long';
import type { TimedItem } from '../../clock';
import type { Check, CheckContext, Report } from '../types';

/** A dose may differ from the usual one by this share. */
const SLACK = 0.25;

/** Breaths up to which a stay in a shape is no dose. Common practice, no source. */
const PAUSE_BREATHS = 2;

/** Returns the usual amount in any school; for both sides together where the sides alternate. */
function usualOf({ item, movement, form }: TimedItem): { min: number; max: number } {
	const own = rangeOf(item, movement, form);
	const wide = widestRange(form, item.mode, item.dose.unit);
	return { min: own.min, max: Math.max(own.max, wide.max) };
}

/** Whether another check speaks of the length of this hold already. */
const isSaidElsewhere = (taught: TimedItem, { style }: CheckContext): boolean =>
	isHeldTooLong(taught) ||
	(taught.item.mode === 'passive' &&
		taught.item.dose.amount > rangeInStyle(style, taught.item, taught.movement, taught.form).max);

export const unusualDose: Check = {
	meta: {
		id: 'unusual-dose',
		summary: 'Doses are usual, or differ on purpose',
		severity: 'note',
		why: 'Much less than usual has little effect; much more fatigues instead of preparing. Teachers may intend both, so this is only a note.',
		source: 'common practice',
		canRepair: true
	},
	check(context) {
		const flows = new Set(
			blocksOf(context.plan).flatMap(({ block }) => (block.kind === 'flow' ? [block.id] : []))
		);
		return context.items.flatMap((taught): Report[] => {
			const { item, movement, form } = taught;
			const modes = modesOf(movement, form);
			if (!modes.includes(item.mode) && !item.passed && !item.dose.byBreath)
				return [
					{
						message: `${movement.english}, ${form.id} form: ${item.mode}; ${modes.join(' or ')} is usual`,
						where: findingLocation(taught),
						data: { movement: movement.slug, mode: item.mode }
					}
				];
			// a breath that carries a movement is no dose of its own
			if (item.passed || item.dose.byBreath || item.dose.sets || isSaidElsewhere(taught, context)) return [];
			// in a flow there are no holds, and a short rest between is a reset
			if (flows.has(taught.blockId)) return [];
			const { min, max } = usualOf(taught);
			const amount = middleOf(item.dose);
			const least = item.mode === 'rest' ? 0 : min * (1 - SLACK);
			if (amount >= least && amount <= max * (1 + SLACK)) return [];
			const { unit } = rangeOf(item, movement, form);
			// a breath or two in a shape is a pause on the way
			if (unit === 'breaths' && amount <= PAUSE_BREATHS) return [];
			const usual = amount < min ? `at least ${min}` : `at most ${max}`;
			return [
				{
					message: `${movement.english}: ${amountWords(item.dose, unit)}; ${usual} is usual`,
					where: findingLocation(taught),
					data: { movement: movement.slug, amount, min, max }
				}
			];
		});
	},
	repair(finding, { items, plan }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		if (finding.data.mode !== undefined) {
			const mode = modesOf(taught.movement, taught.form)[0] as Mode;
			const change = formChange(plan, taught.item, taught.movement, { mode });
			return {
				label: `Do it ${mode}`,
				edits: [{ do: 'setItem', itemId: taught.item.id, change }]
			};
		}
		const { min, max } = usualOf(taught);
		const { item, movement, form } = taught;
		const amount = middleOf(item.dose) < min ? min : max;
		return {
			label: amountWords({ amount }, rangeOf(item, movement, form).unit),
			edits: [{ do: 'setDose', itemId: item.id, change: { amount, most: undefined } }]
		};
	}
};
