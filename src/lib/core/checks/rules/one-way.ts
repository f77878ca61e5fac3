import { findingLocation } from '../helpers';
import type { Check } from '../types';

export const oneWay: Check = {
	meta: {
		id: 'one-way',
		summary: 'Circles and leans go in both directions',
		severity: 'note',
		why: 'A circle or lean in one direction also needs the other direction: half of the count each is enough, or the next visit goes the other way.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const oneWay = items.filter(
			({ item, movement }) => movement.bothWays && !item.dose.bothWays && !item.dose.byBreath && !item.passed
		);
		// the next visit goes the other way
		const unanswered = oneWay.filter(({ movement }, index) => {
			const earlier = oneWay.slice(0, index).filter((other) => other.movement.slug === movement.slug);
			const comesAgain = oneWay.slice(index + 1).some((other) => other.movement.slug === movement.slug);
			return earlier.length % 2 === 0 && !comesAgain;
		});
		return unanswered.map((taught) => ({
			message: `${taught.movement.english}: one way only`,
			where: findingLocation(taught),
			cause: 'one-way',
			data: { movement: taught.movement.slug }
		}));
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
