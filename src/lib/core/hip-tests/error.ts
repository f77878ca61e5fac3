import { mean, median } from 'simple-statistics';

/**
 * Change of one reading to another that chance alone brings about one time of twenty: the standard error of measurement
 * is how far a reading is from the true value. Weir, J Strength Cond Res 19:231 (2005); from memory.
 * @example minimalDetectableChange(3) // 8.3156
 */
export const minimalDetectableChange = (sem: number): number => TWO_SIDED_95 * Math.SQRT2 * sem;

const TWO_SIDED_95 = 1.96;

/**
 * Standard error of the mean of several readings that are taken at once. Half of the variance is taken to come from the reading, which more
 * readings average out, and half from the day and how people were laid, which they do not. Judged.
 * @example errorOfMean(3, 1) // 3
 * @example errorOfMean(3, 3) // 2.4495
 */
export const errorOfMean = (sem: number, readings: number): number => sem * Math.sqrt(0.5 + 0.5 / readings);

/** Whether two values differ by more than the error of measuring. */
export interface Judgement {
	/** The second less the first. */
	difference: number;
	/** The least change that counts as a change. */
	threshold: number;
	isTold: boolean;
}

const judged = (difference: number, threshold: number): Judgement => ({
	difference,
	threshold,
	isTold: Math.abs(difference) >= threshold
});

/** Standard error of a person's grade by eye, in grades. Judged. */
const GRADE_SD = 0.5;

/** Two sets of readings of the same, of 1 to 3 each, with the standard error of one reading. */
export function judgeReadings(before: readonly number[], after: readonly number[], sem: number): Judgement {
	const [a, b] = [errorOfMean(sem, before.length), errorOfMean(sem, after.length)];
	return judged(mean([...after]) - mean([...before]), TWO_SIDED_95 * Math.hypot(a, b));
}

/**
 * Two sets of grades by eye of one person. One grade is within the error of a single look: two are told, or less where each
 * is the mean of three.
 */
export const judgeGrades = (before: readonly number[], after: readonly number[]): Judgement =>
	judgeReadings(before, after, GRADE_SD);

/** How many people reach each grade, from 0 to 3. */
export type GradeCounts = readonly [number, number, number, number];

/** Returns the number of people that were counted. */
export const peopleIn = (counts: GradeCounts): number => counts.reduce((sum, n) => sum + n, 0);

/**
 * Returns the mean grade, 0 to 3.
 * @example meanGrade([0, 2, 2, 0]) // 1.5
 */
export const meanGrade = (counts: GradeCounts): number =>
	counts.reduce((sum, n, grade) => sum + n * grade, 0) / peopleIn(counts);

/**
 * Two counts of a group without names. It is not known who went from which grade to which, so both are taken as
 * if other people had come, which is careful: a difference that is told is one.
 *
 * @returns null where one of them is empty
 */
export function judgeCounts(before: GradeCounts, after: GradeCounts): Judgement | null {
	const [n, m] = [peopleIn(before), peopleIn(after)];
	if (n === 0 || m === 0) return null;
	const variance = (counts: GradeCounts) => {
		const middle = meanGrade(counts);
		const squares = counts.reduce((sum, people, grade) => sum + people * (grade - middle) ** 2, 0);
		return Math.max(GRADE_SD ** 2, squares / Math.max(1, peopleIn(counts) - 1));
	};
	return judged(
		meanGrade(after) - meanGrade(before),
		TWO_SIDED_95 * Math.sqrt(variance(before) / n + variance(after) / m)
	);
}

/**
 * Weaker side as a share of the stronger, percent. The usual line is 90; under the error of measuring it says nothing.
 * @example limbSymmetryPercent(40, 50) // 80
 */
export const limbSymmetryPercent = (left: number, right: number): number =>
	Math.max(left, right) === 0 ? 100 : (100 * Math.min(left, right)) / Math.max(left, right);

/** The slope of values over time with its interval. */
export interface Trend {
	/** Change per unit of x. */
	slope: number;
	/** Nineteen times of twenty it lies between these. */
	from: number;
	to: number;
	isTold: boolean;
}

/** With four points a trend is told in one of twelve cases without one (8.3 %, counted over all orders); with five in fewer. */
export const FEWEST_FOR_TREND = 5;

/**
 * A line through points that single odd ones do not move: the median of all slopes between two of them (Theil 1950), with
 * the interval of Sen, J Am Stat Assoc 63:1379 (1968), from Kendall's S with ties in y; both from memory. Points with the
 * same x make no slope.
 *
 * @returns null where there are fewer than {@link FEWEST_FOR_TREND} points or no two with another x
 */
export function trend(points: readonly { x: number; y: number }[]): Trend | null {
	if (points.length < FEWEST_FOR_TREND) return null;
	const slopes: number[] = [];
	for (const [i, a] of points.entries())
		for (const b of points.slice(i + 1)) if (a.x !== b.x) slopes.push((b.y - a.y) / (b.x - a.x));
	if (slopes.length === 0) return null;
	slopes.sort((a, b) => a - b);
	const n = points.length;
	const ties = (of: (p: { x: number; y: number }) => number) => {
		const sizes = new Map<number, number>();
		for (const point of points) sizes.set(of(point), (sizes.get(of(point)) ?? 0) + 1);
		return [...sizes.values()].reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0);
	};
	const variance = (n * (n - 1) * (2 * n + 5) - ties(({ x }) => x) - ties(({ y }) => y)) / 18;
	const reach = TWO_SIDED_95 * Math.sqrt(Math.max(0, variance));
	const at = (rank: number) => slopes[Math.max(0, Math.min(slopes.length - 1, Math.round(rank)))]!;
	const from = at((slopes.length - reach) / 2 - 1);
	const to = at((slopes.length + reach) / 2);
	return { slope: median(slopes), from, to, isTold: from > 0 || to < 0 };
}
