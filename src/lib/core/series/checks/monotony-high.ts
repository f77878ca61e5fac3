import type { SeriesCheck } from './types';

const MOST_MONOTONY = 2;

export const monotonyHigh: SeriesCheck = {
	meta: {
		id: 'monotony-high',
		summary: 'Days of work and days of rest differ',
		severity: 'mend',
		why: 'Weeks in which every day is alike are those in which people fall ill or sore; above 2 is the usual warning.',
		source: 'Foster et al., J Strength Cond Res 15:109 (2001), from memory'
	},
	check: ({ weeks }) =>
		weeks
			.filter(({ monotony }) => monotony !== null && monotony > MOST_MONOTONY)
			.map(({ number, monotony }) => ({
				message: `week ${number} is monotonous: ${Number.isFinite(monotony) ? monotony!.toFixed(1) : 'every day is the same'}`,
				week: number,
				data: { monotony: monotony! }
			}))
};
