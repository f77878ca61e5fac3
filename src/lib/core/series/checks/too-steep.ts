import type { SeriesCheck } from './types';

export const tooSteep: SeriesCheck = {
	meta: {
		id: 'too-steep',
		summary: 'The load of a week rises gently',
		severity: 'fix',
		why: 'A sudden rise makes people sore; a tenth more per week is a usual limit.',
		source: 'common practice; load as in Foster et al., J Strength Cond Res 15:109 (2001), from memory'
	},
	check({ weeks, planned }) {
		const { mostUpPercent } = planned.series;
		return weeks.flatMap(({ number, changePercent, classes }) =>
			changePercent === null || Math.round(changePercent) <= mostUpPercent
				? []
				: [
						{
							message: `week ${number} has ${Math.round(changePercent)} % more load than the last ordinary week; the limit is ${mostUpPercent} %`,
							week: number,
							// a taught class can no longer change
							...(classes.every((c) => c.run) ? { severity: 'note' as const } : {}),
							data: { changePercent: Math.round(changePercent) }
						}
					]
		);
	}
};
