import type { SeriesCheck } from './types';

export const tooSteep: SeriesCheck = {
	meta: {
		id: 'too-steep',
		summary: 'The load of a week rises gently',
		severity: 'mend',
		why: 'What rises by leaps is what people are sore from; a tenth more a week is a usual limit.',
		source: 'common practice; load as in Foster et al., J Strength Cond Res 15:109 (2001), from memory'
	},
	check({ weeks, planned }) {
		const { mostUpPercent } = planned.series;
		return weeks.flatMap(({ number, changePercent, classes }) =>
			changePercent === null || Math.round(changePercent) <= mostUpPercent
				? []
				: [
						{
							message: `week ${number} asks for ${Math.round(changePercent)} % more than the last ordinary week; the limit is ${mostUpPercent} %`,
							week: number,
							// a taught class can no longer change
							...(classes.every((c) => c.run) ? { severity: 'note' as const } : {}),
							data: { changePercent: Math.round(changePercent) }
						}
					]
		);
	}
};
