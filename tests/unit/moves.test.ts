/** The steps of the planner's search: whatever chance asks for, what comes out is a class that may be. */
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { SECTION_KINDS } from '../../src/lib/core/plan';
import {
	begun,
	keptPieces,
	nearest,
	optionsFor,
	Pool,
	seededRandom,
	type Option,
	type Piece
} from '../../src/lib/core/propose';
import { changed } from '../../src/lib/core/propose/moves';
import { instances } from '../../bench/planner/instances';

const secondsOf = (pieces: readonly Piece[]) =>
	pieces.reduce((sum, { option, amount }) => sum + option.aroundSeconds + option.workSeconds[amount]!, 0);

/** A class of an instance and everything that so many steps, each from the one before, lead to. */
function walk(name: string, steps: number): { kept: Piece[]; classes: Piece[][] } {
	const { base, setting } = instances().find((instance) => instance.name === name)!;
	const offered = optionsFor(base, {}, setting);
	const kept = keptPieces(base, setting, offered.length);
	const pool = new Pool(offered);
	const random = seededRandom(3);
	const classes = [begun(kept, pool, random, {})];
	for (let step = 0; step < steps; step++) {
		const next = changed(classes.at(-1)!, pool, random);
		// as long as a class is: steps that add and steps that take away are not equally many
		if (next && next.length <= 40) classes.push(next);
	}
	return { kept, classes };
}

describe('a step of the search', () => {
	const { kept, classes } = walk('striders-25-tight-2-pins', 4000);

	it('is taken often enough to lead anywhere', () => {
		expect(kept).toHaveLength(2);
		expect(classes.length).toBeGreaterThan(1500);
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

	it('never changes the class that it comes from', () => {
		const { base, setting } = instances().find(({ name }) => name === 'skiff-25')!;
		const pool = new Pool(optionsFor(base, {}, setting));
		const random = seededRandom(8);
		const pieces = Object.freeze(begun([], pool, random, {}).map((piece) => Object.freeze(piece)));
		const before = pieces.map(({ option, amount, section }) => [option.index, amount, section]);
		for (let step = 0; step < 500; step++) changed(pieces, pool, random);
		expect(pieces.map(({ option, amount, section }) => [option.index, amount, section])).toEqual(before);
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

describe('a class to begin with', () => {
	it('has one thing in each part, and what is asked for', () => {
		const { base, setting } = instances().find(({ name }) => name === 'tide-25')!;
		const wishes = { toward: 'low-lunge', must: ['clam'] };
		const pieces = begun([], new Pool(optionsFor(base, wishes, setting)), seededRandom(1), wishes);
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
		[[30, 10, 20], 11, 1]
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
