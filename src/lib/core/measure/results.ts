import { daysInWeek } from 'date-fns/constants';
import { mean } from 'simple-statistics';
import { dayName, daysBetween } from '../calendar';
import { listed } from '../text';
import {
	type CheckIn,
	type GroupCheckIn,
	type MomentOfTest,
	type Sides,
	type StudentCheckIn,
	judgeCounts,
	judgeGrades,
	judgeReadings,
	limbSymmetryPercent,
	meanGrade,
	peopleIn,
	STOPS,
	trend,
	type GradeCounts,
	type Judgement,
	GRADINGS,
	REGION_NAMES,
	HIP_TESTS,
	TEST_IDS,
	type TestId
} from '../hip-tests';
import { errorOfTest, one, type TeacherErrors } from './own-error';

/** A check-in with its day. */
export interface Dated<T extends CheckIn = CheckIn> {
	/** The studio's calendar day. */
	on: string;
	checkIn: T;
}

/** One test over time: what can be told of it, and what it is told from. */
export interface TestResult {
	test: TestId;
	name: string;
	region: string;
	/** Conclusions, one sentence each. */
	words: string[];
	/** Mean of each side at each check-in of the moment that was tested most; null where a side was not. */
	points: { on: string; left: number | null; right: number | null }[];
	/** Unit of the points: "mean grade" or a unit. */
	unit: string;
	moment: MomentOfTest;
	table: { head: string[]; rows: string[][] };
	/** Whether one side is behind, by more than the error of measuring; null where it has no sides or cannot be told. */
	behind: 'left' | 'right' | null;
	/** Change of the side that changed most, from the first to the last of that moment; null with fewer than two. */
	change: Judgement | null;
	/** People counted last. */
	people: number;
	last: Dated;
}

const SIDES = ['left', 'right'] as const;

const freer = (test: TestId): string => (GRADINGS[test].region === 'control' ? 'steadier' : 'freer');

/** How two check-ins of a kind are compared, whatever they consist of. */
interface Reader<T extends CheckIn, V> {
	of: (checkIn: T) => Sides<V>;
	isEmpty: (value: V) => boolean;
	value: (value: V) => number;
	/** Two of the same test and unit as `checkIn`. */
	judge: (checkIn: T, before: V, after: V) => Judgement | null;
	/** Whether more is freer, or steadier. */
	moreIsFreer: (checkIn: T) => boolean;
	/** With its unit: "8 degrees". */
	inUnit: (value: number, checkIn: T) => string;
	unit: (checkIn: T) => string;
	cell: (value: V) => string;
	people: (checkIn: T) => number;
	/** Where the limits of what is told come from; null where the words of the results say it. */
	limits: (checkIn: T) => string | null;
}

const grades = (value: number): string => (one(value) === '1' ? 'one grade' : `${one(value)} grades`);

const COUNTS: Reader<GroupCheckIn, GradeCounts> = {
	of: ({ counts }) => counts,
	isEmpty: (counts) => peopleIn(counts) === 0,
	value: meanGrade,
	judge: (_checkIn, before, after) => judgeCounts(before, after),
	moreIsFreer: () => true,
	inUnit: grades,
	unit: () => 'mean grade',
	cell: (counts) => counts.join(' / '),
	people: ({ counts }) => Math.max(peopleIn(counts.left), peopleIn(counts.right)),
	limits: () => null
};

const readingsWith = (errors: TeacherErrors): Reader<StudentCheckIn, number[]> => ({
	of: ({ readings }) => readings,
	isEmpty: (readings) => readings.length === 0,
	value: (readings) => mean(readings),
	judge: ({ test, unit }, before, after) => {
		const isGraded = unit === 'grade' || !GRADINGS[test].scale;
		return isGraded
			? judgeGrades(before, after)
			: judgeReadings(before, after, errorOfTest(test, errors).sem);
	},
	moreIsFreer: ({ test, unit }) => unit === 'grade' || (GRADINGS[test].scale?.moreIsFreer ?? true),
	inUnit: (value, { unit }) => (unit === 'grade' ? grades(value) : `${one(value)} ${unit}`),
	unit: ({ unit }) => unit,
	cell: (readings) => (readings.length ? `${one(mean(readings))} (${readings.map(one).join(', ')})` : ''),
	people: () => 1,
	limits: ({ test, unit }) =>
		unit === 'grade' || !GRADINGS[test].scale ? null : errorOfTest(test, errors).words
});

/** The results of a whole group, by test. */
export const groupResults = (checkIns: readonly Dated<GroupCheckIn>[]): TestResult[] =>
	resultsBy(checkIns, COUNTS);

/**
 * The results of one person, by test. What was read in another unit before is left out.
 * @param errors of the teacher who measures
 */
export const studentResults = (
	checkIns: readonly Dated<StudentCheckIn>[],
	errors: TeacherErrors = {}
): TestResult[] => resultsBy(checkIns, readingsWith(errors));

function resultsBy<T extends CheckIn, V>(checkIns: readonly Dated<T>[], reader: Reader<T, V>): TestResult[] {
	return TEST_IDS.flatMap((test) => {
		const own = checkIns
			.filter(({ checkIn }) => checkIn.test === test)
			.sort((a, b) => a.on.localeCompare(b.on));
		const last = own.at(-1);
		if (!last) return [];
		return [
			resultOf(
				test,
				own.filter(({ checkIn }) => reader.unit(checkIn) === reader.unit(last.checkIn)),
				reader
			)
		];
	});
}

function resultOf<T extends CheckIn, V>(
	test: TestId,
	own: readonly Dated<T>[],
	reader: Reader<T, V>
): TestResult {
	const last = own.at(-1)!;
	const { sided, name } = HIP_TESTS[test];
	const moment = momentOfMost(own);
	const alike = own.filter(({ checkIn }) => checkIn.moment === moment);
	const side = (checkIn: T, leg: 'left' | 'right') => {
		const value = reader.of(checkIn)[leg];
		return reader.isEmpty(value) ? null : value;
	};
	const points = alike.map(({ on, checkIn }) => {
		const value = (leg: 'left' | 'right') => {
			const of = side(checkIn, leg);
			return of === null ? null : reader.value(of);
		};
		return { on, left: value('left'), right: value('right') };
	});
	const free = reader.moreIsFreer(last.checkIn);
	const sides = sided ? sidesWords(last, reader) : null;
	const overTime = alike.length > 1 ? changeWords(test, alike[0]!, alike.at(-1)!, sided, reader) : null;
	const line = lineWords(points, free, reader.inUnit, last.checkIn);
	return {
		test,
		name,
		region: REGION_NAMES[GRADINGS[test].region],
		words: [
			...(sides ? [sides.words] : []),
			...(overTime ? overTime.words : []),
			...(line ? [line] : []),
			...warmthWords(own, sided, reader),
			...stopWords(last.checkIn),
			...[reader.limits(last.checkIn)].filter((words) => words !== null)
		],
		points,
		unit: reader.unit(last.checkIn),
		moment,
		table: {
			head: ['Day', 'When', ...(sided ? ['Left', 'Right'] : ['Both'])],
			rows: own
				.map(({ on, checkIn }) => [
					dayName(on),
					checkIn.moment,
					...(sided ? SIDES : (['left'] as const)).map((leg) => reader.cell(reader.of(checkIn)[leg]))
				])
				.reverse()
		},
		behind: sides?.behind ?? null,
		change: overTime?.judgement ?? null,
		people: reader.people(last.checkIn),
		last
	};
}

/** Where it stops, as the people say. */
function stopWords(checkIn: CheckIn): string[] {
	if (!checkIn.stops) return [];
	if (checkIn.kind === 'counts') {
		const named = STOPS.filter((stop) => checkIn.stops?.[stop]).map(
			(stop) => `${stop} ${checkIn.stops![stop]}`
		);
		return named.length ? [`It stops at: ${listed(named)}.`] : [];
	}
	const { left, right } = checkIn.stops;
	const sides = [left ? `left ${left}` : '', right ? `right ${right}` : ''].filter(Boolean);
	return sides.length ? [`It stops at: ${listed(sides)}.`] : [];
}

function momentOfMost(own: readonly Dated[]): MomentOfTest {
	const before = own.filter(({ checkIn }) => checkIn.moment === 'before the class').length;
	return 2 * before >= own.length ? 'before the class' : 'after the class';
}

function sidesWords<T extends CheckIn, V>({ checkIn }: Dated<T>, reader: Reader<T, V>) {
	const { left, right } = reader.of(checkIn);
	if (reader.isEmpty(left) || reader.isEmpty(right)) return null;
	const judged = reader.judge(checkIn, left, right);
	if (!judged) return null;
	const [l, r] = [reader.value(left), reader.value(right)];
	if (!judged.isTold)
		return {
			words: `Left and right: no measurable difference (${reader.inUnit(Math.abs(judged.difference), checkIn)}, less than ${one(judged.threshold)}).`,
			behind: null
		};
	const isLess = reader.moreIsFreer(checkIn) ? l < r : l > r;
	const behind = isLess ? ('left' as const) : ('right' as const);
	// grades are no amounts: only readings have a share
	const share =
		checkIn.kind === 'readings' && checkIn.unit !== 'grade'
			? `; the weaker is ${Math.round(limbSymmetryPercent(l, r))} % of the stronger`
			: '';
	return {
		words: `The ${behind} side is behind by ${reader.inUnit(Math.abs(judged.difference), checkIn)}, more than the error of measuring (${one(judged.threshold)})${share}.`,
		behind
	};
}

/** Each side by itself, from one check-in to another. */
function bySide<T extends CheckIn, V>(
	first: T,
	last: T,
	sided: boolean,
	reader: Reader<T, V>
): (Judgement & { leg: string })[] {
	return (sided ? SIDES : (['left'] as const)).flatMap((leg) => {
		const [before, after] = [reader.of(first)[leg], reader.of(last)[leg]];
		if (reader.isEmpty(before) || reader.isEmpty(after)) return [];
		const judged = reader.judge(last, before, after);
		return judged ? [{ ...judged, leg }] : [];
	});
}

function changeWords<T extends CheckIn, V>(
	test: TestId,
	first: Dated<T>,
	last: Dated<T>,
	sided: boolean,
	reader: Reader<T, V>
): { words: string[]; judgement: Judgement | null } {
	const judged = bySide(first.checkIn, last.checkIn, sided, reader);
	const free = reader.moreIsFreer(last.checkIn);
	const words = judged.map(({ difference, threshold, isTold, leg }) => {
		const who = sided ? `The ${leg} side since ${dayName(first.on)}` : `Since ${dayName(first.on)}`;
		const by = reader.inUnit(Math.abs(difference), last.checkIn);
		if (!isTold) return `${who}: no measurable change (${by}, less than ${one(threshold)}).`;
		return `${who}: ${by} ${difference > 0 === free ? freer(test) : 'less'}, more than the error of measuring (${one(threshold)}).`;
	});
	const strongest = [...judged].sort((a, b) => Math.abs(b.difference) - Math.abs(a.difference))[0];
	return {
		words,
		judgement: strongest
			? { ...strongest, difference: free ? strongest.difference : -strongest.difference }
			: null
	};
}

/** Before and after one class shows mostly warmth. */
function warmthWords<T extends CheckIn, V>(
	own: readonly Dated<T>[],
	sided: boolean,
	reader: Reader<T, V>
): string[] {
	const after = own.findLast(({ checkIn }) => checkIn.moment === 'after the class');
	const before =
		after && own.findLast(({ on, checkIn }) => on === after.on && checkIn.moment !== after.checkIn.moment);
	if (!after || !before) return [];
	const free = reader.moreIsFreer(after.checkIn);
	const judged = bySide(before.checkIn, after.checkIn, sided, reader);
	const told = judged.filter(({ isTold }) => isTold);
	if (!judged.length) return [];
	if (!told.length) return [`Before and after the class of ${dayName(after.on)}: no measurable change.`];
	return told.map(
		({ difference, leg }) =>
			`${sided ? `The ${leg} side, after` : 'After'} the class of ${dayName(after.on)}: ${reader.inUnit(Math.abs(difference), after.checkIn)} ${difference > 0 === free ? 'more' : 'less'}. This is mostly warmth and fades within hours.`
	);
}

/** The line through all points, where one can be told. */
function lineWords<T extends CheckIn>(
	points: readonly { on: string; left: number | null; right: number | null }[],
	free: boolean,
	inUnit: (value: number, checkIn: T) => string,
	checkIn: T
): string | null {
	const first = points[0]?.on ?? '';
	const both = points.map(({ on, left, right }) => {
		const values = [left, right].filter((value) => value !== null);
		return { x: daysBetween(first, on) / daysInWeek, y: mean(values) };
	});
	const line = trend(both);
	if (!line) return null;
	if (!line.isTold) return `Over ${points.length} times: no clear trend.`;
	const [from, to] = [line.from, line.to].map(Math.abs).sort((a, b) => a - b) as [number, number];
	return `Over ${points.length} times it gets ${line.slope > 0 === free ? freer(checkIn.test) : 'less'} by ${inUnit(Math.abs(line.slope), checkIn)} a week (${one(from)} to ${one(to)}).`;
}
