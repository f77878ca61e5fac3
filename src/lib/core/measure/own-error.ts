import {
	FEWEST_SETS,
	GRADINGS,
	repeatability,
	TEST_IDS,
	type OwnError,
	type StudentCheckIn,
	type TestId
} from '../hip-tests';

/** Returns a value with one decimal at most. */
export const one = (value: number): string => String(Math.round(value * 10) / 10);

/** Standard error of one reading in a test, with where it comes from. */
export function errorOfTest(test: TestId, errors: TeacherErrors): { sem: number; words: string } {
	const { sem, unit } = GRADINGS[test].scale!;
	const own = errors[test];
	// half of the variance comes from the reading and half from the day: see errorOfMean
	if (own)
		return {
			sem: Math.SQRT2 * own.repeatabilitySd,
			words: `The limits come from ${own.sets} sets of your own readings, which differ by ${one(own.repeatabilitySd)} ${unit}.`
		};
	return {
		sem: UNTRAINED * sem,
		words: `The limits are twice the published error of ${one(sem)} ${unit}, which is for trained hands. From ${FEWEST_SETS} sets of two or three readings on, your own error takes its place.`
	};
}

/** By how much hands that have not been measured are taken to be worse than those of studies. Judged. */
const UNTRAINED = 2;

/** The error of a teacher's own hands, where it is known. */
export type TeacherErrors = Partial<Record<TestId, OwnError>>;

/** Returns the error of a teacher's hands in each test in which there are readings enough. */
export function errorsOfTeacher(checkIns: readonly StudentCheckIn[]): TeacherErrors {
	const errors: TeacherErrors = {};
	for (const test of TEST_IDS) {
		const sets = checkIns
			.filter((one) => one.test === test && one.unit !== 'grade')
			.flatMap(({ readings }) => [readings.left, readings.right]);
		const own = repeatability(sets);
		if (own) errors[test] = own;
	}
	return errors;
}
