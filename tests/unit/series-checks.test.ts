import { describe, expect, it } from 'vitest';
import { applyEdit, itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import {
	analyseSeries,
	SERIES_CHECKS,
	seriesFindings,
	WEEKLY_DOSE_SECONDS,
	type PlannedSeries,
	type SeriesSettings
} from '../../src/lib/core/series';
import { classWith, CLIMBERS, filled, ladder, logged, run, seriesOf, contextFor } from './series-built';

const named = (slugs: string[], change: Partial<ClassPlan> = {}) => ({ ...classWith(slugs), ...change });

/** A sound series of the given weeks: the same three movements, and a test where one is due. */
function sound(change: Partial<SeriesSettings> = {}, slugs: (i: number) => string[] = () => USUAL) {
	const planned = seriesOf({ weeks: 4, retest: { test: 'leg-roll', weeks: [1, 4] }, ...change });
	return filled(planned, (i) => tested(classWith(slugs(i)), planned.series.classes[i]!.week, planned));
}
const USUAL = ['cat-cow', 'clam', 'low-lunge'];

function tested(plan: ClassPlan, week: number, { series }: PlannedSeries): ClassPlan {
	if (!series.retest.weeks.includes(week)) return plan;
	const block = { kind: 'test' as const, id: 't1', test: series.retest.test, seconds: 60 };
	return {
		...plan,
		sections: plan.sections.map((s) => (s.kind === 'settle' ? { ...s, blocks: [block] } : s))
	};
}

const idAt = ({ series }: PlannedSeries, i: number) => series.classes[i]!.id;
const withPlan = (planned: PlannedSeries, i: number, plan: ClassPlan): PlannedSeries => ({
	...planned,
	plans: { ...planned.plans, [idAt(planned, i)]: plan }
});

const NONE = { test: 'leg-roll' as const, weeks: [] };
const MORE = ['bridge-lift', 'goddess-squat', 'split-squat'];

/** A class of one movement in the given sets. */
function inSets(slug: string, sets: number): ClassPlan {
	const plan = classWith([slug]);
	const [item] = itemsOf(plan);
	return applyEdit(plan, { do: 'setDose', itemId: item!.id, change: { sets } });
}

interface Row {
	pass: PlannedSeries[];
	fail: [PlannedSeries, string][];
	known?: string[];
	group?: typeof CLIMBERS;
}

/** For each check series that it lets pass, and series with exactly what it says of them. */
const TABLE: Record<string, Row> = {
	'too-steep': {
		pass: [
			sound(),
			// after an easier week up to where it was before
			logged(logged(sound({ easierEvery: 2 }), 'class-001', run), 'class-002', { ...run, effort: 2 })
		],
		fail: [
			[
				[4, 4.8].reduce(
					(p, effort, i) => logged(p, idAt(p, i), { ...run, effort }),
					sound({ easierEvery: 0 })
				),
				'week 2 has 20 % more load than the last ordinary week; the limit is 10 %'
			],
			[
				withPlan(
					sound({ easierEvery: 0, retest: { test: 'leg-roll', weeks: [] } }),
					1,
					classWith([...USUAL, 'goddess-squat', 'single-leg-squat'])
				),
				'week 2 has 78 % more load than the last ordinary week; the limit is 10 %'
			]
		]
	},
	'load-falls': {
		pass: [
			sound({ weeks: 3, easierEvery: 0, retest: NONE }, (i) => [...USUAL, ...MORE.slice(0, i)]),
			// an easier week in between takes nothing away
			withPlan(sound({ weeks: 3, easierEvery: 2, retest: NONE }), 1, classWith(['cat-cow']))
		],
		fail: [
			[
				sound({ weeks: 3, easierEvery: 0, retest: NONE }),
				'the load stays where it is for 3 ordinary weeks up to week 3'
			],
			[
				sound({ weeks: 2, easierEvery: 0, retest: NONE }, (i) => (i ? USUAL.slice(0, 2) : USUAL)),
				'week 2 is planned with 26 % less load than the last ordinary week'
			]
		]
	},
	'goes-back': {
		pass: [
			sound({}, (i) => ['cat-cow', i ? 'clam' : 'clam:supported']),
			// an easier week may
			withPlan(sound({ weeks: 2, easierEvery: 2, retest: NONE }), 1, classWith(['clam:supported']))
		],
		fail: [
			[
				sound({ weeks: 2, easierEvery: 0, retest: NONE }, (i) => [i ? 'clam:supported' : 'clam']),
				'class 2 makes this easier than last time: Clam (form)'
			],
			[
				withPlan(
					sound({ weeks: 2, easierEvery: 0, retest: NONE }, () => ['clam']),
					0,
					inSets('clam', 2)
				),
				'class 2 makes this easier than last time: Clam (sets)'
			]
		]
	},
	'rung-skipped': {
		pass: [
			sound({ ladders: [ladder('clam', 'supported')] }, () => ['clam:supported', 'cat-cow']),
			// the first was passed by: it can no longer be mended
			logged(
				withPlan(
					sound({ ladders: [ladder('clam', 'supported')] }, () => ['clam:supported']),
					0,
					classWith(['clam:stronger'])
				),
				'class-002',
				run
			)
		],
		fail: [
			[
				withPlan(
					sound({ ladders: [ladder('clam', 'full')] }, () => ['clam:supported']),
					0,
					classWith(['clam:stronger'])
				),
				'class 1 has Clam in the stronger form; the supported one is the next rung'
			],
			[
				withPlan(
					sound({ ladders: [ladder('clam', 'supported')] }, () => ['clam:supported']),
					1,
					classWith(['cat-cow'])
				),
				'class 2 does not give the next rung: Clam'
			]
		]
	},
	'no-retest': {
		pass: [sound()],
		fail: [
			[
				sound({ retest: { test: 'leg-roll', weeks: [1] } }),
				'there are no two tests to compare: choose at least two weeks for them'
			],
			[
				sound({ weeks: 12, retest: { test: 'leg-roll', weeks: [1, 12] } }),
				'11 weeks lie between two tests; a test every few weeks shows more'
			],
			[withPlan(sound(), 3, classWith(USUAL)), 'class 4 is in a week with a test and has none']
		]
	},
	'monotony-high': {
		pass: [sound()],
		fail: [
			[
				sound({
					weeks: 1,
					retest: { test: 'leg-roll', weeks: [] },
					meetings: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, startsAt: '18:30' })),
					startsOn: '2026-11-02'
				}),
				'week 1 is monotonous: every day is the same'
			],
			[
				sound({
					weeks: 1,
					retest: { test: 'leg-roll', weeks: [] },
					meetings: [1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, startsAt: '18:30' })),
					startsOn: '2026-11-02'
				}),
				'week 1 is monotonous: 2.3'
			]
		]
	},
	'same-class-thrice': {
		pass: [
			sound({}, (i) =>
				(i === 2 ? [...USUAL, 'child-pose'] : USUAL)
					.filter((s) => s !== 'child-pose')
					.concat(i % 2 ? ['butterfly'] : [])
			)
		],
		fail: [[sound({ weeks: 3 }), 'class 3 is the third in a row with the same movements in the same forms']]
	},
	'goal-out-of-reach': {
		pass: [sound({ ladders: [ladder('clam', 'supported')] })],
		fail: [
			[
				sound({
					weeks: 2,
					retest: { test: 'leg-roll', weeks: [1, 2] },
					easierEvery: 0,
					ladders: [ladder('clam', 'full')]
				}),
				'Clam, full, 10 repetitions is not reached by the end at this pace; the earliest date would be Tuesday 1 December'
			]
		]
	},
	'new-too-fast': {
		pass: [sound(), sound({}, (i) => [...USUAL, 'butterfly', 'frog'].slice(0, 3 + i))],
		fail: [
			[
				withPlan(sound(), 1, classWith([...USUAL, 'butterfly', 'frog'])),
				'class 2 has 2 new movements: Butterfly, Frog'
			]
		]
	},
	'no-easier-week': {
		pass: [sound({ weeks: 8, easierEvery: 4 }), sound({ weeks: 4, easierEvery: 0 })],
		fail: [[sound({ weeks: 8, easierEvery: 0 }), '8 weeks in a row without an easier one']]
	},
	'tier-left-behind': {
		pass: [sound({ ladders: [ladder('90-90-switch', 'full')] })],
		fail: [
			[
				sound({ ladders: [ladder('pigeon-fold', 'stronger')] }),
				'the tight people (4) stay at supported in Pigeon, folded forward while the goal is stronger'
			]
		],
		group: { ...CLIMBERS, tiers: { tight: 4, middling: 3, open: 2 } }
	},
	'side-habit': {
		pass: [
			filled(seriesOf({ weeks: 3 }), (i) => named(USUAL, { firstSide: i % 2 ? 'right' : 'left' })),
			filled(seriesOf({ weeks: 3 }), () => named(USUAL, { firstSide: 'left', style: { firstSide: 'same' } }))
		],
		fail: [
			[
				filled(seriesOf({ weeks: 3 }), () => named(USUAL, { firstSide: 'left' })),
				'the left leg leads first for the third time in a row in class 3'
			]
		]
	},
	'direction-neglected': {
		pass: [sound({ weeks: 2 })],
		fail: [[sound({ weeks: 3 }, () => ['frog']), 'flexion is short for 3 weeks in a row up to week 3']]
	},
	'weekly-dose': {
		pass: [sound({}, () => ['cat-cow'])],
		fail: [
			[
				sound({ weeks: 2 }, () => ['frog', 'butterfly', 'wide-leg-seated-fold']),
				'the adductors get 2:42 a week; five minutes is the dose; 2:18 remain for home'
			]
		]
	},
	'left-out-forgotten': {
		pass: [
			logged(sound(), 'class-001', { ...run, leftOut: ['clam'] }),
			// taught again and left out again: it is the third class that owes it
			logged(logged(sound(), 'class-001', { ...run, leftOut: ['clam'] }), 'class-002', run)
		],
		fail: [
			[
				withPlan(logged(sound(), 'class-001', { ...run, leftOut: ['clam'] }), 1, classWith(['cat-cow'])),
				'class 2 should bring back: Clam'
			]
		]
	}
};

const findingsOf = (planned: PlannedSeries, id: string, { known = [], group = CLIMBERS }: Row) =>
	seriesFindings(analyseSeries(planned, contextFor(group, known)))
		.filter(({ checkId }) => checkId === id)
		.map(({ message }) => message);

describe('the checks of a series', () => {
	it('all have a table, a reason and a source', () => {
		expect(Object.keys(TABLE).sort()).toEqual(SERIES_CHECKS.map(({ meta }) => meta.id).sort());
		for (const { meta } of SERIES_CHECKS) {
			expect(meta.why.length).toBeGreaterThan(20);
			expect(meta.source).toMatch(/common practice|\(\d{4}\)/);
		}
	});

	it.each(Object.keys(TABLE))('%s', (id) => {
		const row = TABLE[id]!;
		for (const planned of row.pass) expect(findingsOf(planned, id, row)).toEqual([]);
		for (const [planned, message] of row.fail) expect(findingsOf(planned, id, row)).toContain(message);
	});

	it('say of a week that is over only what is worth knowing', () => {
		const steep = [4, 4.8].reduce(
			(p, effort, i) => logged(p, idAt(p, i), { ...run, effort }),
			sound({ easierEvery: 0 })
		);
		const found = seriesFindings(analyseSeries(steep, contextFor())).find((f) => f.checkId === 'too-steep');
		expect(found?.severity).toBe('note');
	});

	/** Thomas et al., Int J Sports Med 39:243 (2018): 5 minutes a week for a muscle group; value from memory. */
	it('weekly-dose counts five minutes a week of a tissue held long, and leaves the rest for home', () => {
		expect(WEEKLY_DOSE_SECONDS).toBe(300);
		const planned = sound({}, () => ['butterfly']);
		const analysis = analyseSeries(planned, contextFor());
		const seconds = Math.round(analysis.weeks[0]!.tissues.get('adductors')!);
		const twice = sound({ meetings: [2, 5].map((weekday) => ({ weekday, startsAt: '18:30' })) }, () => [
			'butterfly'
		]);
		const both = analyseSeries(twice, contextFor());
		expect(Math.round(both.weeks[0]!.tissues.get('adductors')!)).toBe(2 * seconds);
	});
});
