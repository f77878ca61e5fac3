import { sampleVariance, sum } from 'simple-statistics';

/** From this number of sets of readings on, a teacher's own error is estimated. */
export const FEWEST_SETS = 10;

/** The error of one teacher's hands in one test. */
export interface OwnError {
	/** Standard deviation of readings taken at once of the same leg, in the unit of the test. */
	repeatabilitySd: number;
	sets: number;
}

/**
 * Returns the standard deviation of repeated readings of the same thing by the same person under the same conditions: the
 * variances of the sets, pooled by their degrees of freedom. ISO 5725-2 calls it the repeatability standard deviation;
 * Bland and Altman, BMJ 313:744 (1996), the within-subject one; both from memory. Sets of one reading say nothing.
 *
 * @param sets readings that were taken one after another of one leg
 * @returns null with fewer than {@link FEWEST_SETS} sets
 */
export function repeatability(sets: readonly (readonly number[])[]): OwnError | null {
	const repeated = sets.filter((readings) => readings.length > 1);
	if (repeated.length < FEWEST_SETS) return null;
	const freedom = sum(repeated.map((readings) => readings.length - 1));
	const squares = sum(repeated.map((readings) => (readings.length - 1) * sampleVariance([...readings])));
	return { repeatabilitySd: Math.sqrt(squares / freedom), sets: repeated.length };
}
