import { regionOf } from '../../measure';
import { formForTier, mostIntensity } from '../../substitution';
import { peopleByTier, TIERS } from '../../group';
import { formEdit } from '../helpers';
import type { Check } from '../types';

export const tierTooHard: Check = {
	meta: {
		id: 'tier-too-hard',
		summary: 'Every tier has a form of each movement',
		severity: 'fix',
		why: 'A form that is too deep can hurt people or leave them watching; beginners stay at three of five.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, group }) {
		if (!group) return [];
		return items.flatMap(({ item, movement, blockId, startSeconds }) => {
			const people = peopleByTier(group, regionOf(movement));
			const tooMuch = TIERS.filter((tier) => {
				if (!people[tier]) return false;
				const most = mostIntensity(tier, group);
				// open people for whom one rung more is too much do what everybody does
				const given = movement.forms.find((form) => form.id === item.form)!;
				const own = tier === 'open' ? given : formForTier(movement, item.form, tier);
				return own.intensity > most;
			});
			if (!tooMuch.length) return [];
			const who = tooMuch.map((tier) => `${tier} (${people[tier]})`).join(' and ');
			return [
				{
					message: `${movement.english} in the ${item.form} form is too much for the ${who} people`,
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					cause: who,
					data: { movement: movement.slug, form: item.form, tiers: tooMuch.join(', ') },
					repairable: movement.forms[0]?.id !== item.form
				}
			];
		});
	},
	/** The next easier form, for all. */
	repair(finding, { items, plan }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { forms } = taught.movement;
		const easier = forms[forms.findIndex((f) => f.id === taught.item.form) - 1];
		if (!easier) return null;
		return {
			label: `The ${easier.id} form`,
			edits: [formEdit(plan, taught, easier.id)]
		};
	}
};
