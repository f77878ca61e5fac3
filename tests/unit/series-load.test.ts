/** How a series goes: its load has a target with a floor, and what comes again goes no way back. */
import { describe, expect, it } from 'vitest';
import {
	analyseSeries,
	loadFactor,
	progressIn,
	heightsOf,
	progressFrom,
	standings,
	proposeSeries,
	seriesFindings,
	targetLoad,
	testForGoal,
	themesTo,
	withGoals,
	usualThemes,
	goalForPurpose,
	ladderTo,
	withProposed,
	type PlannedSeries
} from '../../src/lib/core/series';
import { applyEdit, itemsOf } from '../../src/lib/core/plan';
import { findMovement } from '../../src/lib/catalogue';
import { AIMS } from '../../src/lib/core/movement';
import { styleOf } from '../../src/lib/core/style';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { classWith, ladder, seriesOf, contextFor } from './series-built';

const factors = (planned: PlannedSeries) =>
	Array.from({ length: planned.series.weeks }, (_, i) => loadFactor(planned.series, i + 1));

describe('the load that a week asks for', () => {
	it('rises by 6 % from ordinary week to ordinary week, falls in easier ones, and goes on where it was', () => {
		const eight = factors(seriesOf({ weeks: 8, easierEvery: 4 })).map((f) => Math.round(100 * f));
		expect(eight).toEqual([100, 106, 112, 81, 112, 119, 126, 91]);
		for (const [i, f] of eight.entries()) {
			if (![3, 7].includes(i)) continue;
			const fall = 1 - f / eight[i - 1]!;
			expect(fall).toBeGreaterThanOrEqual(0.2);
			expect(fall).toBeLessThanOrEqual(0.4);
		}
	});

	it('rises no faster than the series allows', () => {
		const slow = factors(seriesOf({ weeks: 3, easierEvery: 0, mostUpPercent: 3 }));
		expect(slow[2]! / slow[1]!).toBeCloseTo(1.03);
	});
});

describe('what comes again', () => {
	const clam = classWith(['clam']);
	const change = (dose: object) =>
		applyEdit(clam, { do: 'setDose', itemId: itemsOf(clam)[0]!.id, change: dose });

	it('goes up or down in form, in sets, or in dose', () => {
		const before = standings([{ plan: clam, easier: false }], findMovement);
		const of = (now: ReturnType<typeof classWith>) => progressFrom(before, heightsOf(now, findMovement));
		expect(of(classWith(['clam:stronger']))).toMatchObject([{ movement: 'clam', what: 'form', way: 'up' }]);
		expect(of(classWith(['clam:supported']))).toMatchObject([
			{ movement: 'clam', what: 'form', way: 'down' }
		]);
		expect(of(change({ sets: 2 }))).toMatchObject([{ movement: 'clam', what: 'sets', way: 'up' }]);
		expect(of(change({ amount: 3 }))).toMatchObject([{ movement: 'clam', what: 'dose', way: 'down' }]);
		expect(of(clam)).toEqual([]);
		// two visits: the harder one counts
		expect(of(classWith(['clam:supported', 'clam:stronger']))[0]).toMatchObject({ way: 'up' });
	});
});

describe('a series that was planned', () => {
	const group = DEMO_GROUPS.striders;
	const base = seriesOf(
		{
			weeks: 8,
			easierEvery: 4,
			ladders: [ladder('split-squat', 'full', group)],
			themes: themesTo([findMovement('split-squat')!], 8),
			lengthSeconds: 2700
		},
		group
	);
	const context = contextFor(group);
	const work = { roughSteps: 200, starts: 1, steps: 5000, mostStarts: 6 };
	let planned = base;
	for (const { classId, plan } of proposeSeries({ planned: base, context, choices: {}, seed: 3, work }))
		planned = withProposed(planned, { [classId]: plan });
	const analysis = analyseSeries(planned, context);

	it('has the load that each week asks for, within a tenth', () => {
		for (const c of analysis.classes.slice(1)) {
			const target = targetLoad(analysis, c.class.week);
			if (target !== null)
				expect(Math.abs(c.plannedLoad / target - 1), `class ${c.number}`).toBeLessThan(0.11);
		}
		expect(seriesFindings(analysis).filter((f) => f.checkId === 'load-falls')).toEqual([]);
		expect(seriesFindings(analysis).filter((f) => f.checkId === 'too-steep')).toEqual([]);
	});

	it('begins with what each week is about', () => {
		for (const c of analysis.classes.filter(({ plan }) => plan)) {
			const { purpose } = planned.series.themes[c.class.week - 1]!;
			if (!purpose) continue;
			const served = c.analysis!.context.items.filter(({ movement }) => movement.purposes.includes(purpose));
			expect(served.length, `class ${c.number}, ${purpose}`).toBeGreaterThanOrEqual(2);
		}
	});

	it('goes back in few things of those that come again', () => {
		const all = analysis.classes.flatMap((c) => progressIn(analysis.classes, c, findMovement));
		const down = all.filter(({ way }) => way === 'down');
		expect(all.length).toBeGreaterThan(5);
		expect(down.length).toBeLessThanOrEqual(all.length / 3);
	});

	it('gives no harder form of its goal than the rung, and nothing of the rungs to come', () => {
		expect(seriesFindings(analysis).filter((f) => f.checkId === 'rung-skipped')).toEqual([]);
	});

	it('carries on with a goal that is reached: never less of it', () => {
		const last = base.series.ladders[0]!.rungs.length - 1;
		const doses = analysis.classes
			.filter((c) => !c.easier && c.given.some(({ rung }) => rung === last))
			.map((c) =>
				Math.max(
					...itemsOf(c.plan!)
						.filter(({ movement, form }) => movement === 'split-squat' && form === 'full')
						.map(({ dose }) => dose.amount)
				)
			);
		expect(doses.length).toBeGreaterThan(0);
		expect(doses).toEqual([...doses].sort((a, b) => a - b));
	});

	it('says at the end of a class what the next one brings', () => {
		const [first] = analysis.classes;
		const words = first!
			.plan!.sections.find(({ kind }) => kind === 'rest')!
			.blocks.find((block) => block.kind === 'talk');
		expect(words).toMatchObject({ label: expect.stringContaining('next time') });
	});
});

it('the test of a series follows from its goal', () => {
	const goal = (slug: string) => testForGoal(findMovement(slug));
	expect(goal('dropped-knee-step')).toBe('leg-roll');
	expect(goal('split-squat')).toBe('one-leg-balance');
	expect(goal('low-lunge')).toBe('low-lunge-upright');
	expect(testForGoal(undefined)).toBe('leg-roll');
});

describe('what follows from a goal', () => {
	const goals = ['wide-stance-knee-turn-in', 'split-squat'].map((slug) => findMovement(slug)!);

	it('are themes: its purposes in turn, every third week a direction, and the goal again at the end', () => {
		const themes = themesTo(goals, 8);
		expect(themes.map(({ purpose, more }) => Boolean(purpose) !== Boolean(more))).toEqual(
			Array(8).fill(true)
		);
		expect(themes.flatMap(({ more }, i) => (more ? [i + 1] : []))).toEqual([3, 6]);
		expect(themes[0]!.purpose).toBe(goals[0]!.purposes[0]);
		expect(themes[7]!.purpose).toBe(goals[0]!.purposes[0]);
		const purposes = goals.flatMap((goal) => goal.purposes);
		for (const { purpose } of themes) if (purpose) expect(purposes).toContain(purpose);
		expect(themesTo([], 8)).toEqual(usualThemes(8));
	});

	it('may be a purpose: the most that these people may be given for it', () => {
		const { chalk, tide } = DEMO_GROUPS;
		const goal = goalForPurpose('dropped knee', findMovement, chalk, styleOf())!;
		expect(findMovement(goal.movement)!.purposes).toContain('dropped knee');
		expect(ladderTo(goal, findMovement, chalk, styleOf())!.rungs.length).toBeGreaterThan(2);
		for (const purpose of AIMS) {
			const { movement, form } = goalForPurpose(purpose, findMovement, tide, styleOf())!;
			expect(findMovement(movement)!.purposes, movement).toContain(purpose);
			expect(['full', 'supported']).toContain(form);
		}
	});

	it('leave alone what the teacher thought of herself, and the test once something was taught', () => {
		const { series } = seriesOf({ weeks: 4 });
		const ladders = [ladder('split-squat', 'full')];
		expect(withGoals(series, ladders, false, findMovement)).toMatchObject({
			themes: themesTo([findMovement('split-squat')!], 4),
			retest: { test: testForGoal(findMovement('split-squat')) }
		});
		const own = { ...series, themes: series.themes.with(0, { words: 'Mine' }) };
		expect(withGoals(own, ladders, true, findMovement)).toEqual({ ladders });
	});
});
