import { findingLocation } from '../helpers';
import type { Check } from '../types';

export const oneWay: Check = {
	meta: {
		id: 'one-way',
		summary: 'Circles and leans go in both directions',
		severity: 'note',
		why: 'A circle or lean in one direction also needs the other direction; half of the count each is enough.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught) => {
			const { item, movement } = taught;
			if (!movement.bothWays || item.dose.bothWays || item.dose.byBreath || item.passed) return [];
			return [
				{
					message: `${movement.english}: one way only`,
					where: findingLocation(taught),
					cause: 'one-way',
					data: { movement: movement.slug }
				}
			];
		});
	},
	/** Half of it each way: the class lasts as long. */
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { amount, most } = taught.item.dose;
		const half = (value: number) => Math.max(1, Math.round(value / 2));
		return {
			label: 'Half of it each way',
			edits: [
				{
					do: 'setDose',
					itemId: taught.item.id,
					change: { amount: half(amount), most: most && half(most), bothWays: true }
				}
			]
		};
	}
};
