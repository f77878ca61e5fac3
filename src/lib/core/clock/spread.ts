import { errorFunction } from 'simple-statistics';
import { CHANCE_SECONDS, EIGHT_OF_TEN } from '../pace';

/** When a class is likely to end: log-normal about what is planned. */
export interface Spread {
	/** Planned time: the median of the model. */
	medianSeconds: number;
	/** Standard deviation of the logarithm of the real length against the planned one. */
	logSd: number;
	/** Eight classes of ten end between these. */
	likelyFromSeconds: number;
	likelyToSeconds: number;
	/** Chance (0-1) that the class ends within its length. */
	onTime: number;
}

/**
 * When a class is likely to end. Its length differs from the planned one by a factor that is the same for the whole
 * class (the teacher's kind is only roughly known, and no evening is like another), and by the chance of its visits,
 * which grows with the root of the length.
 *
 * @param plannedSeconds what the clock gives
 * @param lengthSeconds how long the class may be
 * @param classLogSd how far the factor may be from 1, on the scale of logarithms
 */
export function spread(plannedSeconds: number, lengthSeconds: number, classLogSd: number): Spread {
	if (plannedSeconds <= 0)
		return { medianSeconds: 0, logSd: 0, likelyFromSeconds: 0, likelyToSeconds: 0, onTime: 1 };
	const logSd = Math.sqrt(classLogSd ** 2 + CHANCE_SECONDS / plannedSeconds);
	const factor = Math.exp(EIGHT_OF_TEN * logSd);
	return {
		medianSeconds: plannedSeconds,
		logSd,
		likelyFromSeconds: plannedSeconds / factor,
		likelyToSeconds: plannedSeconds * factor,
		onTime: normalProbability(Math.log(lengthSeconds / plannedSeconds) / logSd)
	};
}

/**
 * Returns the probability that a standard normal value is at most z.
 * @example normalProbability(1.96) // 0.975
 */
export const normalProbability = (z: number): number => (1 + errorFunction(z / Math.SQRT2)) / 2;

/** Returns a chance in percent, in tens from 10 to 90: the model is not certain enough for 0 or 100. */
export function chancePercent(chance: number): number {
	return 10 * Math.min(9, Math.max(1, Math.round(chance * 10)));
}
