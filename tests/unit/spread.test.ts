import { cumulativeStdNormalProbability, mean, quantile, standardDeviation } from 'simple-statistics';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import {
	BREATH_VARIES,
	clock,
	normalProbability,
	spread,
	stretches,
	TALK_VARIES,
	timesOutOfTen
} from '../../src/lib/core/clock';
import { applyEdit, itemsOf } from '../../src/lib/core/plan';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { PlanWriter } from '../../src/lib/demo/build';
import { seeded } from '../reference/seeded';

const plan = DEMO_PLANS[0]!.plan;
const parts = () => {
	const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
	return stretches(clock(plan, findMovement), findMovement, (id) => items.get(id));
};

/** A log-normal factor with mean 1 and the given standard deviation: times are never negative and lean to the right. */
function factor(sd: number, random: () => number): number {
	const sigma = Math.sqrt(Math.log(1 + sd * sd));
	const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
	return Math.exp(sigma * normal - (sigma * sigma) / 2);
}

describe('when a class ends', () => {
	it('agrees with a seeded simulation of 100,000 classes in mean, spread, quantiles and chance', () => {
		const all = parts();
		const random = seeded(20_261_124);
		const totals = Array.from({ length: 100_000 }, () => {
			const common = { breath: factor(BREATH_VARIES, random), talk: factor(TALK_VARIES, random) };
			let sum = 0;
			for (const part of all)
				sum += part.seconds * factor(part.varies, random) * (part.common ? common[part.common] : 1);
			return sum;
		});
		const planned = clock(plan, findMovement).totalSeconds;
		const model = spread(all, planned + 40);
		expect(model.meanSeconds).toBe(planned);
		expect(mean(totals)).toBeCloseTo(model.meanSeconds, -1);
		expect(Math.abs(standardDeviation(totals) / model.sdSeconds - 1)).toBeLessThan(0.02);
		const inside = totals.filter((t) => t >= model.likelyFromSeconds && t <= model.likelyToSeconds).length;
		expect(inside / totals.length).toBeCloseTo(0.683, 1);
		expect(quantile(totals, 0.9)).toBeCloseTo(model.meanSeconds + 1.2816 * model.sdSeconds, -1.3);
		const onTime = totals.filter((t) => t <= planned + 40).length / totals.length;
		expect(Math.abs(onTime - model.onTime)).toBeLessThan(0.02);
	}, 60_000);

	it('of one stretch is what probability theory says of a product of two factors', () => {
		// Var(XY) = E(X²)E(Y²) - E(X)²E(Y)² for independent X and Y (any textbook of probability)
		for (const [common, shared] of [
			['breath', BREATH_VARIES],
			['talk', TALK_VARIES]
		] as const) {
			const varies = 0.4;
			const { sdSeconds } = spread([{ seconds: 100, varies, common }], 100);
			expect(sdSeconds).toBeCloseTo(100 * Math.sqrt((1 + varies ** 2) * (1 + shared ** 2) - 1), 9);
		}
		expect(spread([{ seconds: 100, varies: 0.4, common: null }], 100).sdSeconds).toBeCloseTo(40, 9);
	});

	it('varies as the teacher does where that was measured', () => {
		const steady = { figures: { setUpSeconds: { meanSeconds: 3, varies: 0, observations: 40 } } };
		const only = (pace = USUAL_PACE) => {
			const [item] = itemsOf(plan);
			return stretches(clock(plan, findMovement, pace), findMovement, () => item, pace);
		};
		const setUps = (pace?: typeof USUAL_PACE) =>
			clock(plan, findMovement).entries.flatMap(({ phase }, i) =>
				phase === 'setUp' ? [only(pace)[i]!.varies] : []
			);
		expect(new Set(setUps())).toEqual(new Set([0.4]));
		expect(new Set(setUps(steady))).toEqual(new Set([0]));
	});

	it('the normal probability agrees with simple-statistics to what its table gives', () => {
		for (let z = -3; z <= 3; z += 0.1)
			expect(normalProbability(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3);
		expect(normalProbability(0)).toBeCloseTo(0.5, 8);
		expect(normalProbability(1.959964)).toBeCloseTo(0.975, 6);
	});

	it('an empty class ends when it begins, and nothing is said to be certain', () => {
		expect(spread([], 600)).toMatchObject({ meanSeconds: 0, sdSeconds: 0, onTime: 1 });
		expect([timesOutOfTen(0), timesOutOfTen(0.44), timesOutOfTen(1)]).toEqual([1, 4, 9]);
	});
});

describe('phases that the teacher pins', () => {
	const w = new PlanWriter();
	const one = w.add('build', w.item('warrior-2', { dose: 30 })).plan('One', '18:30', 600);
	const pinned = applyEdit(one, {
		do: 'setItem',
		itemId: 'b1',
		change: { phases: { explain: 40, change: 5, leave: 6 } }
	});
	const seconds = (p: typeof one) =>
		clock(p, findMovement).entries.map((e) => [e.phase, e.toSeconds - e.fromSeconds]);

	it('go before the pace, each for itself', () => {
		expect(seconds(one)).toEqual([
			['setUp', 3],
			['explain', 13],
			['work', 30],
			['change', 12],
			['explain', 8],
			['work', 30]
		]);
		expect(seconds(pinned)).toEqual([
			['setUp', 3],
			['explain', 40],
			['work', 30],
			['change', 5],
			['explain', 24],
			['work', 30],
			['leave', 6]
		]);
	});

	it('are let go again', () => {
		const back = applyEdit(pinned, { do: 'setItem', itemId: 'b1', change: { phases: {} } });
		expect(back).toEqual(one);
	});
});
