import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { preset } from '../../src/lib/core/group';
import { seeded } from '../reference/seeded';
import {
	errorsOfTeacher,
	groupResults,
	offersOf,
	regionOf,
	studentResults,
	testToRepeat,
	withOffer,
	type Dated
} from '../../src/lib/core/measure';
import {
	checkInFaults,
	countsWords,
	errorOfMean,
	GRADINGS,
	judgeCounts,
	judgeGrades,
	judgeReadings,
	limbSymmetryPercent,
	meanGrade,
	minimalDetectableChange,
	readInclinometerLine,
	repeatability,
	Stillness,
	STILL_MS,
	TEST_IDS,
	tiltBetween,
	trend,
	upOf,
	withOneMore,
	type GradeCounts,
	type GroupCheckIn,
	type StopCounts,
	type StudentCheckIn
} from '../../src/lib/core/hip-tests';

const counts = (
	on: string,
	left: GradeCounts,
	right: GradeCounts,
	moment: GroupCheckIn['moment'] = 'before the class'
): Dated<GroupCheckIn> => ({
	on,
	checkIn: { kind: 'counts', test: 'figure-four-knee', moment, counts: { left, right } }
});
const read = (on: string, left: number[], right: number[]): Dated<StudentCheckIn> => ({
	on,
	checkIn: {
		kind: 'readings',
		test: 'turning-in-prone',
		moment: 'before the class',
		unit: 'degrees',
		source: 'by hand',
		readings: { left, right }
	}
});

describe('a count in words', () => {
	it('says each side of a test that has sides, and who was not counted', () =>
		expect(
			countsWords({
				kind: 'counts',
				test: 'figure-four-knee',
				moment: 'after the class',
				counts: { left: [0, 4, 0, 2], right: [0, 0, 0, 0] }
			})
		).toBe(
			'Figure four, how low the knee is, after the class: left 4 at grade 1, 2 at grade 3; right nobody'
		));
});

describe('the error of measuring', () => {
	it('follows the worked figures of Weir 2005 (from memory)', () => {
		const standardError = (sd: number, icc: number) => sd * Math.sqrt(1 - icc);
		// an ICC of 0.90 at a spread of 10 gives 3.2, and with it 8.8 for a change
		expect(standardError(10, 0.9)).toBeCloseTo(3.16, 2);
		expect(minimalDetectableChange(standardError(10, 0.9))).toBeCloseTo(8.77, 2);
		// SEM 2 to 4 degrees are MDC95 5.5 to 11, the range that is published for hips
		expect(minimalDetectableChange(2)).toBeCloseTo(5.5, 1);
		expect(minimalDetectableChange(4)).toBeCloseTo(11.1, 1);
	});

	it('is that of one reading for one, and less but not nothing for three', () => {
		expect(errorOfMean(3, 1)).toBe(3);
		expect(errorOfMean(3, 3)).toBeGreaterThan(3 / Math.sqrt(3));
		expect(errorOfMean(3, 3)).toBeLessThan(3);
		expect(judgeReadings([30], [30 + minimalDetectableChange(3) - 0.1], 3).isTold).toBe(false);
		expect(judgeReadings([30], [30 + minimalDetectableChange(3) + 0.1], 3).isTold).toBe(true);
	});

	it('lets every scale of a test lie inside what is published, or says that it is practice', () => {
		for (const test of TEST_IDS) {
			const { scale, grades, caution } = GRADINGS[test];
			expect(new Set(grades).size).toBe(4);
			expect(caution.length).toBeGreaterThan(8);
			if (!scale) continue;
			if (scale.unit === 'degrees') {
				expect(scale.sem).toBeGreaterThanOrEqual(2);
				expect(scale.sem).toBeLessThanOrEqual(4);
				expect(scale.icc).toBeGreaterThanOrEqual(0.85);
				expect(scale.icc).toBeLessThanOrEqual(0.97);
				expect(scale.source).toMatch(/2008.*2010/);
			} else expect(scale.source).toMatch(/no source/);
		}
	});

	it('calls a difference of counts one in at most one of twenty groups in which nothing changed', () => {
		let told = 0;
		let seed = 1;
		const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
		const group = (): GradeCounts => {
			let all: GradeCounts = [0, 0, 0, 0];
			for (let i = 0; i < 12; i++) all = withOneMore(all, Math.min(3, Math.floor(random() * 4)), 1);
			return all;
		};
		for (let i = 0; i < 2000; i++) if (judgeCounts(group(), group())!.isTold) told++;
		expect(told / 2000).toBeLessThan(0.075);
		expect(judgeCounts([6, 4, 1, 0], [0, 1, 5, 5])!.isTold).toBe(true);
		expect(judgeCounts([0, 0, 0, 0], [1, 0, 0, 0])).toBeNull();
	});

	it('knows the weaker side as a share of the stronger', () => {
		expect(limbSymmetryPercent(45, 50)).toBe(90);
		expect(limbSymmetryPercent(0, 0)).toBe(100);
	});
});

describe('a line through points', () => {
	it('is the worked example of Theil’s slope in Hollander & Wolfe (from memory): −0.056', () => {
		const y = [1.26, 1.27, 1.12, 1.16, 1.03];
		const line = trend(y.map((value, i) => ({ x: i + 1, y: value })))!;
		expect(line.slope).toBeCloseTo(-0.05625, 6);
		expect(line.from).toBeLessThanOrEqual(line.slope);
		expect(line.to).toBeGreaterThanOrEqual(line.slope);
	});

	it('is not moved by one odd point, and says nothing with too few', () => {
		const points = Array.from({ length: 9 }, (_, i) => ({ x: i, y: 2 * i }));
		expect(trend([...points.slice(0, 8), { x: 8, y: -100 }])!.slope).toBe(2);
		expect(trend(points)!.isTold).toBe(true);
		expect(trend(points.slice(0, 3))).toBeNull();
		expect(trend(points.map(({ y }) => ({ x: 1, y })))).toBeNull();
	});

	it('lies in its interval, whatever the points', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 5, maxLength: 12 }), (values) => {
				const line = trend(values.map((y, x) => ({ x, y })))!;
				return line.from <= line.slope && line.slope <= line.to;
			})
		);
	});
});

describe('an inclinometer', () => {
	it('is read line by line, and what is cut off is left out', () => {
		expect(readInclinometerLine('t=1200 angle=31.42 battery=87')).toEqual({
			ms: 1200,
			degrees: 31.42,
			batteryPercent: 87
		});
		expect(readInclinometerLine('t=1200 angle=-3')).toEqual({ ms: 1200, degrees: -3, batteryPercent: null });
		for (const bad of ['', 't=12', 'angle=4', 't=1 angle=nan', 't=1 angle=999', 'le=3 ang', 't=1 angle=3e2'])
			expect(readInclinometerLine(bad)).toBeNull();
	});

	it('is a phone too: tilt from where it was zeroed, in any direction', () => {
		expect(tiltBetween(upOf(0, 0), upOf(0, 0))).toBeCloseTo(0, 6);
		expect(tiltBetween(upOf(0, 0), upOf(40, 0))).toBeCloseTo(40, 6);
		expect(tiltBetween(upOf(0, 0), upOf(0, -35))).toBeCloseTo(35, 6);
		// past upright, where beta and gamma flip over
		expect(tiltBetween(upOf(0, 0), upOf(120, 0))).toBeCloseTo(120, 6);
		fc.assert(
			fc.property(
				fc.double({ min: -179, max: 179, noNaN: true }),
				fc.double({ min: -89, max: 89, noNaN: true }),
				(beta, gamma) => {
					const [x, y, z] = upOf(beta, gamma);
					return Math.abs(Math.hypot(x, y, z) - 1) < 1e-9;
				}
			)
		);
	});

	const samples = (degrees: (ms: number) => number, forMs: number, fromMs = 0) =>
		Array.from({ length: forMs / 50 }, (_, i) => ({
			ms: fromMs + i * 50,
			degrees: degrees(i * 50),
			batteryPercent: null
		}));

	it('is read when it is held still for a second and a half, once', () => {
		const stillness = new Stillness();
		const taken = [
			...samples((ms) => ms / 25, 1000),
			...samples((ms) => 40 + Math.sin(ms / 90) * 0.4, 4000, 1000)
		]
			.map((tilt) => stillness.add(tilt))
			.filter((reading) => reading !== null);
		expect(taken).toHaveLength(1);
		expect(taken[0]).toBeCloseTo(40, 0);
	});

	it('takes none while it moves, and begins anew after a gap', () => {
		const moving = new Stillness();
		expect(samples((ms) => ms / 50, 4000).every((tilt) => moving.add(tilt) === null)).toBe(true);
		const lost = new Stillness();
		const before = samples(() => 40, 1200);
		const after = samples(() => 40, 1200, 5000);
		expect([...before, ...after].every((tilt) => lost.add(tilt) === null)).toBe(true);
		expect(lost.heldMs).toBeLessThan(STILL_MS);
	});
});

describe('check-ins from outside', () => {
	const fine = counts('2026-11-24', [1, 2, 3, 0], [0, 2, 3, 1]).checkIn;

	it('are taken when they are right, else everything wrong is said', () => {
		expect(checkInFaults(fine)).toEqual([]);
		expect(checkInFaults(read('2026-11-24', [31, 32], [40]).checkIn)).toEqual([]);
		const faulty: [unknown, RegExp][] = [
			[null, /object/],
			[{ ...fine, kind: 'guess' }, /counts or readings/],
			[{ ...fine, test: 'constructor' }, /test/],
			[{ ...fine, counts: true }, /counts/],
			[{ ...fine, counts: null }, /counts/],
			[{ ...fine, counts: { left: [1, 2], right: null } }, /counts/],
			[
				{ ...fine, counts: { left: [0, 0, 0, 0], right: [0, 0, 0, 0] } },
				/counts must count at least one person/
			],
			[{ ...fine, test: 'seat-switch' }, /no sides/],
			[{ ...fine, name: 'Oda F.' }, /name/],
			[
				{
					...read('', [31], [31]).checkIn,
					test: 'wide-stance-fold'
				},
				/no sides/
			],
			[{ ...read('', [31], []).checkIn, unit: 'seconds' }, /unit/],
			[
				{ ...read('', [31], []).checkIn, readings: { left: [], right: [] } },
				/readings must have at least one reading/
			],
			[{ ...read('', [31], []).checkIn, readings: { left: [400], right: [] } }, /0 to 80/],
			[{ ...read('', [31], []).checkIn, readings: { left: [1, 2, 3, 4], right: [] } }, /3 items/]
		];
		for (const [value, says] of faulty)
			expect(
				checkInFaults(value)
					.map(({ path, message }) => `${path} ${message}`)
					.join('; ')
			).toMatch(says);
	});
});

describe('results', () => {
	it('name no difference under the error, and say by how much above it', () => {
		const [little] = studentResults([read('2026-09-01', [36, 37, 36], [38, 38, 39])]);
		expect(little!.behind).toBeNull();
		expect(little!.words[0]).toMatch(/^Left and right: no measurable difference \(2 degrees, less than \d/);
		const twelve = read('2026-09-01', [28, 28, 28], [40, 40, 40]);
		// hands that were never measured: twice the published error is the limit, 13.6 degrees
		const [untrained] = studentResults([twelve]);
		expect(untrained!.behind).toBeNull();
		expect(untrained!.words.at(-1)).toMatch(/^The limits are twice the published error of 3.* trained hands/);
		const [much] = studentResults([twelve], {
			[twelve.checkIn.test]: { repeatabilitySd: 2, sets: 12 }
		});
		expect(much!.behind).toBe('left');
		expect(much!.words[0]).toMatch(
			/^The left side is behind by 12 degrees, more than the error of measuring \(6\.4\); the weaker is 70 %/
		);
		expect(much!.words.at(-1)).toBe(
			'The limits come from 12 sets of your own readings, which differ by 2 degrees.'
		);
	});

	it('tell change over weeks and warmth apart', () => {
		const [result] = groupResults([
			counts('2026-09-01', [7, 4, 1, 0], [2, 4, 5, 1]),
			counts('2026-11-24', [1, 3, 6, 2], [1, 4, 6, 1]),
			counts('2026-11-24', [0, 2, 6, 4], [0, 2, 6, 4], 'after the class')
		]);
		expect(result!.words.join(' ')).toMatch(/The left side since Tuesday 1 September.*freer/);
		expect(result!.words.join(' ')).toMatch(
			/The right side since Tuesday 1 September[^:]*: no measurable change/
		);
		expect(result!.words.join(' ')).toMatch(/the class of Tuesday 24 November/);
		expect(result!.points).toHaveLength(2);
		expect(result!.change!.isTold).toBe(true);
	});

	it('draw a line once there are five', () => {
		const [result] = studentResults(
			[30, 33, 36, 39, 42].map((value, i) => read(`2026-0${i + 1}-01`, [value], [value]))
		);
		expect(result!.words.at(-2)).toMatch(/^Over 5 times it gets freer by 0\.7 degrees a week/);
		const four = studentResults(
			[30, 33, 36, 39].map((value, i) => read(`2026-0${i + 1}-01`, [value], [value]))
		);
		expect(four[0]!.words.some((words) => words.startsWith('Over'))).toBe(false);
	});

	it('take fewer centimetres for freer', () => {
		const knee = (on: string, left: number[]): Dated<StudentCheckIn> => ({
			on,
			checkIn: {
				kind: 'readings',
				test: 'butterfly-knees',
				moment: 'before the class',
				unit: 'centimetres',
				source: 'by hand',
				readings: { left, right: [] }
			}
		});
		const [result] = studentResults([knee('2026-09-01', [30]), knee('2026-11-01', [20])]);
		expect(result!.words[0]).toMatch(/10 centimetres freer/);
		expect(result!.change!.difference).toBe(10);
	});
});

describe('grades of one person', () => {
	const graded = (on: string, ...grades: number[]): Dated<StudentCheckIn> => ({
		on,
		checkIn: { ...read(on, grades, grades).checkIn, unit: 'grade' }
	});
	const change = (...taken: Dated<StudentCheckIn>[]) => studentResults(taken)[0]!.change!;

	it('differ by two, or by the mean of three looks, also where the test has a scale of its own', () => {
		expect(change(graded('2026-09-01', 2), graded('2026-11-01', 2)).isTold).toBe(false);
		expect(change(graded('2026-09-01', 1), graded('2026-11-01', 2))).toMatchObject({
			difference: 1,
			isTold: false
		});
		expect(change(graded('2026-09-01', 1), graded('2026-11-01', 3)).isTold).toBe(true);
		expect(change(graded('2026-09-01', 1, 1, 1), graded('2026-11-01', 2, 2, 3)).isTold).toBe(true);
	});

	it('are wrongly told to differ in about one of twenty pairs, or fewer, where nothing changed', () => {
		// a grade of 1.5 with the spread of the file, rounded to a grade as an eye does
		let [told, pairs] = [0, 0];
		const next = seeded(20261202);
		const look = () => {
			const normal = Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
			return Math.max(0, Math.min(3, Math.round(1.5 + 0.5 * normal)));
		};
		for (; pairs < 4000; pairs++) told += Number(judgeGrades([look()], [look()]).isTold);
		expect(told / pairs).toBeLessThan(0.05);
	});
});

describe('a teacher’s own error', () => {
	it('is the repeatability of ISO 5725-2, the within-subject deviation of Bland and Altman 1996', () => {
		// worked by hand: ten pairs that differ by 2 have variances of 2 each, so the deviation is the root of 2
		const pairs = Array.from({ length: 10 }, (_, i) => [30 + i, 32 + i]);
		expect(repeatability(pairs)).toEqual({ repeatabilitySd: expect.closeTo(Math.SQRT2, 9), sets: 10 });
		expect(repeatability(pairs.slice(1))).toBeNull();
		// sets of one reading say nothing, and longer ones weigh by their degrees of freedom
		const mixed = [...pairs, [50], [10, 14, 12]];
		expect(repeatability(mixed)!.repeatabilitySd).toBeCloseTo(Math.sqrt((10 * 2 + 2 * 4) / 12), 9);
	});

	it('agrees with the residual of a one-way analysis of variance, worked out another way', () => {
		fc.assert(
			fc.property(
				fc.array(fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 2, maxLength: 3 }), {
					minLength: 10,
					maxLength: 20
				}),
				(sets) => {
					let [squares, freedom] = [0, 0];
					for (const set of sets) {
						const middle = set.reduce((a, b) => a + b) / set.length;
						for (const value of set) squares += (value - middle) ** 2;
						freedom += set.length - 1;
					}
					expect(repeatability(sets)!.repeatabilitySd).toBeCloseTo(Math.sqrt(squares / freedom), 8);
				}
			)
		);
	});

	it('is taken from all readings in a test, of both sides, and of no grades', () => {
		const taken = Array.from({ length: 5 }, (_, i) => read(`2026-09-0${i + 1}`, [30, 32], [40, 42]).checkIn);
		const { test } = taken[0]!;
		expect(errorsOfTeacher(taken)[test]).toMatchObject({ sets: 10 });
		expect(errorsOfTeacher(taken.slice(1))).toEqual({});
		expect(errorsOfTeacher(taken.map((one) => ({ ...one, unit: 'grade' as const })))).toEqual({});
	});
});

describe('what results speak for', () => {
	const asked = (
		on: string,
		left: GradeCounts,
		right: GradeCounts,
		stops?: StopCounts
	): Dated<GroupCheckIn> => {
		const { checkIn } = counts(on, left, right);
		return { on, checkIn: stops ? { ...checkIn, stops } : checkIn };
	};
	const stretch: StopCounts = { 'stretch at the back': 9, knee: 3 };
	const results = groupResults([asked('2026-11-24', [8, 3, 1, 0], [0, 2, 6, 4], stretch)]);
	const { targets } = preset('runners');
	const group = { targets };

	it('are offers with their reason, each done alone, of what limits the test', () => {
		const offers = offersOf(results, group);
		expect(offers.map(({ kind }) => kind)).toEqual(['tiers', 'more on', 'band']);
		const [tiers, more, band] = offers;
		expect(withOffer(group, tiers!)).toMatchObject({
			regionTiers: { outer: { tight: 8, middling: 4, open: 0 } }
		});
		expect(withOffer(group, more!)).toMatchObject({ moreOn: [{ leg: 'left', region: 'outer' }] });
		// a knee that does not open in figure four asks for turning out, not for more crossing
		const raised = withOffer(group, band!).targets.directions;
		expect(raised.externalRotation.minPercent).toBe(targets.directions.externalRotation.minPercent + 3);
		expect(raised.adduction).toEqual(targets.directions.adduction);
	});

	it('give nothing more before it was asked where it stops, nor of what ends in a pinch or at the bone', () => {
		const kinds = (stops?: StopCounts) =>
			offersOf(groupResults([asked('2026-11-24', [8, 3, 1, 0], [0, 2, 6, 4], stops)]), group)
				.filter(({ kind }) => kind !== 'tiers')
				.map(({ kind, words }) => [kind, words]);
		expect(kinds()).toEqual([['word', expect.stringContaining('ask where it stops')]]);
		for (const stop of ['front pinch', 'bony stop'] as const) {
			const said = kinds({ [stop]: 8, 'stretch at the back': 3 });
			expect(said).toEqual([['word', expect.stringContaining('More of it is no help')]]);
		}
		// as many pinches as stretches: the careful one counts
		expect(kinds({ 'front pinch': 4, 'stretch at the back': 4 })[0]![0]).toBe('word');
		const word = offersOf(groupResults([asked('2026-11-24', [8, 3, 1, 0], [8, 2, 1, 1])]), group).at(-1)!;
		expect(withOffer(group, word)).toEqual(group);
	});

	it('name the tissue where no direction trains it: a straight leg that stays low', () => {
		const raise = asked('2026-11-24', [8, 3, 1, 0], [8, 3, 1, 0], { 'stretch at the back': 9 });
		const offers = offersOf(
			groupResults([{ ...raise, checkIn: { ...raise.checkIn, test: 'straight-leg-raise' } }]),
			group
		);
		expect(offers.some(({ kind }) => kind === 'band')).toBe(false);
		expect(offers.at(-1)!.words).toMatch(/The hamstrings end it: ask a proposal to hold the hamstrings long/);
	});

	it('are not made again once taken, and taken back when the difference is gone', () => {
		let now: Parameters<typeof withOffer>[0] = group;
		for (const offer of offersOf(results, now)) now = withOffer(now, offer);
		expect(offersOf(results, now).filter(({ kind }) => kind !== 'band')).toEqual([]);
		const even = groupResults([counts('2026-12-24', [1, 2, 6, 3], [1, 2, 6, 3])]);
		const back = offersOf(even, now).find(({ kind }) => kind === 'no more on')!;
		expect(withOffer(now, back).moreOn).toBeUndefined();
	});

	it('choose the test where the group stands lowest', () => {
		const squat: Dated<GroupCheckIn> = {
			on: '2026-11-24',
			checkIn: {
				kind: 'counts',
				test: 'squat-heels-down',
				moment: 'before the class',
				counts: { left: [0, 0, 2, 9], right: [0, 0, 0, 0] }
			}
		};
		expect(testToRepeat(groupResults([squat, counts('2026-11-24', [5, 5, 1, 0], [4, 5, 2, 0])]))!.test).toBe(
			'figure-four-knee'
		);
		expect(testToRepeat(groupResults([squat]))!.why).toMatch(/rises by itself/);
		expect(testToRepeat([])).toBeNull();
	});

	it('find most of what lengthens the hip in a region', () => {
		expect(regionOf(findMovement('supine-figure-four')!)).toBe('outer');
		expect(CATALOGUE.filter((movement) => regionOf(movement) !== null).length).toBeGreaterThan(
			CATALOGUE.length / 2
		);
	});

	it('follow the test of a region that was taken last', () => {
		const older = counts('2026-10-01', [8, 3, 1, 0], [8, 3, 1, 0]);
		const roll = (on: string): Dated<GroupCheckIn> => ({
			on,
			checkIn: { ...older.checkIn, test: 'leg-roll', counts: { left: [0, 0, 2, 9], right: [0, 0, 0, 0] } }
		});
		const seat = (on: string): Dated<GroupCheckIn> => ({
			on,
			checkIn: { ...older.checkIn, test: 'ninety-ninety-seat' }
		});
		const open = (of: Dated<GroupCheckIn>[]) => {
			const [offer] = offersOf(groupResults(of), group);
			return offer?.kind === 'tiers' ? offer.tiers.open : null;
		};
		expect(open([seat('2026-10-01'), roll('2026-11-01')])).toBe(9);
		expect(open([roll('2026-10-01'), seat('2026-11-01')])).toBe(0);
	});

	it('grade the mean of a group', () => {
		expect(meanGrade([1, 1, 1, 1])).toBe(1.5);
	});
});
