/** The steps of the planner's search: whatever chance asks for, what comes out is a class that may be. */
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { SECTION_KINDS } from '../../src/lib/core/plan';
import {
	begun,
	change,
	Candidate,
	factsFor,
	type Means,
	nearest,
	type Option,
	optionsFor,
	type Piece,
	points,
	Pool,
	searched,
	seededRandom
} from '../../src/lib/core/propose';
import { instances } from '../../bench/planner/instances';
import { searchOf } from '../../bench/planner/plans';

const secondsOf = (pieces: readonly Piece[]) =>
	pieces.reduce((sum, { option, amount }) => sum + option.aroundSeconds + option.workSeconds[amount]!, 0);

/**
 * A class of an instance and everything that so many steps, each from the one before, lead to: with doses, or with doses
 * still to be found and what each movement seems to add.
 */
function walk(name: string, steps: number, summed = true) {
	const instance = instances().find((one) => one.name === name)!;
	const { kept, objective, pool } = searchOf(instance);
	const { facts } = objective;
	const random = seededRandom(3);
	const drafts = [new Candidate(facts, begun(kept, pool, random, {}), summed)];
	const means: Means = {
		pool,
		random,
		...(summed ? {} : { adds: (...place) => objective.addedBy(...place) })
	};
	for (let step = 0; step < steps; step++) {
		const next = new Candidate(facts, [], summed);
		// as long as a class is: steps that add and steps that take away are not equally many
		if (change(drafts.at(-1)!, next, means) && next.count <= 40) drafts.push(next);
	}
	return { kept, drafts, objective, classes: drafts.map((draft) => draft.pieces()) };
}

describe.each([
	['with doses', true],
	['with doses still to be found', false]
])('a step of the search %s', (_, summed) => {
	const { kept, classes } = walk('striders-25-tight-2-pins', 2000, summed);

	it('is taken often enough to lead anywhere', () => {
		expect(kept).toHaveLength(2);
		expect(classes.length).toBeGreaterThan(700);
		expect(new Set(classes.map((pieces) => pieces.length)).size).toBeGreaterThan(5);
	});

	it('leaves every movement where it may stand, once, in a dose that it has, part after part', () => {
		for (const pieces of classes) {
			const slugs = pieces.map(({ option }) => option.movements[0]);
			expect(new Set(slugs).size).toBe(slugs.length);
			for (const [i, { option, amount, section }] of pieces.entries()) {
				if (!option.kept) expect(option.sections.has(SECTION_KINDS[section]!)).toBe(true);
				expect(option.workSeconds[amount]).toBeDefined();
				expect(section).toBeGreaterThanOrEqual(pieces[i - 1]?.section ?? 0);
			}
		}
	});

	it('leaves what is there already in its part, in its order and in its dose', () => {
		for (const pieces of classes) expect(pieces.filter(({ option }) => option.kept)).toEqual(kept);
	});
});

describe('a step of the search', () => {
	const { drafts, objective, classes } = walk('striders-25-tight-2-pins', 4000);

	it('never changes the class that it comes from', () => {
		const written = drafts.map((draft) => JSON.stringify([draft.pieces(), [...draft.sums]]));
		const pool = new Pool(objective.facts);
		const random = seededRandom(8);
		const next = new Candidate(objective.facts);
		for (const draft of drafts.slice(0, 200))
			for (let step = 0; step < 5; step++) change(draft, next, { pool, random });
		expect(drafts.map((draft) => JSON.stringify([draft.pieces(), [...draft.sums]]))).toEqual(written);
	});

	it('keeps all sums of a class as they are when they are counted anew', () => {
		for (const draft of drafts) {
			const anew = new Candidate(objective.facts, draft.pieces());
			for (const [c, sum] of draft.sums.entries()) expect(sum).toBeCloseTo(anew.sums[c]!, 6);
			for (const [s, seconds] of draft.parts.entries()) expect(seconds).toBeCloseTo(anew.parts[s]!, 6);
		}
	});

	it('is sent away under a limit only when it costs as much, and costs the same without one', () => {
		let away = 0;
		for (const draft of drafts) {
			const cost = objective.cost(draft.pieces());
			expect(objective.costOf(draft)).toBeCloseTo(cost, 6);
			for (const limit of [5, 20, 60]) {
				const under = objective.costOf(draft, limit);
				if (under < limit) expect(under).toBeCloseTo(cost, 6);
				else {
					away += 1;
					expect(cost).toBeGreaterThanOrEqual(limit - 1e-6);
				}
			}
		}
		expect(away).toBeGreaterThan(100);
	});

	it('costs more by its way alone where that counts several times', () => {
		for (const draft of drafts) {
			const { flow } = objective.parts(draft.pieces());
			const cost = objective.costOf(draft);
			expect(objective.costOf(draft, Infinity, 9)).toBeCloseTo(cost + 8 * flow, 6);
		}
	});

	it('keeps the length of a class nearly, more often than not, also where it adds or takes away', () => {
		const off = classes
			.slice(1)
			.map((pieces, i) => ({
				seconds: Math.abs(secondsOf(pieces) - secondsOf(classes[i]!)),
				blocks: Math.abs(pieces.length - classes[i]!.length)
			}))
			.filter(({ blocks }) => blocks === 1);
		expect(off.length).toBeGreaterThan(100);
		// a block takes a minute or two: half of the steps that add or remove one change less than half of that
		const median = off.map(({ seconds }) => seconds).sort((a, b) => a - b)[off.length >> 1]!;
		expect(median).toBeLessThan(45);
	});
});

describe('a step of the search with doses still to be found', () => {
	it('often makes a part end one movement earlier or later, the order as it was', () => {
		const { classes } = walk('tide-45', 2000, false);
		const passedOn = classes.slice(1).filter((pieces, i) => {
			const before = classes[i]!;
			const differ = pieces.filter(({ section }, at) => section !== before[at]?.section);
			const names = (all: readonly Piece[]) => all.map(({ option }) => option.movements[0]).join();
			return names(pieces) === names(before) && differ.length === 1;
		});
		expect(passedOn.length).toBeGreaterThan(30);
	});
});

describe('what a movement seems to add', () => {
	const { objective, pool, kept } = searchOf(instances().find(({ name }) => name === 'chalk-45')!);
	const { facts } = objective;

	it('has the way from the one before and on to the next in it', () => {
		const random = seededRandom(7);
		const moved = pool.bySection[1]!;
		let ways = 0;
		for (let n = 0; n < 300; n++) {
			const [before, option, after] = [0, 0, 0].map(() => moved[random.below(moved.length)]);
			const flowOf = (...indices: number[]) =>
				objective.parts(indices.map((index) => ({ option: facts.options[index]!, amount: 0, section: 1 })))
					.flow;
			const added = objective.addedBy(option!, 1, before!, after!) - objective.doses.addedBy(option!, 1);
			expect(added).toBeCloseTo(flowOf(before!, option!, after!) - flowOf(before!), 9);
			const first = objective.addedBy(option!, 1, -1, -1) - objective.doses.addedBy(option!, 1);
			expect(first).toBeCloseTo(flowOf(option!), 9);
			if (added > 5 * points.POINTS.lostSecond) ways += 1;
		}
		expect(ways).toBeGreaterThan(100);
	});

	it('decides what comes in, of some that are drawn', () => {
		const random = seededRandom(9);
		const now = new Candidate(facts, begun(kept, pool, random, {}), false);
		const next = new Candidate(facts, [], false);
		const points = facts.options.map(() => random());
		const cameIn = (adds?: Means['adds']) => {
			const came: number[] = [];
			for (let step = 0; step < 3000; step++)
				if (change(now, next, { pool, random, ...(adds ? { adds } : {}) }) && next.count === now.count + 1)
					came.push(...next.pieces().flatMap(({ option }) => option.index));
			const had = new Set(now.pieces().map(({ option }) => option.index));
			const fresh = came.filter((index) => !had.has(index));
			expect(fresh.length).toBeGreaterThan(200);
			return fresh.reduce((sum, index) => sum + points[index]!, 0) / fresh.length;
		};
		// the least of four is a fifth of the whole way up in the mean, any one a half; other forms of one are left out
		expect(cameIn()).toBeGreaterThan(0.42);
		expect(cameIn((option) => points[option]!)).toBeLessThan(0.3);
	});
});

describe('a search', () => {
	it('says what its class costs with the way counted once, and is never worse than what it began with', () => {
		const { kept, objective, pool } = searchOf(instances().find(({ name }) => name === 'striders-45')!);
		const random = seededRandom(4);
		let start = begun(kept, pool, random, {});
		for (const steps of [0, 30, 3000, 300])
			for (const warm of [4, 0.3]) {
				const { pieces, cost } = searched(start, pool, objective, random, steps, warm);
				expect(cost).toBeCloseTo(objective.cost(pieces), 6);
				expect(cost).toBeLessThanOrEqual(objective.cost(start) + 1e-6);
				// long enough to have come down to the way as it is: then it finds better ones
				if (steps === 3000 && warm === 4) expect(cost).toBeLessThan(objective.cost(start) - 1);
				start = pieces;
			}
	});
});

describe('a class to begin with', () => {
	it('has one thing in each part, and what is asked for', () => {
		const { base, setting } = instances().find(({ name }) => name === 'tide-25')!;
		const wishes = { toward: 'low-lunge', must: ['clam'] };
		const pieces = begun(
			[],
			new Pool(factsFor(optionsFor(base, wishes, setting), wishes, setting)),
			seededRandom(1),
			wishes
		);
		expect(new Set(pieces.map(({ section }) => section)).size).toBe(SECTION_KINDS.length);
		const slugs = pieces.flatMap(({ option }) => option.movements);
		expect(slugs).toContain('low-lunge');
		expect(slugs).toContain('clam');
		const peak = pieces.filter(({ section }) => SECTION_KINDS[section] === 'peak');
		expect(peak.some(({ option }) => option.movements[0] === 'low-lunge')).toBe(true);
		expect(CATALOGUE).toContain(findMovement('low-lunge'));
	});
});

describe('the nearest of some values', () => {
	it.each([
		[[10], 99, 0],
		[[10, 20, 30], 24, 1],
		[[10, 20, 30], 26, 2],
		// as near: the first
		[[10, 20], 15, 0],
		[[10, 20, 30], 31, 2]
	])('of %j to %d is at %d', (values, wanted, at) => {
		expect(nearest(values, wanted)).toBe(at);
	});

	it('is among the options of a pool what a plain search of all says', () => {
		const { base, setting } = instances().find(({ name }) => name === 'skiff-25')!;
		const random = seededRandom(5);
		for (const { workSeconds } of optionsFor(base, {}, setting) as Option[]) {
			const wanted = random.below(400);
			const least = Math.min(...workSeconds.map((seconds) => Math.abs(seconds - wanted)));
			expect(Math.abs(workSeconds[nearest(workSeconds, wanted)]! - wanted)).toBe(least);
		}
	});
});
