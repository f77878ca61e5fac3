/**
 * The best doses of a class: a linear program with costs of straight pieces, held to HiGHS, which solves the same thing
 * another way.
 */
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { instances } from '../../bench/planner/instances';
import { searchOf } from '../../bench/planner/plans';
import { Program } from '../../bench/planner/program';
import {
	begun,
	change,
	ConvexProgram,
	costsOutside,
	costsOver,
	costsUnder,
	type Curve,
	curveUnder,
	Candidate,
	factsFor,
	keptPieces,
	Objective,
	optionsFor,
	Pool,
	refined,
	rounded,
	searched,
	seededRandom,
	type Wishes
} from '../../src/lib/core/propose';
import { seeded } from '../reference/seeded';

const highs = await loadHighs();

/** What a curve costs somewhere. */
const costAt = ({ breaks, values, slopes }: Curve, x: number): number => {
	const after = breaks.findIndex((at) => x <= at);
	const piece = after < 0 ? breaks.length : after;
	const near = Math.max(0, piece - 1);
	return values[near]! + slopes[piece]! * (x - breaks[near]!);
};

/** The least by HiGHS: each curve is the greatest of its lines. */
function leastByHighs(columns: readonly Curve[], rows: readonly Curve[], parts: readonly number[][]): number {
	const program = new Program();
	const charged = ({ breaks, values, slopes }: Curve, terms: [number, number][]) => {
		const cost = program.column(1, -Infinity);
		for (const [piece, slope] of slopes.entries()) {
			const near = Math.max(0, piece - 1);
			const line = values[near]! - slope * breaks[near]!;
			program.row(line, Infinity, [
				[cost, 1],
				...terms.map(([c, part]): [number, number] => [c, -slope * part])
			]);
		}
	};
	const amounts = columns.map(({ breaks }) => program.column(0, breaks[0], breaks.at(-1)));
	for (const [c, curve] of columns.entries()) charged(curve, [[amounts[c]!, 1]]);
	for (const [r, curve] of rows.entries())
		charged(
			curve,
			amounts.map((amount, c) => [amount, parts[c]![r]!])
		);
	const model = program.handedTo(highs, true);
	model.options.set({ output_flag: false });
	model.run();
	const least = model.getObjectiveValue();
	model.dispose();
	return least;
}

describe('a curve under some points', () => {
	it('leaves out what lies over the line between others, and costs no more than any of them', () => {
		const points = [3, 1, 1.5, 0, 0, 4];
		const curve = curveUnder([0, 1, 2, 3, 4, 5], points);
		expect(curve.breaks).toEqual([0, 1, 3, 4, 5]);
		expect(curve.slopes.slice(1, -1)).toEqual([-2, -0.5, 0, 4]);
		for (const [x, cost] of points.entries()) expect(costAt(curve, x)).toBeLessThanOrEqual(cost);
		expect(costAt(curve, -1)).toBeGreaterThan(900);
		expect(costAt(curve, 6)).toBeGreaterThan(900);
	});
});

describe('a program of convex costs', () => {
	const ROWS = 7;
	const COLUMNS = 24;

	/** Columns of which some are asked about at a time, and rows of all kinds. */
	function made(seed: number) {
		const random = seeded(seed);
		const between = (from: number, to: number) => from + (to - from) * random();
		const columns = Array.from({ length: COLUMNS }, () => {
			const at = Array.from({ length: 6 }, (_, i) => 10 + 15 * i);
			// usual somewhere in the middle, free about it; one in eight can be one thing only
			const usual = between(20, 80);
			const costs = at.map((x) => Math.max(0, Math.abs(x - usual) - 12) * between(0.008, 0.012));
			return random() < 0.125 ? curveUnder([40], [0]) : curveUnder(at, costs);
		});
		const rows = Array.from({ length: ROWS }, (_, r) => {
			const middle = r === 0 ? 600 : between(-40, 120);
			const dear = between(0.01, 0.1);
			return [
				() => costsOutside(middle, middle, dear),
				() => costsOutside(middle - 30, middle + 30, dear),
				() => costsUnder(middle, dear),
				() => costsOver(middle, dear)
			][r % 4]!();
		});
		const parts = columns.map(() =>
			rows.map((_, r) => (r === 0 ? 1 : random() < 0.6 ? between(-0.4, 1) : 0))
		);
		return { random, columns, rows, parts };
	}

	it('comes to what HiGHS comes to, whatever was asked before, and is bounded by the prices of that', () => {
		let dear = 0;
		let tight = 0;
		let sent = 0;
		for (let seed = 1; seed <= 25; seed++) {
			const { random, columns, rows, parts } = made(seed);
			const program = new ConvexProgram(columns, rows, Float64Array.from(parts.flat()));
			const asked = [...columns.keys()].slice(0, 12);
			for (let question = 0; question < 16; question++) {
				// another column or two, one more or one less, and a row that wants something else
				for (let n = 0; n < 2; n++) {
					const fresh = [...columns.keys()].filter((c) => !asked.includes(c));
					const other = fresh[Math.floor(random() * fresh.length)]!;
					const kind = random();
					if (kind < 0.6) asked[Math.floor(random() * asked.length)] = other;
					else if (kind < 0.8 && asked.length < 16) asked.push(other);
					else if (asked.length > 8) asked.splice(Math.floor(random() * asked.length), 1);
				}
				const row = Math.floor(random() * ROWS);
				const by = 40 * (random() - 0.5);
				rows[row] = { ...rows[row]!, breaks: rows[row]!.breaks.map((at) => at + by) };
				for (const [at, to] of rows[row].breaks.entries()) program.shift(row, at, to);
				const their = leastByHighs(
					asked.map((c) => columns[c]!),
					rows,
					asked.map((c) => parts[c]!)
				);
				const numbers = Int32Array.from(asked);
				const bound = program.prices.bound(numbers, asked.length);
				expect(bound).toBeLessThanOrEqual(their + 1e-6);
				if (their > 0.01) dear += 1;
				if (bound > 0.5 * their && their > 0.01) tight += 1;
				// sent away under a limit only if it costs as much
				const limit = their * (0.5 + random());
				const under = program.least(numbers, asked.length, limit);
				if (under < limit) expect(under).toBeCloseTo(their, 5);
				else {
					sent += 1;
					expect(their).toBeGreaterThanOrEqual(limit - 1e-6);
				}
				expect(program.least(numbers, asked.length)).toBeCloseTo(their, 5);
				// and the numbers that were found cost that
				const amounts = asked.map((c) => program.found(c));
				const costs = [
					...asked.map((c, i) => costAt(columns[c]!, amounts[i]!)),
					...rows.map((curve, r) =>
						costAt(
							curve,
							asked.reduce((sum, c, i) => sum + parts[c]![r]! * amounts[i]!, 0)
						)
					)
				];
				expect(costs.reduce((sum, cost) => sum + cost, 0)).toBeCloseTo(their, 4);
				// now and then from nothing
				if (random() < 0.8) {
					program.keep();
					// what is bounded by its own prices is bounded by what it costs (strong duality)
					expect(program.prices.bound(numbers, asked.length)).toBeCloseTo(their, 4);
				} else program.forget();
			}
		}
		expect(dear).toBeGreaterThan(200);
		expect(tight).toBeGreaterThan(50);
		expect(sent).toBeGreaterThan(100);
	});
});

describe('the best doses of a class', () => {
	it.each(['tide-25-tight', 'striders-45', 'skiff-45-3-pins', 'chalk-75-3-pins'])(
		'cost no more than any that may be given, and rounded not much more: %s',
		(name) => {
			const { kept, objective, pool } = searchOf(instances().find((one) => one.name === name)!);
			const random = seededRandom(6);
			const { pieces } = searched(begun(kept, pool, random, {}), pool, objective, random, 20_000);
			let rounding = 0;
			for (let walk = 0; walk < 40; walk++) {
				// some steps away from a class that is good
				let now = new Candidate(pool.facts, pieces);
				let next = new Candidate(pool.facts);
				for (let step = 0; step < walk % 4; step++)
					if (change(now, next, { pool, random })) [now, next] = [next, now];
				const cost = objective.costOf(now);
				const least = objective.leastOf(now);
				expect(least).toBeLessThanOrEqual(cost + 1e-6);
				if (walk % 3 === 0) objective.doses.take(new Candidate(pool.facts, now.pieces()));
				const found = rounded(now.pieces(), pool, objective);
				expect(found.cost).toBeCloseTo(objective.cost(found.pieces), 9);
				expect(found.pieces.map(({ option }) => option.index)).toEqual(
					now.pieces().map(({ option }) => option.index)
				);
				rounding += found.cost - least;
			}
			expect(rounding / 40).toBeLessThan(0.25);
		}
	);
});

describe('doses that can be only one', () => {
	it.each(['tide-45', 'striders-25-tight-2-pins', 'chalk-75-3-pins'])(
		'cost what the class costs, with all that is asked for: %s',
		(name) => {
			const { base, setting } = instances().find((one) => one.name === name)!;
			const wishes: Wishes = {
				lengthen: ['hamstrings', 'adductors'],
				mostEffort: 2.2,
				weights: { balance: 3 },
				...(name.includes('pins') ? {} : { mostNew: 3 })
			};
			const offered = optionsFor(base, wishes, setting);
			const kept = keptPieces(base, setting, offered.length);
			const free = factsFor([...offered, ...kept.map(({ option }) => option)], wishes, setting);
			const random = seededRandom(4);
			const costs = { balance: 0, shape: 0, rules: 0 };
			for (let n = 0; n < 12; n++) {
				const { pieces } = searched(
					begun(kept, new Pool(free), random, wishes),
					new Pool(free),
					new Objective(base, free, wishes, setting),
					random,
					40 * n
				);
				// each movement of the class in the dose that it has there, and the class as long as that makes it
				const options = pieces.map(({ option, amount }, index) => ({
					...option,
					index,
					amounts: [option.amounts[amount]!],
					workSeconds: [option.workSeconds[amount]!],
					usual: 0
				}));
				const fixed = pieces.map(({ section }, i) => ({ option: options[i]!, amount: 0, section }));
				const facts = factsFor(options, wishes, setting);
				const draft = new Candidate(facts, fixed);
				const lengthSeconds = new Objective(base, facts, {}, setting).secondsOf(fixed);
				const objective = new Objective({ ...base, lengthSeconds }, facts, wishes, setting);
				expect(objective.leastOf(draft)).toBeCloseTo(objective.costOf(draft), 5);
				const parts = objective.parts(fixed);
				costs.balance += parts.balance;
				costs.shape += parts.shape;
				costs.rules += parts.rules;
			}
			// each of these rows had something to say
			for (const points of Object.values(costs)) expect(points).toBeGreaterThan(1);
		}
	);
});

describe('a refined class', () => {
	it('costs no more than it did, and its like are of other movements', () => {
		const { kept, objective, pool } = searchOf(
			instances().find(({ name }) => name === 'striders-25-tight-2-pins')!
		);
		const random = seededRandom(2);
		const start = searched(begun(kept, pool, random, {}), pool, objective, random, 3000);
		const founds = refined(start.pieces, pool, objective, random, 6000, 0.3);
		expect(founds[0]!.cost).toBeLessThan(start.cost - 0.3);
		const given = founds.map(({ pieces }) =>
			pieces
				.map(({ option }) => option.index)
				.sort()
				.join()
		);
		expect(new Set(given).size).toBe(founds.length);
		expect(founds.map(({ cost }) => cost)).toEqual(founds.map(({ cost }) => cost).toSorted((a, b) => a - b));
		for (const { pieces, cost } of founds) {
			expect(pieces.filter(({ option }) => option.kept)).toEqual(kept);
			const slugs = pieces.flatMap(({ option }) => option.movements);
			expect(new Set(slugs).size).toBe(slugs.length);
			expect(objective.leastOf(new Candidate(pool.facts, pieces))).toBeCloseTo(cost, 5);
			expect(rounded(pieces, pool, objective).cost).toBeGreaterThan(cost - 1e-6);
		}
	});
});
