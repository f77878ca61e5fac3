import { changePercent } from '../../training-load';
import { LOAD } from '../load';
import type { SeriesCheck, SeriesReport } from './types';

/** Ordinary weeks in a row on one level before it is said. */
const FLAT_WEEKS = 3;

export const loadFalls: SeriesCheck = {
	meta: {
		id: 'load-falls',
		summary: 'The load of ordinary weeks rises a little',
		severity: 'note',
		why: 'Load that falls each week builds no strength; let it fall only in easier weeks.',
		source: 'common practice; load as in Foster et al., J Strength Cond Res 15:109 (2001), from memory'
	},
	check({ weeks }) {
		const reports: SeriesReport[] = [];
		// as planned on both sides: what was reported is measured otherwise
		const ordinary = weeks.filter(
			(week) => !week.easier && week.whole && !week.mixed && week.plannedLoad > 0
		);
		let flat = 1;
		for (const [i, week] of ordinary.entries()) {
			const last = ordinary[i - 1];
			const change = last ? changePercent(last.plannedLoad, week.plannedLoad)! : null;
			if (change === null || week.classes.every(({ run }) => run)) continue;
			// after an easier week it goes on from where it was: that is no week without a rise
			const goesOn = weeks.some(({ number, easier }) => easier && number === week.number - 1);
			if (Math.abs(change) >= LOAD.leastUpPercent) flat = 1;
			else if (!goesOn) flat += 1;
			// within a tenth of its target a load is on target
			if (change <= -100 * LOAD.slack)
				reports.push({
					message: `week ${week.number} is planned with ${Math.round(-change)} % less load than the last ordinary week`,
					week: week.number,
					data: { changePercent: Math.round(change) }
				});
			else if (flat === FLAT_WEEKS && !goesOn)
				reports.push({
					message: `the load stays where it is for ${FLAT_WEEKS} ordinary weeks up to week ${week.number}`,
					week: week.number,
					data: { weeks: FLAT_WEEKS }
				});
		}
		return reports;
	}
};
