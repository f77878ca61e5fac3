import { howWithoutKit, itemKit, movementWithoutKit, shortageInWords } from '../../substitution';
import { modesOf } from '../../movement';
import { newItem } from '../../plan';
import { formEdit } from '../helpers';
import type { Check } from '../types';

export const kitShortage: Check = {
	meta: {
		id: 'kit-shortage',
		summary: 'The room holds enough kit',
		severity: 'fix',
		why: 'Two blocks each for twelve people are twenty-four blocks; better to know before class.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, group, find }) {
		if (!group) return [];
		return items.flatMap((taught) => {
			const { item, movement, blockId, startSeconds } = taught;
			const how = howWithoutKit(movement);
			return itemKit(taught, group, find)
				.filter((need) => need.short > 0)
				.map((need) => ({
					message: `${movement.english} ${shortageInWords(need)}${need.missing > 0 && how ? `; without: ${how}` : ''}`,
					// a replacement, or a form without the kit, makes it a note
					severity: need.missing > 0 && !how ? ('fix' as const) : ('note' as const),
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					cause: need.kit,
					data: { movement: movement.slug, kit: need.kit, needed: need.needed, available: need.available },
					repairable: need.missing > 0 && !how
				}));
		});
	},
	/**
	 * The nearest form that the kit suffices for, given to all and done in the same way; or the movement that takes its
	 * place without kit; or any other form.
	 */
	repair(finding, { items, group, plan, find }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught || !group) return null;
		const at = taught.movement.forms.findIndex((f) => f.id === taught.item.form);
		const enough = taught.movement.forms
			.map((form, index) => ({ form, apart: Math.abs(index - at) }))
			.filter(({ form, apart }) => {
				if (apart === 0) return false;
				const given = { ...taught, item: { ...taught.item, form: form.id }, form };
				return itemKit(given, group, find).every((need) => need.missing === 0);
			})
			.sort((a, b) => a.apart - b.apart);
		const alike = enough.find(({ form }) => modesOf(taught.movement, form).includes(taught.item.mode));
		const other = alike ? undefined : movementWithoutKit(taught.movement, find);
		if (other) {
			const by = { ...newItem(plan, other, taught.item.lead), id: taught.item.id };
			return { label: `${other.english} instead`, edits: [{ do: 'replace', itemId: taught.item.id, by }] };
		}
		const form = (alike ?? enough[0])?.form;
		if (!form) return null;
		return {
			label: `The ${form.id} form, for which there is enough`,
			edits: [formEdit(plan, taught, form.id)]
		};
	}
};
