import { itemsOf, type ClassPlan } from '../../plan';
import type { SeriesCheck } from './types';

const content = (plan: ClassPlan) =>
	itemsOf(plan)
		.map(({ movement, form }) => `${movement} ${form}`)
		.sort()
		.join(',');

export const sameClassThrice: SeriesCheck = {
	meta: {
		id: 'same-class-thrice',
		summary: 'A class changes at least every third time',
		severity: 'note',
		why: 'A group learns by repeating, but the same class a third time teaches little.',
		source: 'common practice'
	},
	check({ classes }) {
		return classes.flatMap((c, i) => {
			const run = classes.slice(i - 2, i + 1);
			if (i < 2 || run.some(({ plan }) => !plan || itemsOf(plan).length === 0)) return [];
			const [first, ...others] = run.map(({ plan }) => content(plan!));
			if (others.some((other) => other !== first)) return [];
			return [
				{
					message: `class ${c.number} is the third in a row with the same movements in the same forms`,
					classId: c.class.id
				}
			];
		});
	}
};
