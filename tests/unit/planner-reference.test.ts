/** The reference that the planner is judged by (bench/planner) is held to things that are known without it. */
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { cutOff } from '../../bench/planner/cuts';
import { instances, smallInstances } from '../../bench/planner/instances';
import { hashOf, readKnown, readProven } from '../../bench/planner/kept';
import { modelOf } from '../../bench/planner/model';
import { foundBySearch, judge, planOf, planOfSolution, rounded } from '../../bench/planner/plans';
import { standardEffort } from '../../src/lib/core/propose';
import { Program } from '../../bench/planner/program';
import { itemsOf } from '../../src/lib/core/plan';
import { seeded } from '../reference/seeded';

const highs = await loadHighs();

describe('a program written down for HiGHS', () => {
	it('has the least cost that trying everything has, for 20 seeded choices with a limit', () => {
		for (let seed = 1; seed <= 20; seed++) {
			const random = seeded(seed);
			const things = Array.from({ length: 8 }, () => ({ gain: 1 + random(), weight: 1 + random() }));
			const limit = 6;
			const program = new Program();
			const taken = things.map(({ gain }) => program.column(-gain, 0, 1, true));
			// a variable named twice counts twice
			program.row(
				-Infinity,
				limit,
				things.flatMap(({ weight }, i) => [
					[taken[i]!, weight / 2] as const,
					[taken[i]!, weight / 2] as const
				])
			);
			const model = program.handedTo(highs, false);
			model.options.set({ output_flag: false, mip_rel_gap: 0 });
			model.run();
			const least = model.getObjectiveValue();
			model.dispose();
			let best = 0;
			for (let choice = 0; choice < 256; choice++) {
				const own = things.filter((_, i) => choice & (1 << i));
				const weight = own.reduce((sum, thing) => sum + thing.weight, 0);
				if (weight <= limit) best = Math.min(best, -own.reduce((sum, thing) => sum + thing.gain, 0));
			}
			expect(least).toBeCloseTo(best, 6);
		}
	});
});

describe('a cut', () => {
	const instance = smallInstances()[0]!;

	it('is made for two places that only lead to one another, and for none that the class comes to', () => {
		const model = modelOf(instance);
		const { places, arcs, program } = model;
		const section = places.findIndex(
			(place, i) => places.filter((other) => other.section === place.section).length > 2 && i > 0
		);
		const own = places.flatMap((place, i) => (place.section === places[section]!.section ? [i] : []));
		const [a, b] = [own[0]!, own[1]!];
		const solution = new Float64Array(10_000);
		const take = (from: number, to: number) => {
			solution[arcs.find((arc) => arc.from === from && arc.to === to)!.taken] = 1;
		};
		solution[places[a]!.visited] = solution[places[b]!.visited] = 1;
		take(a, b);
		take(b, a);
		expect(cutOff(solution, model, program)).toBeGreaterThan(0);

		const led = new Float64Array(10_000);
		led[places[a]!.visited] = led[places[b]!.visited] = 1;
		for (const [from, to] of [
			[-1, a],
			[a, b],
			[b, -1]
		] as const)
			led[arcs.find((arc) => arc.from === from && arc.to === to)!.taken] = 1;
		expect(cutOff(led, model, program)).toBe(0);
	});

	it('never makes a class cheaper, and no class that a search finds is under the program’s bound', () => {
		const model = modelOf(instance);
		let before = -Infinity;
		for (let round = 0; round < 4; round++) {
			const relaxed = model.program.handedTo(highs, true);
			relaxed.options.set({ output_flag: false });
			relaxed.run();
			const value = relaxed.getObjectiveValue();
			const { colValue } = relaxed.getSolution();
			relaxed.dispose();
			expect(value).toBeGreaterThanOrEqual(before - 1e-6);
			before = value;
			if (cutOff(colValue, model, model.program) === 0) break;
		}
		const cost = judge(instance);
		const found = [...foundBySearch(instance, 1, standardEffort())].map(({ pieces }) =>
			cost(planOf(instance.base, pieces))
		);
		expect(before).toBeLessThanOrEqual(Math.min(...found));
	});
});

describe('the instances', () => {
	it('are at least 14, of three lengths, with narrow bands and without, with blocks that stand and without', () => {
		const names = instances().map(({ name }) => name);
		expect(names.length).toBeGreaterThanOrEqual(14);
		expect(new Set(names).size).toBe(names.length);
		for (const part of ['-25', '-45', '-75', 'tight', 'pins'])
			expect(names.some((name) => name.includes(part))).toBe(true);
		for (const { name, base } of instances())
			expect(itemsOf(base)).toHaveLength(Number(/(\d+)-pins/.exec(name)?.[1] ?? 0));
	});

	it('are kept with a best class that is no better than what is proven, and change their hash with their bands', () => {
		for (const instance of [...instances(), ...smallInstances()]) {
			const [proven, known] = [readProven()[instance.name]!, readKnown()[instance.name]!];
			expect(proven.hash).toBe(known.hash);
			expect(Math.min(proven.best, known.best)).toBeGreaterThanOrEqual(proven.bound);
		}
		const [one] = instances();
		const targets = {
			...one!.setting.targets,
			strength: { ...one!.setting.targets.strength, minPercent: 1 }
		};
		expect(hashOf({ ...one!, setting: { ...one!.setting, targets } })).not.toBe(hashOf(one!));
	});

	it('a whole solution of the program becomes a class: its movements, part after part, no dearer when rounded', () => {
		const instance = smallInstances()[3]!;
		const model = modelOf(instance);
		const whole = model.program.handedTo(highs, false);
		// any whole solution does, so a bounded look for one is enough
		whole.options.set({ output_flag: false, mip_rel_gap: 1, mip_max_nodes: 50 });
		whole.run();
		const { colValue } = whole.getSolution();
		whole.dispose();
		const chosen = model.ways.filter(({ given }) => colValue[given]! > 0.5);
		expect(chosen.length).toBeGreaterThan(3);
		const plan = planOfSolution(instance, model, colValue);
		expect(
			itemsOf(plan)
				.map(({ movement }) => movement)
				.sort()
		).toEqual(chosen.map(({ option }) => option.movements[0]).sort());
		const cost = judge(instance);
		expect(cost(rounded(plan, instance, cost))).toBeLessThanOrEqual(cost(plan));
	});
});
