import { findingLocation, formEdit } from '../helpers';
import { isDeep } from '../../rules';
import type { Check } from '../types';

export const calmClose: Check = {
	meta: {
		id: 'calm-close',
		summary: 'The class ends calmly',
		severity: 'fix',
		why: 'The shape before the rest sets its tone: choose one in which the breath is long.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const beforeRest = items.findLast(({ item }) => item.mode !== 'rest');
		// the heaviest passive shape is wanted last: it ends in stillness
		if (!beforeRest || beforeRest.item.mode === 'passive') return [];
		if (!isDeep(beforeRest.form) || items.length < 3) return [];
		return [
			{
				message: `right before the end comes ${beforeRest.movement.english} at intensity ${beforeRest.form.intensity} of 5`,
				where: findingLocation(beforeRest),
				data: { movement: beforeRest.movement.slug, intensity: beforeRest.form.intensity }
			}
		];
	},
	/** An easier form of it. */
	repair(finding, { items, plan }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		const easier = taught?.movement.forms.findLast((form) => !isDeep(form));
		if (!taught || !easier) return null;
		return {
			label: `The ${easier.id} form`,
			edits: [formEdit(plan, taught, easier.id)]
		};
	}
};
