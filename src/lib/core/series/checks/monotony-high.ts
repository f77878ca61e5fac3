import type { SeriesCheck } from './types';

const MOST_MONOTONY = 2;

export const monotonyHigh: SeriesCheck = {
	meta: {
		id: 'monotony-high',
		summary: 'Days of work and days of rest differ',
		severity: 'fix',
		why: 'Weeks in which every day has the same load are linked to illness and soreness; the usual warning is above 2.',
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
