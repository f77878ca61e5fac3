import { USUAL_PACE } from '../../src/lib/core/pace';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS, LEGS, mainDirection, type Direction } from '../../src/lib/core/anatomy';
import { analysePlan } from '../../src/lib/core/analysis';
import {
	classRing,
	directionParts,
	movementRing,
	runningOrder,
	score,
	recentBalanceText,
	ticksOf,
	strengthParts,
	wedge
} from '../../src/lib/core/view-models';
import { preset } from '../../src/lib/core/group';
import type { Movement } from '../../src/lib/core/movement';
import {
	rangeSeconds,
	shareText,
	shortDirections,
	strengthShare,
	sumOfOrbits,
	type Targets
} from '../../src/lib/core/orbit';
import {
	applyEdit,
	emptyPlan,
	itemsOf,
	mirror,
	newItem,
	type ClassPlan,
	type Item
} from '../../src/lib/core/plan';
import { anyPlan } from './arbitrary';

const targets = preset('runners').targets;
const read = (plan: ClassPlan, t: Targets = targets) =>
	analysePlan(plan, { pace: USUAL_PACE, catalogue: CATALOGUE, find: findMovement, targets: t });
const movement = (slug: string) => findMovement(slug) as Movement;

function planWith(slug: string, change: Partial<Item> = {}): ClassPlan {
	const empty = emptyPlan('A class', '18:30', 1800);
	const item = { ...newItem(empty, movement(slug)), ...change };
	return applyEdit(empty, { do: 'insert', at: { sectionId: 'build', index: 0 }, block: item });
}

describe('the orbit, worked by hand', () => {
	it('a hold with sides: the lead leg first left, then right', () => {
		// pigeon, full, 42 s a side: lead F115 AB35 ER50, trail E5 (under 10: not counted)
		const { orbit } = read(planWith('pigeon-fold', { form: 'full', mode: 'passive', dose: { amount: 42 } }));
		for (const leg of LEGS)
			expect(orbit.range[leg]).toEqual({
				flexion: 42,
				extension: 0,
				abduction: 42,
				adduction: 0,
				internalRotation: 0,
				externalRotation: 42
			});
		expect(orbit.rangeTotalSeconds).toBe(252);
		expect(orbit.workSeconds).toBe(84);
		expect(orbit.passiveSeconds).toBe(84);
		expect(strengthShare(orbit)).toBe(0);
	});

	it('a swing gives each end half; both legs at once', () => {
		// 8 small repetitions of 4.6 s: 37 s, half of them turned in
		const { orbit } = read(planWith('supine-leg-roll', { dose: { amount: 8 } }));
		expect(orbit.range.left.internalRotation).toBe(18.5);
		expect(orbit.range.right.externalRotation).toBe(18.5);
	});

	it('one side only gives one leg only', () => {
		const { orbit } = read(planWith('clam', { oneSided: { reason: 'the tighter side' } }));
		expect(orbit.strength.left.externalRotation).toBe(46);
		expect(orbit.strength.right.externalRotation).toBe(0);
	});

	it('strength needs a working mode and enough effort; range does not', () => {
		const strong = (m: Partial<Item>) => strengthShare(read(planWith('low-lunge', m)).orbit);
		expect(strong({ form: 'stronger', mode: 'active' })).toBe(1);
		expect(strong({ form: 'stronger', mode: 'passive' })).toBe(0);
		expect(strong({ form: 'full', mode: 'active' })).toBe(0);
		expect(
			read(planWith('low-lunge', { mode: 'passive', dose: { amount: 45 } })).orbit.range.left.extension
		).toBe(45);
	});

	it('rest is no work, but the joint is where it is', () => {
		const { orbit } = read(planWith('childs-pose', { dose: { amount: 5 } }));
		expect(orbit.workSeconds).toBe(0);
		expect(orbit.range.left.flexion).toBe(35);
	});
});

describe('verdicts', () => {
	it('say by how many points and by how many seconds', () => {
		const { balance } = read(planWith('pigeon-fold', { dose: { amount: 6 } }));
		// a third of 252 s each: flexion 33.3 % against 12-25
		expect(balance.directions.flexion).toMatchObject({ standing: 'over' });
		expect(balance.directions.flexion.offByPercent).toBeCloseTo(33.333 - 25, 2);
		expect(balance.directions.extension).toMatchObject({ standing: 'short', sharePercent: 0 });
	});

	it('the missing seconds, added, reach the band exactly', () => {
		fc.assert(
			fc.property(anyPlan(3), (plan) => {
				const { orbit, balance } = read(plan);
				fc.pre(orbit.rangeTotalSeconds > 0);
				for (const d of DIRECTIONS) {
					const { standing, offBySeconds, band } = balance.directions[d];
					const after = (rangeSeconds(orbit, d) + offBySeconds) / (orbit.rangeTotalSeconds + offBySeconds);
					if (standing === 'short') expect(100 * after).toBeGreaterThanOrEqual(band.minPercent - 1e-9);
					if (standing === 'over' && rangeSeconds(orbit, d) + offBySeconds > 0)
						expect(100 * after).toBeLessThanOrEqual(band.maxPercent + 1e-9);
					if (standing === 'within') expect(offBySeconds).toBe(0);
				}
			}),
			{ numRuns: 100 }
		);
	});

	it.each([
		[66.667, 12, 25, '67'],
		[50.8, 30, 50, '51'],
		[50.3, 30, 50, '50.3'],
		[50.03, 30, 50, '50.03'],
		[29.96, 30, 50, '29.96'],
		[50, 30, 50, '50'],
		// a band with halves, as those of half the width have
		[37.4, 37.5, 50, '37']
	])('%d of %d-%d is shown as %s, on its side of the band', (sharePercent, minPercent, maxPercent, text) => {
		const standing = sharePercent < minPercent ? 'short' : sharePercent > maxPercent ? 'over' : 'within';
		const band = { minPercent, maxPercent };
		expect(shareText({ standing, sharePercent, band, offByPercent: 0, offBySeconds: 0 })).toBe(text);
	});

	it('an empty class has no share of anything', () => {
		const { balance } = read(emptyPlan('A class', '18:30', 1800));
		for (const d of DIRECTIONS) expect(balance.directions[d].sharePercent).toBe(0);
	});
});

describe('the orbit, for any plan', () => {
	const run = (check: (plan: ClassPlan) => void) =>
		fc.assert(fc.property(anyPlan(), check), { numRuns: 100 });

	it('is the same for both legs when both sides are given', () => {
		run((plan) => {
			const { orbit } = read(plan);
			for (const d of DIRECTIONS) {
				expect(orbit.range.left[d]).toBeCloseTo(orbit.range.right[d], 6);
				expect(orbit.strength.left[d]).toBe(orbit.strength.right[d]);
			}
		});
	});

	it('swaps the legs when the plan is mirrored', () => {
		run((plan) => {
			const oneSided = itemsOf(plan).reduce(
				(p, item) =>
					applyEdit(p, { do: 'setItem', itemId: item.id, change: { oneSided: { reason: 'a test' } } }),
				plan
			);
			const [a, b] = [read(oneSided).orbit, read(mirror(oneSided)).orbit];
			for (const d of DIRECTIONS) expect(a.range.left[d]).toBeCloseTo(b.range.right[d], 6);
		});
	});

	it('its shares add up to one, and its parts to the whole', () => {
		run((plan) => {
			const analysis = read(plan);
			const { orbit, balance } = analysis;
			fc.pre(orbit.rangeTotalSeconds > 0);
			const sum = DIRECTIONS.reduce((s, d) => s + balance.directions[d].share, 0);
			expect(sum).toBeCloseTo(1, 9);
			const total = (parts: { seconds: number }[]) => parts.reduce((s, p) => s + p.seconds, 0);
			expect(total(directionParts(analysis, 'flexion'))).toBeCloseTo(rangeSeconds(orbit, 'flexion'), 6);
			expect(total(strengthParts(analysis))).toBe(orbit.strengthWorkSeconds);
			expect(orbit.strengthWorkSeconds).toBeLessThanOrEqual(orbit.workSeconds);
		});
	});
});

describe('what is drawn', () => {
	it('the ring has twelve sectors, mirrored left and right for a balanced class', () => {
		const { orbit, balance } = read(planWith('supine-leg-roll'));
		const ring = classRing(orbit, balance);
		expect(ring).toHaveLength(12);
		for (const d of DIRECTIONS) {
			const [left, right] = LEGS.map((leg) => ring.find((s) => s.leg === leg && s.direction === d)!);
			expect(left!.label.x + right!.label.x).toBeCloseTo(200, 1);
			expect(left!.label.y).toBeCloseTo(right!.label.y, 1);
			expect(left!.range === '').toBe(right!.range === '');
		}
	});

	it('a wedge without thickness is nothing', () => {
		expect(wedge(36, 36, 0, 30)).toBe('');
		expect(wedge(36, 86, 0, 90)).toBe('M100 14A86 86 0 0 1 186 100L136 100A36 36 0 0 0 100 64Z');
	});

	it('a movement’s ring shows the lead leg on its own half', () => {
		const half = (leads: 'left' | 'right') =>
			movementRing(movement('low-lunge'), leads).find((s) => s.direction === 'extension' && s.range)!.leg;
		expect(half('left')).toBe('right'); // the trail hip is the stretched one
		expect(half('right')).toBe('left');
	});

	it.each<[string, Direction | null]>([
		['clam', 'externalRotation'],
		['cobra', 'extension'],
		['plank', null],
		['supine-inward-knee-drop', 'internalRotation'],
		['warrior-2', 'abduction']
	])('the main direction of %s is %s', (slug, direction) => {
		expect(mainDirection(movement(slug).action)).toBe(direction);
	});

	it('the score covers the class: blocks in order, body levels, halves for the sides', () => {
		fc.assert(
			fc.property(anyPlan(2), (plan) => {
				const analysis = read(plan);
				const drawn = score(analysis);
				const { totalSeconds } = analysis.timeline;
				expect(drawn.spanSeconds).toBe(Math.max(totalSeconds, plan.lengthSeconds));
				for (const [i, block] of drawn.blocks.entries()) {
					expect(block.x).toBeGreaterThanOrEqual(
						(drawn.blocks[i - 1]?.x ?? 0) + (drawn.blocks[i - 1]?.width ?? 0)
					);
					expect(block.level).toBeGreaterThanOrEqual(0);
				}
				const width = drawn.sections.reduce((sum, s) => sum + s.width, 0);
				expect(width).toBe(totalSeconds);
				expect(ticksOf(drawn.spanSeconds).length).toBeLessThanOrEqual(16);
			}),
			{ numRuns: 60 }
		);
		const halves = score(read(planWith('clam'))).blocks.flatMap((b) => b.work.map((w) => w.half));
		expect(halves).toEqual(['upper', 'lower']);
	});

	it('the running order adds up to the clock, row by row', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const analysis = read(plan);
				const order = runningOrder(analysis);
				const sum = order.reduce((s, section) => s + section.seconds, 0);
				expect(sum).toBe(analysis.timeline.totalSeconds);
				for (const { rows, seconds } of order.flatMap((s) => s.blocks))
					if (rows.length) expect(rows.reduce((s, r) => s + r.seconds, 0)).toBe(seconds);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('a class on top of the last ones', () => {
	const { orbit: folds } = read(planWith('forward-fold'));
	const { orbit: lunge } = read(planWith('low-lunge'));

	it('is short of what all of them together gave too little of', () => {
		expect(shortDirections([], targets)).toEqual([]);
		expect(shortDirections([folds, folds], targets)).toContain('extension');
		const many = shortDirections([folds, ...Array.from({ length: 9 }, () => lunge)], targets);
		expect(many).not.toContain('extension');
	});

	it('says so in words, and nothing where there was no class before', () => {
		expect(recentBalanceText(folds, { classes: 0, orbit: sumOfOrbits([]) }, targets)).toBeNull();
		const words = recentBalanceText(
			folds,
			{ classes: 3, orbit: sumOfOrbits([folds, folds, folds]) },
			targets
		)!;
		expect(words).toMatch(/^With the last 3 classes: too little .*extension.*; too much flexion\.$/);
		expect(recentBalanceText(lunge, { classes: 1, orbit: folds }, targets)).toMatch(/^With the last class: /);
	});
});
