import { itemKit, kitAtHand, peopleByTier, shortageInWords } from '../substitution';
import { formEdit } from './help';
import type { Check } from './types';

export const kitShortage: Check = {
	meta: {
		id: 'kit-shortage',
		summary: 'The room holds enough kit',
		severity: 'mend',
		why: 'Blocks under both knees of twelve people are twenty-four blocks; better to know before class than in it.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, group }) {
		if (!group) return [];
		const atHand = kitAtHand(group);
		const people = peopleByTier(group);
		return items.flatMap((taught) => {
			const { item, movement, blockId, startSeconds } = taught;
			return itemKit(taught, group, atHand, people)
				.filter((need) => need.short > 0)
				.map((need) => ({
					message: `${movement.english} ${shortageInWords(need)}`,
					// what stands in makes it a thing to know, not to mend
					severity: need.missing > 0 ? ('mend' as const) : ('note' as const),
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					data: { movement: movement.slug, kit: need.kit, needed: need.needed, available: need.available },
					repairable: need.missing > 0
				}));
		});
	},
	/** The nearest form that the kit suffices for, given to all. */
	repair(finding, { items, group, plan }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught || !group) return null;
		const atHand = kitAtHand(group);
		const at = taught.movement.forms.findIndex((f) => f.id === taught.item.form);
		const enough = taught.movement.forms
			.map((form, index) => ({ form, apart: Math.abs(index - at) }))
			.filter(({ form, apart }) => {
				if (apart === 0) return false;
				const given = { ...taught, item: { ...taught.item, form: form.id }, form };
				return itemKit(given, group, atHand).every((need) => need.missing === 0);
			})
			.sort((a, b) => a.apart - b.apart)[0];
		if (!enough) return null;
		const { form } = enough;
		return {
			label: `The ${form.id} form, for which there is enough`,
			edits: [formEdit(plan, taught, form.id)]
		};
	}
};
