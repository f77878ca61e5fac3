/**
 * Whether the objective knows a class: classes written by hand stand before worsened variants of themselves, and before
 * lists that a planner made which knew no classes. docs/planner.md keeps the figures; `npm run bench` prints them with
 * more seeds.
 */
import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { listClasses, taughtClasses } from '../../bench/planner/taught/read';
import { WORSENINGS } from '../../bench/planner/worsen';
import { findMovement } from '../../src/lib/catalogue';
import type { Movement } from '../../src/lib/core/movement';
import { movementSimilarity, canLink, GUARDS, TERMS, worthOf } from '../../src/lib/core/propose';
import { seeded } from '../reference/seeded';

const movement = (slug: string) => findMovement(slug) as Movement;
/** None was held out: links and guards were chosen with all of them in view. */
const classes = taughtClasses();
const SEEDS = [1, 2, 3, 4, 5, 6];

describe('what a class is worth', () => {
	const worths = new Map(
		classes.map((taught) => [taught, worthOf(taught.plan, findMovement, taught.group, USUAL_PACE).total])
	);
	const accuracy = Object.entries(WORSENINGS).map(([kind, worsen]) => {
		const won = [...worths].flatMap(([{ plan, group }, own]) =>
			SEEDS.map((seed) => {
				const other = worthOf(worsen(plan, seeded(77 * seed + 1)), findMovement, group, USUAL_PACE).total;
				return own > other ? 1 : own === other ? 0.5 : 0;
			})
		);
		return { kind, share: won.reduce<number>((a, b) => a + b, 0) / won.length };
	});

	it.each(accuracy.map(({ kind, share }) => [kind, share] as const))(
		'tells a class from one: %s',
		(_kind, share) => {
			expect(share).toBeGreaterThanOrEqual(0.7);
		}
	);

	it('tells it in 85 of 100 pairs over all kinds', () => {
		const mean = accuracy.reduce((sum, { share }) => sum + share, 0) / accuracy.length;
		expect(mean).toBeGreaterThanOrEqual(0.85);
	});

	it('puts classes before lists of the same kind of group', () => {
		const pairs = classes.flatMap(({ group, plan }) => {
			const own = worthOf(plan, findMovement, group, USUAL_PACE).total;
			return listClasses()
				.filter((list) => list.group.preset === group.preset)
				.map((list) => Number(own > worthOf(list.plan, findMovement, group, USUAL_PACE).total));
		});
		expect(pairs.length).toBeGreaterThanOrEqual(classes.length);
		expect(pairs.reduce((a, b) => a + b, 0) / pairs.length).toBeGreaterThanOrEqual(0.95);
	});

	it('says what each part counts, and adds up', () => {
		const { plan, group } = classes[0]!;
		const { total, parts } = worthOf(plan, findMovement, group, USUAL_PACE);
		expect(Object.keys(parts).sort()).toEqual([...Object.keys(TERMS), ...Object.keys(GUARDS)].sort());
		expect(Object.values(parts).reduce((a, b) => a + b, 0)).toBeCloseTo(total, 9);
		for (const [id, { points, cap }] of Object.entries(TERMS))
			expect(parts[id as keyof typeof parts], id).toBeLessThanOrEqual(points * cap + 1e-9);
		for (const id of Object.keys(GUARDS)) expect(parts[id as keyof typeof parts], id).toBeLessThanOrEqual(0);
	});

	it('an empty class is worth nothing', () => {
		const { plan, group } = classes[0]!;
		const empty = { ...plan, sections: plan.sections.map((section) => ({ ...section, blocks: [] })) };
		expect(worthOf(empty, findMovement, group, USUAL_PACE).total).toBe(0);
	});
});

describe('what goes with what', () => {
	it.each([
		['low-lunge', 'runner-lunge'],
		['low-lunge', 'low-lunge-knee-lift'],
		['90-90-sit', '90-90-fold'],
		['downward-dog', 'low-lunge'],
		['clam', 'reverse-clam'],
		['warrior-2', 'warrior-2-straighten']
	])('%s goes on into %s', (a, b) => {
		expect(canLink(movement(a), movement(b))).toBe(true);
	});

	it.each([
		['supine-twist', 'savasana'],
		['warrior-2', 'clam'],
		['frog', 'standing-leg-back'],
		['side-lunge-shift', 'goddess-side-bend'],
		['bird-reach', 'split-squat']
	])('%s does not go on into %s', (a, b) => {
		expect(canLink(movement(a), movement(b))).toBe(false);
	});

	it('is alike to itself, both ways round, and to its family', () => {
		expect(movementSimilarity(movement('clam'), movement('clam'))).toBe(1);
		expect(movementSimilarity(movement('clam'), movement('frog'))).toBe(
			movementSimilarity(movement('frog'), movement('clam'))
		);
		expect(movementSimilarity(movement('pigeon-fold'), movement('pigeon-upright'))).toBeGreaterThanOrEqual(
			0.8
		);
		expect(movementSimilarity(movement('savasana'), movement('cobra'))).toBeLessThan(0.5);
	});
});
