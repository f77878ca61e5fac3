import { itemsOf } from '../../plan';
import type { SeriesCheck } from './types';

export const leftOutForgotten: SeriesCheck = {
	meta: {
		id: 'left-out-forgotten',
		summary: 'Omitted movements come back',
		severity: 'note',
		why: 'A movement that a class had no time for is easily lost; it comes first the next time.',
		source: 'common practice'
	},
	check({ classes, context }) {
		return classes.flatMap((c) => {
			if (!c.plan || c.comesBack.length === 0) return [];
			const there = new Set(itemsOf(c.plan).map((item) => item.movement));
			const lost = c.comesBack.filter((slug) => !there.has(slug));
			if (lost.length === 0) return [];
			return [
				{
					message: `class ${c.number} should bring back: ${lost.map((slug) => context.find(slug)?.english ?? slug).join(', ')}`,
					classId: c.class.id,
					data: { movements: lost.join(', ') }
				}
			];
		});
	}
};
