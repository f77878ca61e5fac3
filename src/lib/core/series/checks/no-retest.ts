import { blocksOf } from '../../plan';
import type { SeriesCheck } from './types';

/** Weeks without a test that are too many. */
const MOST_WEEKS = 6;

export const noRetest: SeriesCheck = {
	meta: {
		id: 'no-retest',
		summary: 'The same test comes again every few weeks',
		severity: 'fix',
		why: 'Only the same test under the same conditions shows whether the weeks had an effect.',
		source: 'common practice'
	},
	check({ planned, classes }) {
		const { series } = planned;
		const weeks = [...series.retest.weeks].sort((a, b) => a - b);
		const reports = [];
		if (series.weeks > 2 && weeks.length < 2)
			reports.push({ message: 'there are no two tests to compare: choose at least two weeks for them' });
		const gap = weeks.map((week, i) => week - (weeks[i - 1] ?? 1)).find((between) => between > MOST_WEEKS);
		if (gap !== undefined)
			reports.push({
				message: `${gap} weeks lie between two tests; a test every few weeks shows more`,
				data: { weeks: gap }
			});
		const without = classes.find(
			(c) =>
				c.retest &&
				c.plan &&
				!blocksOf(c.plan).some(({ block }) => block.kind === 'test' && block.test === series.retest.test)
		);
		if (without)
			reports.push({
				message: `class ${without.number} is in a week with a test and has none`,
				classId: without.class.id
			});
		return reports;
	}
};
