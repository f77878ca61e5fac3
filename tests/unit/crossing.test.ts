/** Classes that are crossed: what comes of two is a class again, and the better ones stay. */
import { describe, expect, it } from 'vitest';
import { instances } from '../../bench/planner/instances';
import { searchOf } from '../../bench/planner/plans';
import {
	begun,
	crossed,
	Population,
	searched,
	seededRandom,
	sought,
	standardEffort,
	type Effort,
	type Solution
} from '../../src/lib/core/propose';

const instance = instances().find(({ name }) => name === 'striders-25-tight-2-pins')!;
const { kept, objective, pool } = searchOf(instance);
const random = seededRandom(11);
const founds = Array.from({ length: 6 }, () =>
	searched(begun(kept, pool, random, {}), pool, objective, random, 3000)
);
const given = ({ pieces }: Pick<Solution, 'pieces'>) => pieces.map(({ option }) => option.index);
const asText = ({ pieces }: Pick<Solution, 'pieces'>) => given({ pieces }).sort().join();

describe('two classes crossed', () => {
	const crossings = Array.from({ length: 200 }, (_, i) => {
		const [one, other] = [founds[i % 6]!, founds[(i + 1 + (i % 5)) % 6]!];
		return { one, other, child: crossed(one.pieces, other.pieces, random) };
	});

	it('give each part as one of both has it, but for what would come twice', () => {
		for (const { one, other, child } of crossings)
			for (let section = 0; section < 6; section++) {
				const [own, brought, made] = [one.pieces, other.pieces, child].map((pieces) =>
					pieces.filter((piece) => piece.section === section)
				);
				const isOwn = made!.length === own!.length && made!.every((piece, i) => piece === own![i]);
				if (!isOwn) expect(made!.every((piece) => brought!.includes(piece))).toBe(true);
			}
		const mixed = crossings.filter(
			({ one, other, child }) =>
				asText({ pieces: child }) !== asText(one) && asText({ pieces: child }) !== asText(other)
		);
		expect(mixed.length).toBeGreaterThan(100);
	});

	it('give no movement twice, keep what is kept in its order, and stand part after part', () => {
		expect(kept).toHaveLength(2);
		for (const { child } of crossings) {
			const slugs = child.flatMap(({ option }) => option.movements);
			expect(new Set(slugs).size).toBe(slugs.length);
			expect(child.filter(({ option }) => option.kept).map(({ option }) => option.kept)).toEqual(
				kept.map(({ option }) => option.kept)
			);
			expect(child.map(({ section }) => section)).toEqual(child.map(({ section }) => section).sort());
		}
	});
});

describe('a population', () => {
	it('keeps the best of all, each with other movements than the rest', () => {
		const population = new Population(3);
		const [a, b, c, d] = founds.toSorted((x, y) => x.cost - y.cost) as [
			Solution,
			Solution,
			Solution,
			Solution
		];
		for (const found of [d, c, b, a]) population.add(found);
		expect(population.founds).toEqual([a, b, c]);
		// the same movements, dearer and cheaper
		population.add({ ...b, cost: b.cost + 1 });
		population.add({ ...a, cost: a.cost - 1 });
		expect(population.founds[0]!.cost).toBe(a.cost - 1);
		const children = Array.from({ length: 100 }, () => population.child(random)).flat();
		// a piece is of one class only: the dearest gave its place to the best
		for (const found of [a, b, c]) expect(children.some((piece) => found.pieces.includes(piece))).toBe(true);
		expect(children.some((piece) => d.pieces.includes(piece))).toBe(false);
	});
});

describe('a search with crossings', () => {
	const found = (effort: Effort, seed: number) => [
		...sought(kept, pool, objective, seededRandom(seed), {}, effort)
	];
	const alone: Effort = {
		roughSteps: 0,
		starts: 4,
		steps: 8000,
		crossings: 0,
		refineSteps: 2000,
		settleSteps: 2000
	};

	it('comes upon better and better classes, and crossing makes them better still', () => {
		const gains = [1, 2, 3, 4, 5].map((seed) => {
			const costs = found({ ...alone, crossings: 16 }, seed).map(({ cost }) => cost);
			expect(costs).toEqual(costs.toSorted((a, b) => b - a));
			return found(alone, seed).at(-1)!.cost - costs.at(-1)!;
		});
		expect(gains.reduce((sum, points) => sum + points, 0) / gains.length).toBeGreaterThan(0.1);
	});

	it('costs as many steps as it is given, with more beginnings the more it is given', () => {
		const one = standardEffort();
		for (const times of [1, 5, 20]) {
			const { starts, steps, crossings, refineSteps } = standardEffort(times);
			expect((starts * steps) / (one.starts * one.steps * times)).toBeCloseTo(1, 3);
			const refined = (starts + crossings) * refineSteps;
			expect(refined / ((one.starts + one.crossings) * one.refineSteps * times)).toBeCloseTo(1, 3);
			if (times > 1) expect(starts).toBeGreaterThan(one.starts);
		}
	});
});
