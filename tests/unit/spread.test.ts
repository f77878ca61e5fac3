import { mean, quantile, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock, normalProbability, spread, chancePercent } from '../../src/lib/core/clock';
import { classLogSd, USUAL_PACE } from '../../src/lib/core/pace';
import { applyEdit } from '../../src/lib/core/plan';
import { PlanWriter } from '../../src/lib/demo/build';
import { seeded } from '../reference/seeded';

function normal(random: () => number): number {
	return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

describe('when a class ends', () => {
	it('agrees with a seeded simulation of 100,000 classes of 60 visits', () => {
		const random = seeded(20_261_128);
		const planned = 3600;
		const visits = 60;
		// one visit: variance 8 s times its seconds; one factor for the whole class
		const sd = Math.sqrt((8 * planned) / visits);
		const totals = Array.from({ length: 100_000 }, () => {
			let sum = 0;
			for (let i = 0; i < visits; i++) sum += planned / visits + sd * normal(random);
			return sum * Math.exp(0.12 * normal(random));
		});
		const logs = totals.map((t) => Math.log(t / planned));
		const model = spread(planned, planned + 300, 0.12);
		expect(mean(logs)).toBeCloseTo(0, 2);
		expect(Math.abs(standardDeviation(logs) / model.logSd - 1)).toBeLessThan(0.02);
		expect(quantile(totals, 0.1) / model.likelyFromSeconds).toBeCloseTo(1, 2);
		expect(quantile(totals, 0.9) / model.likelyToSeconds).toBeCloseTo(1, 2);
		const onTime = totals.filter((t) => t <= planned + 300).length / totals.length;
		expect(Math.abs(onTime - model.onTime)).toBeLessThan(0.01);
	}, 60_000);

	it.each<[string, number, number, number]>([
		// half-widths of the eight classes of ten, percent: common practice, no published source
		['half an hour, nothing known', 1800, 0.2, 31],
		['half an hour, the kind chosen', 1800, 0.12, 19],
		['an hour, nothing known', 3600, 0.2, 30],
		['an hour, the kind chosen', 3600, 0.12, 18],
		['75 minutes, the kind chosen', 4500, 0.12, 18]
	])('%s: about so many percent each way', (_what, seconds, classSd, percent) => {
		const { likelyToSeconds } = spread(seconds, seconds, classSd);
		expect(Math.abs(100 * (likelyToSeconds / seconds - 1) - percent)).toBeLessThanOrEqual(1.5);
	});

	it('is known better when the kind of class is chosen, by the teacher or for the class', () => {
		expect(classLogSd(USUAL_PACE)).toBe(0.2);
		expect(classLogSd({ ...USUAL_PACE, classKind: 'detailed' })).toBe(0.14);
		expect(classLogSd(USUAL_PACE, { classKind: 'flow' })).toBe(0.14);
		expect(classLogSd(USUAL_PACE, { classKind: 'quiet' })).toBe(0.2);
	});

	// Abramowitz & Stegun, Handbook of Mathematical Functions (1964), table 26.1 (from memory)
	it.each([
		[0, 0.5],
		[0.5, 0.691462],
		[1, 0.841345],
		[1.281552, 0.9],
		[1.959964, 0.975],
		[3, 0.99865]
	])('the normal probability is that of the handbook at %s', (z, probability) => {
		expect(normalProbability(z)).toBeCloseTo(probability, 6);
		expect(normalProbability(-z)).toBeCloseTo(1 - probability, 6);
	});

	it('an empty class ends when it begins, and nothing is said to be certain', () => {
		expect(spread(0, 600, 0.12)).toMatchObject({ medianSeconds: 0, onTime: 1 });
		expect([chancePercent(0), chancePercent(0.44), chancePercent(1)]).toEqual([10, 40, 90]);
	});
});

describe('phases that the teacher pins', () => {
	const w = new PlanWriter();
	const one = w.add('build', w.item('warrior-2', { dose: 30 })).plan('One', '18:30', 600);
	const pinned = applyEdit(one, {
		do: 'setItem',
		itemId: 'b1',
		change: { phases: { setUp: 42, change: 5, leave: 6 } }
	});
	const seconds = (p: typeof one) =>
		clock(p, findMovement, USUAL_PACE).entries.map((e) => [e.phase, e.toSeconds - e.fromSeconds]);

	it('go before the pace, each for itself; a pinned set-up is as much shorter on the second side as any other', () => {
		expect(seconds(one)).toEqual([
			['explain', 10],
			['setUp', 4],
			['work', 30],
			['change', 11],
			['setUp', 6],
			['work', 30]
		]);
		expect(seconds(pinned)).toEqual([
			['explain', 10],
			['setUp', 32],
			['work', 30],
			['change', 5],
			['setUp', 17],
			['work', 30],
			['leave', 6]
		]);
	});

	it('are let go again', () => {
		const back = applyEdit(pinned, { do: 'setItem', itemId: 'b1', change: { phases: {} } });
		expect(back).toEqual(one);
	});
});
