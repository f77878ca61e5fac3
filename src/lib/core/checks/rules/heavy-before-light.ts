import { isCalm, isHeavy, isPassiveStretch } from '../../rules';
import type { TimedItem } from '../../clock';
import { findingLocation } from '../helpers';
import { lengthened, MUSCLES_OF_TISSUE } from '../../orbit';
import type { Check } from '../types';

/** A light passive stretch of the same muscle. */
const isLight = ({ form, item }: TimedItem) => isPassiveStretch(form, item.mode) && isCalm(form);

export const heavyBeforeLight: Check = {
	meta: {
		id: 'heavy-before-light',
		summary: 'A light passive shape comes before the heavy one of the same muscle',
		severity: 'note',
		why: 'After the heavy shape a light one of its kind is hardly felt; before it, it prepares.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		return items.flatMap((taught, index) => {
			if (taught.item.passed || !isHeavy(taught.form, taught.item.mode)) return [];
			const muscles = [...lengthened(taught)].filter((tissue) => tissue in MUSCLES_OF_TISSUE);
			const serves = (other: TimedItem) =>
				isLight(other) && muscles.some((tissue) => lengthened(other).has(tissue));
			if (items.slice(0, index).some(serves)) return [];
			const light = items
				.slice(index + 1)
				.find(
					(other) => other.section === taught.section && other.blockId !== taught.blockId && serves(other)
				);
			if (!light) return [];
			return [
				{
					message: `${light.movement.english} is light and comes after ${taught.movement.english}, which is heavy on the same muscles`,
					where: findingLocation(light),
					cause: taught.item.id,
					data: { movement: light.movement.slug, after: taught.movement.slug }
				}
			];
		});
	}
};
