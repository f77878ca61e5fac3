import { isSymmetrical } from '../../anatomy';
import { formatDuration, type TimedItem } from '../../clock';
import { isHold } from '../../movement';
import { amountWords, rangeInStyle, rangeOf } from '../../plan';
import { isPassiveStretch } from '../../rules';
import type { Check, CheckContext, Report } from '../types';

function report(
	{ item, movement, blockId, startSeconds }: TimedItem,
	message: string,
	question: string,
	repairable = false
): Report {
	return {
		message: `${movement.english} ${message}`,
		where: { itemId: item.id, blockId, atSeconds: startSeconds },
		cause: `${question} ${item.mode}`,
		data: { movement: movement.slug, question },
		repairable
	};
}

/** A hold that is longer than the style goes. */
function tooLong(taught: TimedItem, { style }: CheckContext): Report[] {
	const { item, movement, form } = taught;
	const range = rangeInStyle(style, item, movement, form);
	if (item.dose.amount <= range.max || item.mode !== 'passive') return [];
	return [
		report(
			taught,
			`is held for ${amountWords(item.dose, range.unit)}; this style holds at most ${range.max}`,
			'holding',
			true
		)
	];
}

/** A hold before sport, where the style moves only. */
function heldBeforeSport(taught: TimedItem, { style, group }: CheckContext): Report[] {
	const { item, movement, form, workSeconds } = taught;
	if (group?.moment !== 'before sport' || style.beforeSport !== 'dynamic only') return [];
	const stretches = isPassiveStretch(form, item.mode) && isHold(rangeOf(item, movement, form));
	if (!stretches) return [];
	return [
		report(
			taught,
			`is held (${formatDuration(workSeconds)}); before sport this style only moves`,
			'beforeSport'
		)
	];
}

/** More on one side, where the style keeps both equal; and the other way round for sets and props. */
function unequal(taught: TimedItem, { style }: CheckContext): Report[] {
	const { item, movement } = taught;
	const more = item.dose.moreOn;
	if (!more || isSymmetrical(movement.action)) return [];
	if (style.sides === 'more time' || style.sides === 'more sets') return [];
	return [report(taught, `gives the ${more.leg} side more; this style keeps the time equal`, 'sides', true)];
}

/** A folded back where a person has a sore one. */
function roundedFold(taught: TimedItem, { style, group }: CheckContext): Report[] {
	const sore = group?.cautions.some((c) => c.caution === 'low back' || c.caution === 'fragile bones');
	if (style.foldBack !== 'round' || !sore || !taught.movement.families.includes('forward fold')) return [];
	return [
		report(taught, 'is folded with a round back, and a caution in the room asks for a long one', 'foldBack')
	];
}

export const styleConflict: Check = {
	meta: {
		id: 'style-conflict',
		summary: 'The class keeps to its style',
		severity: 'note',
		why: 'Where schools differ you have chosen one, and here the class differs from it. That may be intended.',
		source: 'common practice; both schools stand under Style',
		canRepair: true
	},
	check(context) {
		return context.items.flatMap((taught) => [
			...tooLong(taught, context),
			...heldBeforeSport(taught, context),
			...unequal(taught, context),
			...roundedFold(taught, context)
		]);
	},
	repair(finding, { items, style }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { item, movement, form } = taught;
		if (finding.data.question === 'sides')
			return {
				label: 'The same on both sides',
				edits: [{ do: 'setDose', itemId: item.id, change: { moreOn: undefined } }]
			};
		if (finding.data.question !== 'holding') return null;
		const { max, unit } = rangeInStyle(style, item, movement, form);
		return {
			label: `Hold for ${max} ${unit}`,
			edits: [{ do: 'setDose', itemId: item.id, change: { amount: max, most: undefined } }]
		};
	}
};
