import fc from 'fast-check';
import { PlanWriter } from '../../src/lib/demo/build';
import { USUAL_PACE } from '../../src/lib/core/pace';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock } from '../../src/lib/core/clock';
import {
	bestSum,
	chooseAmounts,
	fit,
	adjustableDoses,
	waterFill,
	type AdjustableDose
} from '../../src/lib/core/fit';
import { applyEdit, emptyPlan, itemsOf, newItem, type ClassPlan } from '../../src/lib/core/plan';
import { continuousByHighs, costOf, wholeByHighs } from '../reference/fit-by-highs';
import { anyPlan, doseOf } from './arbitrary';

/** Over 200 plans that are the same at each run, each with a length that lies inside its reach. */
const PLANS = fc
	.sample(anyPlan(3, 24), { seed: 20_261_124, numRuns: 225 })
	.filter((p) => itemsOf(p).length > 1);

function knobsAndRoom(plan: ClassPlan, share: number): { adjustable: AdjustableDose[]; total: number } {
	const adjustable = adjustableDoses(plan, findMovement, clock(plan, findMovement, USUAL_PACE)).map((k) => ({
		...k,
		step: 1
	}));
	const at = (k: AdjustableDose, amount: number) => k.seconds[amount - k.min]!;
	const least = adjustable.reduce((sum, k) => sum + at(k, k.allowed[0]), 0);
	const most = adjustable.reduce((sum, k) => sum + at(k, k.allowed[1]), 0);
	return { adjustable, total: Math.round(least + share * (most - least)) };
}

/** All amounts of every knob, for the full-range dynamic program. */
const everyOption = (adjustable: AdjustableDose[]) =>
	adjustable.map((k) =>
		Array.from({ length: k.allowed[1] - k.allowed[0] + 1 }, (_, i) => {
			const amount = k.allowed[0] + i;
			return { amount, seconds: k.seconds[amount - k.min]!, cost: costOf(k, amount) };
		})
	);

describe('against HiGHS (an independent solver, as the registry carries it)', () => {
	it('the continuous part is its quadratic optimum, on 200 seeded plans', async () => {
		let highs = await loadHighs();
		let compared = 0;
		for (const [index, plan] of PLANS.entries()) {
			const { adjustable } = knobsAndRoom(plan, 0);
			const low = adjustable.reduce((sum, k) => sum + k.allowed[0] * k.secondsPerUnit, 0);
			const high = adjustable.reduce((sum, k) => sum + k.allowed[1] * k.secondsPerUnit, 0);
			const total = low + ((index % 19) + 0.5) * ((high - low) / 19);
			const ours = waterFill(adjustable, total)!.seconds;
			let theirs: number[];
			try {
				theirs = continuousByHighs(highs, adjustable, total);
			} catch {
				// its quadratic solver gives up on one or two of them: the next is asked of a fresh one
				highs = await loadHighs();
				continue;
			}
			for (const [i, s] of ours.entries())
				expect(Math.abs(s - theirs[i]!), `plan ${index}, dose ${i}`).toBeLessThan(1e-3);
			expect(ours.reduce((a, b) => a + b, 0)).toBeCloseTo(total, 6);
			compared += 1;
		}
		expect(compared).toBeGreaterThanOrEqual(200);
	});

	it('the whole breaths and repetitions cost what its integer optimum costs, on 30 of them', async () => {
		const highs = await loadHighs();
		for (const [index, plan] of PLANS.slice(0, 30).entries()) {
			const { adjustable, total } = knobsAndRoom(plan, ((index % 7) + 1) / 8);
			const ours = chooseAmounts(adjustable, total);
			const theirs = wholeByHighs(highs, adjustable, total);
			expect(ours.ok, `plan ${index}`).toBe(theirs !== null);
			if (!ours.ok) continue;
			const cost = ours.amounts.reduce((sum, amount, i) => sum + costOf(adjustable[i]!, amount), 0);
			expect(ours.cost).toBeCloseTo(cost, 6);
			expect(Math.abs(cost - theirs!)).toBeLessThan(1e-3 + 1e-4 * theirs!);
		}
	}, 120_000);
});

describe('against the full-range dynamic program', () => {
	it('the whole breaths and repetitions are the optimum, on 200 seeded plans', () => {
		for (const [index, plan] of PLANS.entries()) {
			const { adjustable, total } = knobsAndRoom(plan, ((index % 11) + 0.5) / 11);
			const ours = chooseAmounts(adjustable, total);
			const exact = bestSum(everyOption(adjustable), total);
			expect(ours.ok, `plan ${index}`).toBe(exact !== null);
			if (!ours.ok || !exact) continue;
			expect(ours.cost).toBeCloseTo(exact.cost, 6);
			const sum = ours.amounts.reduce(
				(s, amount, i) => s + adjustable[i]!.seconds[amount - adjustable[i]!.min]!,
				0
			);
			expect(sum).toBe(total);
		}
	});
});

describe('fit', () => {
	it('reaches the length exactly, within the limits, and leaves pinned items alone', () => {
		fc.assert(
			fc.property(anyPlan(2, 15), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (plan, share) => {
				const [first] = itemsOf(plan);
				fc.pre(first !== undefined);
				const pinned = applyEdit(plan, { do: 'setItem', itemId: first!.id, change: { pinned: true } });
				const { total } = knobsAndRoom(pinned, share);
				const now = clock(pinned, findMovement, USUAL_PACE).totalSeconds;
				const free = adjustableDoses(pinned, findMovement, clock(pinned, findMovement, USUAL_PACE)).reduce(
					(sum, k) => sum + k.seconds[k.current - k.min]!,
					0
				);
				const length = now - free + total;
				const before = new Map(itemsOf(pinned).map(({ id, dose }) => [id, dose.amount]));
				const result = fit(pinned, findMovement, USUAL_PACE, length);
				if (!result.ok) {
					expect(result.reason.kind).toBe('no-exact-sum');
					return;
				}
				const fitted = applyEdit(pinned, { do: 'setDoses', doses: result.doses });
				expect(clock(fitted, findMovement, USUAL_PACE).totalSeconds).toBe(length);
				expect(itemsOf(fitted)[0]!.dose).toEqual(first!.dose);
				for (const item of itemsOf(fitted)) {
					if (item.dose.byBreath || item.pinned) continue;
					expect(item.dose.amount).toBeGreaterThanOrEqual(Math.min(before.get(item.id)!, doseOf(item).min));
					expect(item.dose.amount).toBeLessThanOrEqual(Math.max(before.get(item.id)!, doseOf(item).max));
				}
			}),
			{ numRuns: 100 }
		);
	});

	it('changes nothing in a plan that has its length already', () => {
		for (const plan of PLANS.slice(0, 20)) {
			const result = fit(plan, findMovement, USUAL_PACE, clock(plan, findMovement, USUAL_PACE).totalSeconds);
			expect(result.ok && result.changed).toEqual([]);
		}
	});

	it('gives held seconds in fives, and what is left to the closing rest', () => {
		const plan = add(add(add(emptyPlan('A class', '18:30', 600), 'warrior-2'), 'happy-baby'), 'savasana');
		const result = fit(
			plan,
			findMovement,
			USUAL_PACE,
			clock(plan, findMovement, USUAL_PACE).totalSeconds + 47
		);
		expect(result.ok).toBe(true);
		if (!result.ok) return;
		const [warrior, baby] = itemsOf(plan).map((item) => result.doses[item.id]!.amount!);
		expect(warrior! % 5).toBe(0);
		expect(baby! % 5).toBe(0);
	});

	it('changes what the class is about half as much as the rest', () => {
		const writer = new PlanWriter();
		const flow = () => writer.item('cat-cow', { dose: 6 });
		writer.add('build', flow()).add('peak', flow());
		const plan = writer.plan('A class', '18:30', 600);
		const [build, peak] = itemsOf(plan);
		const after = (rounds: number) => {
			const now = clock(plan, findMovement, USUAL_PACE).totalSeconds;
			// a round is two breaths of 6 s
			const fitted = fit(plan, findMovement, USUAL_PACE, now + 12 * rounds);
			if (!fitted.ok) throw new Error(fitted.message);
			return [fitted.doses[build!.id]!.amount, fitted.doses[peak!.id]!.amount];
		};
		expect(after(3)).toEqual([8, 7]);
		expect(after(-3)).toEqual([4, 5]);
	});

	it('says why a plan cannot be shorter, with the largest fixed parts', () => {
		const plan = add(add(emptyPlan('A class', '18:30', 600), 'warrior-2'), 'savasana');
		const result = fit(plan, findMovement, USUAL_PACE, 120);
		expect(result.ok).toBe(false);
		if (result.ok) return;
		// warrior: set-up 14, 20, change 11, set-up 6, 20; savasana: move 18, set-up 14, 60, leave 20
		expect(result.reason.shortestSeconds).toBe(183);
		expect(result.message).toBe(
			'needs 1:03 less: the shortest this plan can be is 3:03; the largest fixed parts are explaining 0:20, coming out 0:20, changing position 0:18'
		);
	});

	it('says why a plan cannot be longer', () => {
		const result = fit(add(emptyPlan('A class', '18:30', 600), 'warrior-2'), findMovement, USUAL_PACE, 600);
		expect(!result.ok && result.message).toBe('needs 7:59 more: the longest this plan can be is 2:01');
	});

	it('says which lengths whole breaths can reach when none is exact', () => {
		const plan = add(emptyPlan('A class', '18:30', 600), 'low-lunge');
		// 14 + 11 + 6 s fixed and 2 x 7 s a breath: 31 + 14 n
		const result = fit(plan, findMovement, USUAL_PACE, 100);
		expect(!result.ok && result.reason.nearest).toEqual([87, 101]);
		expect(!result.ok && result.message).toContain('whole breaths and repetitions reach 1:27 or 1:41');
	});

	it('may leave a dose that is not usual where it is, or bring it nearer to what is', () => {
		const plan = add(add(emptyPlan('A class', '18:30', 600), 'warrior-2'), 'savasana');
		const [warrior] = itemsOf(plan);
		const outside = applyEdit(plan, { do: 'setDoses', doses: { [warrior!.id]: { amount: 90 } } });
		const result = fit(outside, findMovement, USUAL_PACE, 300);
		if (!result.ok) throw new Error(result.message);
		expect(result.doses[warrior!.id]!.amount).toBeLessThanOrEqual(90);
	});
});

function add(plan: ClassPlan, slug: string): ClassPlan {
	const index = plan.sections[2]!.blocks.length;
	return applyEdit(plan, {
		do: 'insert',
		at: { sectionId: 'build', index },
		block: newItem(plan, findMovement(slug)!)
	});
}
