import { array, mixed, number, object, string } from 'yup';
import { schemaFaults, type DocumentKind, type Fault } from '../validation';
import { GRADINGS } from './scales';
import { HIP_TESTS, TEST_IDS, type TestId } from './tests';
import type { GradeCounts } from './error';
import { STOPS, stopCountsSchema, type StopReason, type StopCounts } from './stops';

/** When people were tested: warm is compared with warm, and cold with cold. */
export const MOMENTS_OF_TEST = ['before the class', 'after the class'] as const;
export type MomentOfTest = (typeof MOMENTS_OF_TEST)[number];

/** Where readings come from. */
export const SOURCES = ['by hand', 'phone', 'inclinometer'] as const;
export type ReadingSource = (typeof SOURCES)[number];

export const READING_UNITS = ['degrees', 'centimetres', 'seconds', 'grade'] as const;
export type ReadingUnit = (typeof READING_UNITS)[number];

/** Of each side; a test without sides has all in `left`. */
export interface Sides<T> {
	left: T;
	right: T;
}

/** A whole group in a test, counted while people stand in it: no name is needed. */
export interface GroupCheckIn {
	kind: 'counts';
	test: TestId;
	moment: MomentOfTest;
	counts: Sides<GradeCounts>;
	/** Where it stops, as the people say; left out where it was not asked. */
	stops?: StopCounts;
}

/** One person: up to three readings of each side. */
export interface StudentCheckIn {
	kind: 'readings';
	test: TestId;
	moment: MomentOfTest;
	unit: ReadingUnit;
	source: ReadingSource;
	readings: Sides<number[]>;
	/** Where it stops on each side; left out where it was not asked. */
	stops?: Partial<Sides<StopReason>>;
}

export type CheckIn = GroupCheckIn | StudentCheckIn;

export const MOST_READINGS = 3;
const MOST_COUNTED = 200;

const count = number().integer().min(0).max(MOST_COUNTED).required();
const counts = array().of(count).length(4).required();
const readings = array().of(number().required()).max(MOST_READINGS).required();

const common = {
	test: string().oneOf(TEST_IDS).required(),
	moment: string().oneOf(MOMENTS_OF_TEST).required()
};

/** Fields of a check-in of a group, besides its kind. */
export const groupCheckInFields = {
	...common,
	counts: object({ left: counts, right: counts }).noUnknown().required(),
	stops: stopCountsSchema(MOST_COUNTED)
};
const countsSchema = object({
	kind: string().oneOf(['counts']).required(),
	...groupCheckInFields
}).noUnknown();

const readingsSchema = object({
	kind: string().oneOf(['readings']).required(),
	...common,
	unit: string().oneOf(READING_UNITS).required(),
	source: string().oneOf(SOURCES).required(),
	readings: object({ left: readings, right: readings }).noUnknown().required(),
	stops: object({ left: string().oneOf(STOPS), right: string().oneOf(STOPS) })
		.noUnknown()
		.default(undefined)
}).noUnknown();

/** Returns the faults that the schema cannot express: counts that do not fit the test. */
function faultsOfCounts({ test, counts: { left, right } }: GroupCheckIn): Fault[] {
	if (![...left, ...right].some((n) => n > 0))
		return [{ path: 'counts', message: 'must count at least one person' }];
	if (HIP_TESTS[test].sided || right.every((n) => n === 0)) return [];
	return [{ path: 'counts.right', message: 'this test has no sides: all people are counted once' }];
}

function faultsOfReadings({ test, unit, readings: { left, right } }: StudentCheckIn): Fault[] {
	const values = [...left, ...right];
	if (values.length === 0) return [{ path: 'readings', message: 'must have at least one reading' }];
	if (right.length > 0 && !HIP_TESTS[test].sided)
		return [{ path: 'readings.right', message: 'this test has no sides: all readings are in left' }];
	const { scale } = GRADINGS[test];
	if (unit !== 'grade' && scale?.unit !== unit)
		return [{ path: 'unit', message: 'this test is not read in that unit' }];
	const [least, most] = unit === 'grade' ? [0, 3] : [scale!.least, scale!.most];
	if (values.every((value) => value >= least && value <= most)) return [];
	return [{ path: 'readings', message: `readings are ${least} to ${most}` }];
}

/** Either of the two, by its kind. */
const checkInSchema = mixed<CheckIn>().required();

/** Everything wrong with a check-in from outside; empty: it can be used as {@link CheckIn}. */
export function checkInFaults(value: unknown): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a check-in is an object' }];
	const { kind } = value as { kind?: unknown };
	if (kind !== 'counts' && kind !== 'readings')
		return [{ path: 'kind', message: 'kind must be counts or readings' }];
	const faults = schemaFaults(kind === 'counts' ? countsSchema : readingsSchema, value);
	if (faults.length) return faults;
	const checkIn = value as CheckIn;
	return checkIn.kind === 'counts' ? faultsOfCounts(checkIn) : faultsOfReadings(checkIn);
}

/** As it is kept; it was checked when it came. */
export const CHECK_IN: DocumentKind = { name: 'check-in', schema: checkInSchema, steps: [] };

/** For how many years a studio keeps what was measured; two where the studio does not say otherwise. */
export const KEEP_YEARS = { least: 1, most: 10, usual: 2 } as const;
export const keepYearsSchema = object({
	years: number().integer().min(KEEP_YEARS.least).max(KEEP_YEARS.most).required()
}).noUnknown();

/** "Butterfly, how low the knees are, before the class: 4 at grade 1, 1 at grade 3". */
export function countsWords({ test, moment, counts: { left, right } }: GroupCheckIn): string {
	const { name, sided } = HIP_TESTS[test];
	const of = (counts: GradeCounts) =>
		counts.flatMap((people, grade) => (people > 0 ? [`${people} at grade ${grade}`] : [])).join(', ') ||
		'nobody';
	return `${name}, ${moment}: ${sided ? `left ${of(left)}; right ${of(right)}` : of(left)}`;
}

export const NOBODY: GradeCounts = [0, 0, 0, 0];

/** The same with one more, or one fewer, person in a grade; never under none. */
export const withOneMore = (counts: GradeCounts, grade: number, by: 1 | -1): GradeCounts =>
	counts.map((n, i) =>
		i === grade ? Math.max(0, Math.min(MOST_COUNTED, n + by)) : n
	) as unknown as GradeCounts;
