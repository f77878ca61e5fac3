import type { SeriesCheck } from './types';

const IN_A_ROW = 3;

export const sideHabit: SeriesCheck = {
	meta: {
		id: 'side-habit',
		summary: 'The side that goes first alternates',
		severity: 'note',
		why: 'The first side gets the longer explanation and the fresher legs; over weeks that adds up.',
		source: 'common practice'
	},
	check({ classes }) {
		return classes.flatMap((c, i) => {
			const row = classes.slice(i - IN_A_ROW + 1, i + 1);
			if (i < IN_A_ROW - 1 || row.some((other) => !other.firstSide)) return [];
			if (row.some((other) => other.firstSide !== c.firstSide)) return [];
			// some schools keep one side on purpose
			if (c.plan?.style?.firstSide === 'same') return [];
			return [
				{
					message: `the ${c.firstSide} leg leads first for the third time in a row in class ${c.number}`,
					classId: c.class.id
				}
			];
		});
	}
};
