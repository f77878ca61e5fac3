import { progressIn } from '../progress';
import type { SeriesCheck } from './types';

export const goesBack: SeriesCheck = {
	meta: {
		id: 'goes-back',
		summary: 'A repeated movement is not made easier',
		severity: 'note',
		why: 'Continue from the form, sets or dose that the group has had, except in easier weeks or for your own reasons.',
		source: 'common practice'
	},
	check: ({ classes, context }) =>
		classes.flatMap((c) => {
			if (c.run) return [];
			const down = progressIn(classes, c, context.find).filter(({ way }) => way === 'down');
			if (down.length === 0) return [];
			const words = down.map(
				({ movement, what }) => `${context.find(movement)?.english ?? movement} (${what})`
			);
			return [
				{
					message: `class ${c.number} makes this easier than last time: ${words.join(', ')}`,
					classId: c.class.id,
					data: { movements: down.map(({ movement }) => movement).join(', ') }
				}
			];
		})
};
