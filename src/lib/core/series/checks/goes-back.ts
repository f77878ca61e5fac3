import { progressIn } from '../progress';
import type { SeriesCheck } from './types';

export const goesBack: SeriesCheck = {
	meta: {
		id: 'goes-back',
		summary: 'What comes again goes no way back',
		severity: 'note',
		why: 'A form, sets or a dose that the group has had is the place to go on from; easier weeks and your own reasons apart.',
		source: 'common practice'
	},
	check: ({ classes, setting }) =>
		classes.flatMap((c) => {
			if (c.run) return [];
			const down = progressIn(classes, c, setting.find).filter(({ way }) => way === 'down');
			if (down.length === 0) return [];
			const words = down.map(
				({ movement, what }) => `${setting.find(movement)?.english ?? movement} (${what})`
			);
			return [
				{
					message: `class ${c.number} gives less than last time of ${words.join(', ')}`,
					classId: c.class.id,
					data: { movements: down.map(({ movement }) => movement).join(', ') }
				}
			];
		})
};
