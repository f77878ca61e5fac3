import { CALM_UP_TO_INTENSITY, isDeep } from '../../rules';
import type { TimedItem } from '../../clock';
import { findingLocation } from '../helpers';
import { isSided } from '../../orbit';
import type { Check } from '../types';

/** This many deep two-sided shapes in a row need a reset between them. Common practice, no source. */
const MOST_IN_A_ROW = 2;

const isHeavySided = (taught: TimedItem) => isSided(taught) && isDeep(taught.form) && !taught.item.passed;

/** Rest, an easy move or an easy shape without sides. */
const resets = ({ item, form, movement }: TimedItem) =>
	item.mode === 'rest' ||
	(form.intensity <= CALM_UP_TO_INTENSITY && (item.mode === 'dynamic' || 'both' in movement.action));

export const heavySidesReset: Check = {
	meta: {
		id: 'heavy-sides-reset',
		summary: 'A reset comes between heavy two-sided shapes',
		severity: 'note',
		why: 'After two deep two-sided shapes, half a minute of shaking out or rocking the knees makes the third one possible.',
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
			message: `${heavy.length} deep two-sided shapes follow without a reset, from ${heavy[0]!.movement.english} on`,
			where: findingLocation(heavy[0]!),
			data: { movement: heavy[0]!.movement.slug, items: heavy.length }
		}));
	}
};
