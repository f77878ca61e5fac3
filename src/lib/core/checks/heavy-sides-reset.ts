import { CALM_UP_TO_INTENSITY, isDeep } from '../rules';
import type { TimedItem } from '../clock';
import { findingLocation, isSided } from './help';
import type { Check } from './types';

/** So many deep shapes with sides in a row want something easy between. Common practice, no source. */
const MOST_IN_A_ROW = 2;

const isHeavySided = (taught: TimedItem) => isSided(taught) && isDeep(taught.form) && !taught.item.passed;

/** Rest, an easy move or an easy shape without sides. */
const resets = ({ item, form, movement }: TimedItem) =>
	item.mode === 'rest' ||
	(form.intensity <= CALM_UP_TO_INTENSITY && (item.mode === 'dynamic' || 'both' in movement.action));

export const heavySidesReset: Check = {
	meta: {
		id: 'heavy-sides-reset',
		summary: 'Between heavy sides there is a reset',
		severity: 'note',
		why: 'After two deep shapes on one side and the other, shaking out or rocking the knees for half a minute makes the third one possible.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		let run: TimedItem[] = [];
		const found: TimedItem[][] = [];
		for (const taught of items) {
			if (isHeavySided(taught)) run.push(taught);
			else if (resets(taught)) {
				if (run.length > MOST_IN_A_ROW) found.push(run);
				run = [];
			}
		}
		if (run.length > MOST_IN_A_ROW) found.push(run);
		return found.map((heavy) => ({
			message: `${heavy.length} deep shapes with sides come without a reset, from ${heavy[0]!.movement.english} on`,
			where: findingLocation(heavy[0]!),
			data: { movement: heavy[0]!.movement.slug, items: heavy.length }
		}));
	}
};
