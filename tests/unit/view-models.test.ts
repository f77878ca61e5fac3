import { USUAL_PACE } from '../../src/lib/core/pace';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import { previewRepair, analysePlan, type Analysis } from '../../src/lib/core/analysis';
import { phaseSeconds } from '../../src/lib/core/clock';
import {
	beforeAfter,
	changesInWords,
	classRing,
	directionParts,
	drawScore,
	LEVELS,
	movementRing,
	phaseParts,
	runningOrder,
	score,
	shiftsBetween,
	strengthParts,
	ticksOf
} from '../../src/lib/core/view-models';
import { preset } from '../../src/lib/core/group';
import { rangeSeconds } from '../../src/lib/core/orbit';
import {
	applyEdit,
	comparePlans,
	emptyPlan,
	itemsOf,
	mirror,
	newItem,
	type ClassPlan,
	type Item,
	unitWord
} from '../../src/lib/core/plan';
import { PlanWriter } from '../../src/lib/demo/build';
import { anyPlan } from './arbitrary';

const targets = preset('runners').targets;
const read = (plan: ClassPlan): Analysis =>
	analysePlan(plan, { pace: USUAL_PACE, catalogue: CATALOGUE, find: findMovement, targets });

/** A class of some movements in its build section. */
function classOf(slugs: readonly string[], lengthSeconds = 1800): ClassPlan {
	return slugs.reduce(
		(plan, slug, index) => {
			const item = newItem(plan, findMovement(slug)!);
			return applyEdit(plan, { do: 'insert', at: { sectionId: 'build', index }, block: item });
		},
		emptyPlan('Drawn', '18:30', lengthSeconds)
	);
}

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);

describe('the score says what the clock says', () => {
	it('for any class: sections side by side, blocks in order, all the work, nothing past the end', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const analysis = read(plan);
				const drawn = score(analysis);
				const { totalSeconds, entries } = analysis.timeline;
				expect(drawn.totalSeconds).toBe(totalSeconds);
				expect(drawn.spanSeconds).toBe(Math.max(totalSeconds, plan.lengthSeconds));
				expect(sum(drawn.sections.map((s) => s.width))).toBeCloseTo(totalSeconds, 6);
				drawn.sections.reduce((end, section) => {
					expect(section.x).toBeCloseTo(end, 6);
					return section.x + section.width;
				}, 0);
				drawn.blocks.reduce((end, block) => {
					expect(block.x).toBeGreaterThanOrEqual(end - 1e-6);
					expect(block.level).toBeGreaterThanOrEqual(0);
					return block.x + block.width;
				}, 0);
				const worked = entries.filter((e) => e.phase === 'work').map((e) => e.toSeconds - e.fromSeconds);
				expect(sum(drawn.blocks.flatMap((b) => b.work.map((w) => w.width)))).toBeCloseTo(sum(worked), 6);
			}),
			{ numRuns: 60 }
		);
	});

	it('every item is drawn, under the name of its movement', () => {
		fc.assert(
			fc.property(anyPlan(1, 8), (plan) => {
				const drawn = score(read(plan)).blocks;
				expect(new Set(drawn.map((b) => b.itemId))).toEqual(new Set(itemsOf(plan).map((i) => i.id)));
				for (const block of drawn) {
					const item = itemsOf(plan).find((i) => i.id === block.itemId)!;
					expect(block.name).toBe(findMovement(item.movement)!.english);
				}
			}),
			{ numRuns: 40 }
		);
	});

	it('standing is the top line, lying on the back is below sitting', () => {
		expect(LEVELS[0]).toBe('standing');
		expect(LEVELS.indexOf('supine')).toBeGreaterThan(LEVELS.indexOf('seated'));
	});

	it('the left leg leading is the upper half, the right the lower, both at once the whole line', () => {
		const { blocks } = score(read(classOf(['pigeon-fold', 'butterfly'])));
		expect(blocks.map((b) => b.work.map((w) => w.half))).toEqual([['upper', 'lower'], ['whole']]);
		const mirrored = score(read(mirror(classOf(['pigeon-fold', 'butterfly']))));
		expect(mirrored.blocks.map((b) => b.work.map((w) => w.half))).toEqual([['lower', 'upper'], ['whole']]);
	});

	it('a chain is drawn as items that belong together, once for each side', () => {
		const plan = classOf(['low-lunge', 'lizard']);
		const blockIds = itemsOf(plan).map((i) => i.id);
		const chained = applyEdit(plan, { do: 'chain', blockIds });
		const { blocks } = score(read(chained));
		const [a, b] = ['low-lunge', 'lizard'].map((slug) => findMovement(slug)!.english);
		expect(blocks.map((drawn) => drawn.name)).toEqual([a, b, a, b]);
		expect(blocks.every((b) => b.chained)).toBe(true);
		expect(score(read(plan)).blocks.some((b) => b.chained)).toBe(false);
	});

	it('the body’s way has no step without a change and ends with the class', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const { body, totalSeconds } = score(read(plan));
				body.slice(1, -1).forEach(([, level], i) => expect(level).not.toBe(body[i]![1]));
				expect(body.at(-1)![0]).toBe(totalSeconds);
			}),
			{ numRuns: 40 }
		);
	});

	it('marks stand at the second of the finding and carry its words', () => {
		const analysis = read(classOf(['pigeon-fold', 'plank', 'pigeon-fold', 'plank']));
		const placed = analysis.findings.filter((f) => f.where.atSeconds !== undefined);
		expect(placed.length).toBeGreaterThan(0);
		expect(score(analysis).marks.map((m) => [m.x, m.message])).toEqual(
			placed.map((f) => [f.where.atSeconds, f.message])
		);
	});

	it('scales: the whole span fits the width, twice as wide when zoomed to two', () => {
		const drawn = score(read(classOf(['plank'], 3600)));
		// 126 pixels beside the lines are for names
		expect(drawScore(drawn, 1026, 1)).toMatchObject({ width: 1026, end: { x: 104 + 900 } });
		expect(drawScore(drawn, 1026, 1).secondsOf(25)).toBe(100);
		expect(drawScore(drawn, 1026, 2)).toMatchObject({ width: 1926 });
		expect(drawScore(drawn, 0, 1).width).toBe(126);
		expect(drawScore(drawn, 0, 1).secondsOf(25)).toBe(0);
	});

	it.each([
		[0, 1],
		[900, 16],
		[901, 4],
		[3600, 13],
		[5400, 10],
		[14400, 9],
		[86400, 25]
	])('%d seconds have %d ticks', (span, ticks) => {
		const at = ticksOf(span);
		expect(at).toHaveLength(ticks);
		expect(at[0]).toBe(0);
		expect(at.at(-1)).toBeLessThanOrEqual(span);
	});
});

describe('the score says what happens around the work', () => {
	it('where kit is fetched, where a test is taken, and where the peak lies', () => {
		const w = new PlanWriter();
		w.add('settle', w.test('one-leg-balance', 60));
		w.add('build', w.item('clam'), w.item('pigeon-fold', { form: 'supported' }), w.item('frog'));
		const drawn = score(read(w.plan('Marks', '18:30', 1800)));
		expect(drawn.tests).toEqual([{ blockId: 'b1', name: 'Standing on one leg', level: 0, x: 0, width: 60 }]);
		const fetched = drawn.blocks.filter((block) => block.fetch);
		expect(fetched.map((block) => [block.name, block.fetch?.kit])).toContainEqual([
			'Pigeon, folded forward',
			expect.stringContaining('block')
		]);
		for (const { fetch, x, work } of fetched) {
			expect(fetch!.x).toBeGreaterThanOrEqual(x);
			expect(fetch!.x + fetch!.width).toBeLessThanOrEqual(work[0]!.x);
		}
		const frog = drawn.blocks.find((block) => block.name === 'Frog')!;
		expect(drawn.peak!.atSeconds).toBeGreaterThan(frog.x);
		expect(drawn.peak!.atSeconds).toBeLessThan(frog.x + frog.width);
		expect(new Set(drawn.blocks.map((block) => block.key)).size).toBe(drawn.blocks.length);
		expect(score(read(w.plan('Marks', '18:30', 1800))).blocks).toEqual(drawn.blocks);
		expect(score(read({ ...w.plan('Rest', '18:30', 1800), sections: [] })).peak).toBeNull();
	});
});

describe('the running order adds up', () => {
	it('for any class: parts make an item, blocks make a section, sections make the class', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const analysis = read(plan);
				const sections = runningOrder(analysis);
				expect(sections.map((s) => s.id)).toEqual(plan.sections.map((s) => s.id));
				expect(sum(sections.map((s) => s.seconds))).toBeCloseTo(analysis.timeline.totalSeconds, 6);
				for (const { blocks, seconds } of sections) {
					expect(sum(blocks.map((b) => b.seconds))).toBeCloseTo(seconds, 6);
					for (const { rows, seconds: all } of blocks) {
						if (rows.length) expect(sum(rows.map((r) => r.seconds))).toBeCloseTo(all, 6);
						for (const row of rows) expect(sum(row.parts.map((p) => p.seconds))).toBeCloseTo(row.seconds, 6);
					}
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('a block begins where the one before it ends', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const blocks = runningOrder(read(plan)).flatMap((s) => s.blocks);
				blocks.reduce((end, block) => {
					expect(block.fromSeconds).toBeCloseTo(end, 6);
					return block.fromSeconds + block.seconds;
				}, 0);
			}),
			{ numRuns: 40 }
		);
	});

	it('a section without blocks is there and takes no time', () => {
		const sections = runningOrder(read(classOf(['plank'])));
		expect(sections.filter((s) => s.blocks.length > 0).map((s) => s.kind)).toEqual(['build']);
		expect(sections.find((s) => s.kind === 'settle')).toMatchObject({ seconds: 0, blocks: [] });
	});

	it.each([
		['breaths', 1, 'breath'],
		['breaths', 5, 'breaths'],
		['repetitions', 1, 'repetition'],
		['rounds', 2, 'rounds'],
		['seconds', 0, 'seconds']
	] as const)('%s, %d of them: %s', (unit, amount, word) => expect(unitWord(unit, amount)).toBe(word));
});

describe('every number can be asked why', () => {
	it('the parts of the class make the class, the largest first', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const { timeline } = read(plan);
				const parts = phaseParts(timeline).map((p) => p.seconds);
				expect(sum(parts)).toBeCloseTo(timeline.totalSeconds, 6);
				expect([...parts].sort((a, b) => b - a)).toEqual(parts);
				expect(sum(Object.values(phaseSeconds(timeline)))).toBeCloseTo(timeline.totalSeconds, 6);
			}),
			{ numRuns: 40 }
		);
	});

	it('what gives a direction its time adds up to that time, and so does strength', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				const analysis = read(plan);
				for (const direction of DIRECTIONS)
					expect(sum(directionParts(analysis, direction).map((p) => p.seconds))).toBeCloseTo(
						rangeSeconds(analysis.orbit, direction),
						6
					);
				expect(sum(strengthParts(analysis).map((p) => p.seconds))).toBeCloseTo(
					analysis.orbit.strengthWorkSeconds,
					6
				);
			}),
			{ numRuns: 40 }
		);
	});
});

describe('the ring', () => {
	it('of a class with no work is empty but for its tracks and bands', () => {
		const { orbit, balance } = read(emptyPlan('Empty', '18:30', 1800));
		for (const sector of classRing(orbit, balance)) {
			expect([sector.range, sector.strength]).toEqual(['', '']);
			expect(sector.track).toMatch(/^M/);
			expect(sector.band).toMatch(/^M/);
		}
	});

	it('changes halves when the class is mirrored', () => {
		const plan = classOf(['pigeon-fold']);
		const oneSide = (p: ClassPlan) => {
			const { orbit, balance } = read(p);
			return classRing(orbit, balance).map((s) => [s.leg, s.direction, s.range !== '']);
		};
		const swapped = oneSide(plan).map(([leg, d, full]) => [leg === 'left' ? 'right' : 'left', d, full]);
		const byName = (a: unknown[], b: unknown[]) => `${a[0]}${a[1]}`.localeCompare(`${b[0]}${b[1]}`);
		expect(oneSide(mirror(plan)).sort(byName)).toEqual(swapped.sort(byName));
	});

	it('draws inside its box for every movement of the catalogue', () => {
		for (const movement of CATALOGUE)
			for (const leads of ['left', 'right'] as const)
				for (const sector of movementRing(movement, leads)) {
					const path = `${sector.track} ${sector.range} ${sector.strength}`;
					expect(path, movement.slug).not.toContain('NaN');
					for (const [, x, y] of path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g))
						expect([Number(x), Number(y)].every((v) => v >= 0 && v <= 200)).toBe(true);
				}
	});
});

describe('before and after', () => {
	it('a class against itself shifts nothing from half a point on, and lists all it holds without a limit', () => {
		const analysis = read(classOf(['pigeon-fold', 'bridge-lift']));
		expect(shiftsBetween(analysis, analysis, 0.5).shifts).toEqual([]);
		const all = shiftsBetween(analysis, analysis).shifts;
		expect(all.map((s) => s.name)).toContain('strength');
		expect(all).toHaveLength(7);
		expect(all.every((s) => s.before === s.after)).toBe(true);
	});

	it('says what differs in a movement, doses in words', () => {
		const changed = (before: Partial<Item>, after: Partial<Item>) => {
			const [a, b] = [before, after].map((change) => {
				const plan = classOf(['pigeon-fold']);
				return applyEdit(plan, { do: 'setItem', itemId: itemsOf(plan)[0]!.id, change });
			});
			const [kept] = comparePlans(a!, b!).kept;
			return changesInWords(kept!, read(a!), read(b!)).map((c) => `${c.field}: ${c.before} → ${c.after}`);
		};
		const active = { mode: 'active', dose: { amount: 6 } } as const;
		expect(changed(active, { ...active, dose: { amount: 8 } })).toEqual([
			'dose: 6 breaths each side → 8 breaths each side'
		]);
		expect(changed(active, { mode: 'passive', dose: { amount: 60 }, lead: 'right' })).toEqual([
			'mode: active → passive',
			'dose: 6 breaths each side → 60 seconds each side',
			'first side: left → right'
		]);
		// the same figure is another dose where it counts something else
		expect(changed(active, { ...active, dose: { amount: 6, unit: 'seconds' } })).toEqual([
			'dose: 6 breaths each side → 6 seconds each side'
		]);
		expect(changed(active, active)).toEqual([]);
	});

	it('a repair’s preview names the totals and what it solves', () => {
		const before = read(classOf(['pigeon-fold', 'plank']));
		const previews = before.findings.map((finding) => ({
			finding,
			preview: previewRepair(finding, before.context)
		}));
		const { finding, preview } = previews.find((p) => p.preview !== null)!;
		const shown = beforeAfter(before, preview!);
		expect(shown.solved.map((f) => f.checkId)).toContain(finding.checkId);
		expect(shown.totalBefore).not.toBe('');
		expect(shown.shifts.every((s) => s.before.endsWith('%') && s.after.endsWith('%'))).toBe(true);
	});
});
