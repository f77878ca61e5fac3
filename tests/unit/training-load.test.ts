/** Load after Foster et al., J Strength Cond Res 15:109 (2001), from memory, against `simple-statistics`. */
import { USUAL_PACE } from '../../src/lib/core/pace';
import fc from 'fast-check';
import { mean, sampleStandardDeviation, sum } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock } from '../../src/lib/core/clock';
import {
	changePercent,
	effortOfWork,
	monotony,
	plannedEffort,
	sessionLoad,
	strain,
	weeklyLoad
} from '../../src/lib/core/training-load';
import { emptyPlan } from '../../src/lib/core/plan';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { analysePlan, effortOfAnalysis } from '../../src/lib/core/analysis';
import { preset } from '../../src/lib/core/group';

const days = fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 7, maxLength: 7 });

describe('load of training', () => {
	it('agrees with simple-statistics for any week', () => {
		fc.assert(
			fc.property(days, (week) => {
				expect(weeklyLoad(week)).toBe(sum(week));
				const deviation = sampleStandardDeviation(week);
				const alike = monotony(week);
				if (sum(week) === 0) expect(alike).toBeNull();
				else if (deviation === 0) expect(alike).toBe(Infinity);
				else {
					expect(alike).toBeCloseTo(mean(week) / deviation, 9);
					expect(strain(week)).toBeCloseTo((sum(week) * mean(week)) / deviation, 6);
				}
			})
		);
	});

	it('worked by hand: one class of effort 4 for 45 minutes a week', () => {
		// mean 180/7 = 25.714; the squares: (154.286)^2 + 6 x (25.714)^2 = 27771.4; /6, root: 68.03; 25.714/68.03
		const week = [0, sessionLoad(4, 45), 0, 0, 0, 0, 0];
		expect(monotony(week)).toBeCloseTo(0.378, 3);
		expect(strain(week)).toBeCloseTo(68.03, 1);
	});

	it('worked by hand: six hard days and one of rest are monotonous, hard and easy days are not', () => {
		// mean 257.14, deviation 113.39: 2.27
		expect(monotony([300, 300, 300, 300, 300, 300, 0])).toBeCloseTo(2.268, 3);
		// the same sum with hard and easy days: mean 257.14, deviation 224.4
		const mixed = [600, 100, 500, 100, 450, 50, 0];
		expect(sum(mixed)).toBe(1800);
		expect(monotony(mixed)).toBeLessThan(1.2);
	});

	it('knows equal days also where their mean misses them by a hair', () => {
		const day = 0.1 + 0.2;
		const week = Array.from({ length: 7 }, () => day);
		expect(weeklyLoad(week) / 7).not.toBe(day);
		expect(monotony(week)).toBe(Infinity);
	});

	it('does not change when all days are twice as hard, while strain doubles', () => {
		fc.assert(
			fc.property(
				days.filter((week) => new Set(week).size > 1),
				(week) => {
					const twice = week.map((load) => 2 * load);
					expect(monotony(twice)).toBeCloseTo(monotony(week)!, 9);
					expect(strain(twice)).toBeCloseTo(2 * strain(week)!, 5);
				}
			)
		);
	});

	it('says how much a week changed, and nothing where there was none before', () => {
		expect(changePercent(200, 220)).toBeCloseTo(10);
		expect(changePercent(200, 150)).toBeCloseTo(-25);
		expect(changePercent(0, 150)).toBeNull();
	});
});

describe('effort of a class', () => {
	it('is exertion and not depth: a deep passive lizard is light, the hardest press on a chair is hard', () => {
		const worked = (slug: string, id: string, mode: 'passive' | 'active' | 'isometric') =>
			effortOfWork(mode, findMovement(slug)!.forms.find((form) => form.id === id)!.effort, 25);
		expect(effortOfWork('rest', 1, 60)).toBe(0);
		expect(worked('frog', 'full', 'passive')).toBe(1);
		expect(worked('chair-figure-four-press', 'stronger', 'isometric')).toBeGreaterThanOrEqual(5);
		expect(worked('lizard', 'stronger', 'active')).toBeLessThanOrEqual(5);
	});

	it('grows with the effort of the form and with the length of a hold, and stays under ten', () => {
		for (const effort of [0, 1, 2] as const)
			expect(effortOfWork('dynamic', effort + 1, 20)).toBeGreaterThan(effortOfWork('dynamic', effort, 20));
		expect(effortOfWork('isometric', 3, 45)).toBeGreaterThan(effortOfWork('isometric', 3, 20));
		expect(effortOfWork('isometric', 3, 600)).toBeLessThanOrEqual(10);
	});

	it('is the mean over the seconds of the class, added up another way', () => {
		const { plan } = DEMO_PLANS[0]!;
		const timeline = clock(plan, findMovement, USUAL_PACE);
		const analysis = analysePlan(plan, {
			pace: USUAL_PACE,
			catalogue: [],
			find: findMovement,
			targets: preset('general').targets
		});
		let sumOfSeconds = 0;
		for (let second = 0; second < timeline.totalSeconds; second++) {
			const entry = timeline.entries.find((e) => e.fromSeconds <= second && second < e.toSeconds)!;
			const taught = analysis.context.items.find(({ item }) => item.id === entry.itemId);
			const isWork = entry.phase === 'work' && taught;
			sumOfSeconds += isWork
				? effortOfWork(taught.item.mode, taught.form.effort, entry.toSeconds - entry.fromSeconds)
				: 1;
		}
		expect(effortOfAnalysis(analysis)).toBeCloseTo(sumOfSeconds / timeline.totalSeconds, 1);
	});

	it('is nothing for an empty class', () => {
		const timeline = clock(emptyPlan('', '18:30', 3600), findMovement, USUAL_PACE);
		expect(plannedEffort(timeline, () => undefined)).toBe(0);
	});
});
