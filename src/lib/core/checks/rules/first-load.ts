import type { TimedItem } from '../../clock';
import { WORKING_MODES } from '../../movement';
import { legsOfItem } from '../../orbit';
import { changedDose, rangeOf, setsOf } from '../../plan';
import { findingLocation } from '../helpers';
import type { Check } from '../types';

/** Muscles that work while they grow longer are the sorest the next day. */
const lengthensUnderLoad = (taught: TimedItem): boolean =>
	taught.item.mode === 'dynamic' &&
	taught.form.effort >= 3 &&
	legsOfItem(taught).some(({ lengthens, works }) => lengthens.length > 0 && works.length > 0);

const isLoaded = ({ form, item }: TimedItem): boolean =>
	WORKING_MODES.has(item.mode) && (form.id === 'loaded' || form.props.some(({ kit }) => kit === 'weight'));

/** Given in full: in more than one set, or with more than the least. */
const isGivenInFull = ({ item, movement, form }: TimedItem): boolean =>
	setsOf(item.dose) > 1 || item.dose.amount > rangeOf(item, movement, form).min;

export const firstLoad: Check = {
	meta: {
		id: 'first-load',
		summary: 'Load that is new begins small',
		severity: 'note',
		why: 'New load, and work that lengthens under load, makes sore for two days: one set of the least is enough the first time.',
		source:
			'Soreness follows unaccustomed lengthening work: Cheung et al., Sports Med 33:145 (2003), from memory; the dose is common practice',
		canRepair: true
	},
	check({ items, known }) {
		if (!known) return [];
		const met = new Set(known.slugs);
		return items
			.filter(
				(taught) =>
					!met.has(taught.movement.slug) &&
					(isLoaded(taught) || lengthensUnderLoad(taught)) &&
					isGivenInFull(taught)
			)
			.map((taught) => ({
				message: `${taught.movement.english} is new to them and heavy. Give one set of ${rangeOf(taught.item, taught.movement, taught.form).min} the first time.`,
				where: findingLocation(taught),
				cause: 'new load',
				data: { movement: taught.movement.slug }
			}));
	},
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const { min } = rangeOf(taught.item, taught.movement, taught.form);
		const dose = changedDose(taught.item.dose, {
			amount: min,
			sets: undefined,
			restSeconds: undefined,
			most: undefined
		});
		return {
			label: `One set of ${min}`,
			edits: [{ do: 'setItem', itemId: taught.item.id, change: { dose } }]
		};
	}
};
