import { DIRECTION_NAME } from '../../anatomy';
import { NEGLECT_WEEKS, neglected } from '../neglect';
import type { SeriesCheck } from './types';

export const directionNeglected: SeriesCheck = {
	meta: {
		id: 'direction-neglected',
		summary: 'No direction is short for three weeks',
		severity: 'fix',
		why: 'One class may be short of a direction; three weeks in a row are a habit. The planner gives more of it from now on.',
		source: 'common practice'
	},
	check({ weeks }) {
		const told = new Set<string>();
		return weeks.flatMap((week, i) =>
			neglected(weeks.slice(0, i + 1))
				.filter((d) => week.orbit.rangeTotalSeconds > 0 && !told.has(d))
				.map((d) => {
					told.add(d);
					return {
						message: `${DIRECTION_NAME[d]} is short for ${NEGLECT_WEEKS} weeks in a row up to week ${week.number}`,
						week: week.number,
						data: { direction: d }
					};
				})
		);
	}
};
