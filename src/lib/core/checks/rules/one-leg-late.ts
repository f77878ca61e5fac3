import type { TimedItem } from '../../clock';
import { formFacts, UNSTEADY } from '../../movement';
import { isStrong } from '../../rules';
import { findingLocation } from '../helpers';
import { factsOf, livedWith } from '../lived';
import type { Check } from '../types';

/** From this share of the class on people are tired. Common practice, no source. */
const LATE_FROM = 2 / 3;

const works = ({ form, item }: TimedItem) => isStrong(form, item.mode) && form.effort >= 3;

export const oneLegLate: Check = {
	meta: {
		id: 'one-leg-late',
		summary: 'Standing on one leg comes early for those who may fall',
		severity: 'note',
		why: 'A tired leg gives way: balance comes in the first part of a class, and not right after hard sets.',
		source: 'common practice',
		canRepair: false
	},
	check(context) {
		return [...UNSTEADY].flatMap((caution) => {
			const lived = livedWith(context, caution);
			if (!lived) return [];
			const late = LATE_FROM * context.timeline.totalSeconds;
			return lived.items.flatMap((taught, index) => {
				if (!formFacts.isOnOneLeg(factsOf(taught))) return [];
				const before = lived.items[index - 1];
				const isLate = taught.startSeconds >= late;
				if (!isLate && !(before && works(before))) return [];
				return [
					{
						message: `${caution} (${lived.people}): ${taught.movement.english} stands on one leg ${isLate ? 'late in the class' : 'right after hard work'}. Both hands on the wall, or earlier.`,
						where: findingLocation(taught),
						cause: caution,
						data: { caution, movement: taught.movement.slug }
					}
				];
			});
		});
	}
};
