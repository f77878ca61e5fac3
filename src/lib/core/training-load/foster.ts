/**
 * Load of training after Foster et al., J Strength Cond Res 15:109 (2001), from memory: what a session costs is how
 * hard it was, as people say it (0-10), times how long it lasted.
 */

/**
 * Load of one session: effort 0-10 times minutes. Example: effort 4 for 45 minutes is 180.
 * @example sessionLoad(6, 45) // 270
 */
export function sessionLoad(effort: number, minutes: number): number {
	return effort * minutes;
}

/** Sum of the daily loads. */
export function weeklyLoad(dailyLoads: readonly number[]): number {
	return dailyLoads.reduce((sum, load) => sum + load, 0);
}

/** Days that differ by less than this part of their mean are the same. */
const EPSILON = 1e-9;

/**
 * How alike the days of a week are: mean daily load over its standard deviation (of a sample, n - 1); days of rest
 * count as 0. Example: 180 on one day of seven gives 0.38. Null for a week without load, Infinity when all days are
 * the same.
 */
export function monotony(dailyLoads: readonly number[]): number | null {
	const n = dailyLoads.length;
	const total = weeklyLoad(dailyLoads);
	if (total === 0 || n < 2) return null;
	const mean = total / n;
	const squares = dailyLoads.reduce((sum, load) => sum + (load - mean) ** 2, 0);
	const deviation = Math.sqrt(squares / (n - 1));
	// a mean of equal figures may miss them by a hair
	return deviation < EPSILON * mean ? Infinity : mean / deviation;
}

/** Weekly load times monotony; null for a week without load. Example: one session of 180 a week gives 68. */
export function strain(dailyLoads: readonly number[]): number | null {
	const alike = monotony(dailyLoads);
	return alike === null ? null : weeklyLoad(dailyLoads) * alike;
}

/**
 * How much a load changed against another, percent; null where there was none to compare with.
 * @example changePercent(200, 250) // 25
 */
export function changePercent(before: number, after: number): number | null {
	return before > 0 ? (100 * (after - before)) / before : null;
}
