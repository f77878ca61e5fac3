import { otherLeg } from '../../anatomy';
import { findingLocation } from '../helpers';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

export const crossingSwaps: Check = {
	meta: {
		id: 'crossing-swaps',
		summary: 'Crossed shins and clasped hands alternate',
		severity: 'note',
		why: 'A cross-legged seat is not symmetrical: one shin is in front. The second time the other shin goes in front; the same holds for clasped thumbs.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const met = new Map<string, TimedItem>();
		return items.flatMap((taught) => {
			const { crosses, slug, english } = taught.movement;
			if (!crosses) return [];
			const before = met.get(slug);
			met.set(slug, taught);
			if (!before || before.item.lead !== taught.item.lead) return [];
			return [
				{
					message: `${english} comes again with the ${taught.item.lead} ${crosses === 'shins' ? 'shin in front' : 'thumb on top'} as before`,
					where: findingLocation(taught),
					data: { movement: slug, side: taught.item.lead }
				}
			];
		});
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const lead = otherLeg(taught.item.lead);
		return {
			label: `The ${lead} ${taught.movement.crosses === 'shins' ? 'shin in front' : 'thumb on top'} this time`,
			edits: [{ do: 'setItem', itemId: taught.item.id, change: { lead } }]
		};
	}
};
