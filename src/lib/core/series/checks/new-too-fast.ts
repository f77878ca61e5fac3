import { itemsOf } from '../../plan';
import { metBeforeEach } from '../schedule';
import type { SeriesCheck, SeriesReport } from './types';

export const newTooFast: SeriesCheck = {
	meta: {
		id: 'new-too-fast',
		summary: 'New movements come one by one',
		severity: 'note',
		why: 'One new movement per class, the easier one first; the group knows the rest.',
		source: 'common practice'
	},
	check({ classes, planned, context }) {
		const met = metBeforeEach(planned, context.knownBefore);
		return classes.flatMap((c): SeriesReport[] => {
			const known = met[c.number - 1]!;
			const slugs = new Set(c.plan ? itemsOf(c.plan).map((item) => item.movement) : []);
			// to a group of which nothing is known everything is new
			const fresh = known.size === 0 ? [] : [...slugs].filter((slug) => !known.has(slug));
			if (fresh.length <= planned.series.mostNew) return [];
			return [
				{
					message: `class ${c.number} has ${fresh.length} new movements: ${fresh.map((slug) => context.find(slug)?.english ?? slug).join(', ')}`,
					classId: c.class.id,
					data: { count: fresh.length }
				}
			];
		});
	}
};
