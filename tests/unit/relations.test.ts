/**
 * Relations that hold for every class, whatever its figures: what changes when one thing changes, and what does not.
 * They need no expected values, so they reach plans that nobody would work out by hand.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS, otherLeg } from '../../src/lib/core/anatomy';
import { analysePlan, type Analysis } from '../../src/lib/core/checks';
import { clock, phaseSeconds, spread, stretches } from '../../src/lib/core/clock';
import { preset } from '../../src/lib/core/group';
import { TALK_STYLES, type PaceChanges } from '../../src/lib/core/pace';
import { rangeSeconds } from '../../src/lib/core/orbit';
import {
	applyEdit,
	blockOfItem,
	findItem,
	itemsOf,
	mirror,
	nextId,
	SECTION_KINDS,
	type ClassPlan
} from '../../src/lib/core/plan';
import { anyPlan, doseOf } from './arbitrary';

const read = (plan: ClassPlan): Analysis =>
	analysePlan(plan, { catalogue: CATALOGUE, find: findMovement, targets: preset('runners').targets });
const total = (plan: ClassPlan) => clock(plan, findMovement).totalSeconds;
const forAny = (check: (plan: ClassPlan, pick: number) => void, numRuns = 60) =>
	fc.assert(fc.property(anyPlan(1, 12), fc.nat(999), check), { numRuns });

describe('the clock', () => {
	it('is the same for the same plan, and leaves the plan alone', () =>
		forAny((plan) => {
			const before = structuredClone(plan);
			expect(clock(plan, findMovement)).toEqual(clock(structuredClone(plan), findMovement));
			expect(plan).toEqual(before);
		}));

	it('grows by a talk’s own seconds when words are added', () =>
		forAny((plan, pick) => {
			const { id: sectionId, blocks } = plan.sections[pick % SECTION_KINDS.length]!;
			const seconds = 5 + (pick % 80);
			const block = { kind: 'talk' as const, id: nextId(plan), label: 'A word', seconds };
			const longer = applyEdit(plan, {
				do: 'insert',
				at: { sectionId, index: pick % (blocks.length + 1) },
				block
			});
			expect(total(longer)).toBeCloseTo(total(plan) + seconds, 6);
		}));

	it('grows with a dose, both sides of it where there are two', () =>
		forAny((plan, pick) => {
			const items = itemsOf(plan);
			if (items.length === 0) return;
			const item = items[pick % items.length]!;
			if (item.dose >= doseOf(item).max) return;
			const block = blockOfItem(plan, item.id);
			if (block?.kind === 'flow' && block.breathsEach) return; // lasts as long as the breath does
			const more = applyEdit(plan, { do: 'setItem', itemId: item.id, change: { dose: item.dose + 1 } });
			const work = (p: ClassPlan) => phaseSeconds(clock(p, findMovement)).work;
			expect(work(more)).toBeGreaterThan(work(plan));
			expect(total(more) - total(plan)).toBeCloseTo(work(more) - work(plan), 6);
		}));

	it('is never shorter when somebody talks more or breathes more slowly', () =>
		forAny((plan) => {
			const talks = TALK_STYLES.map((talk) => total({ ...plan, pinnedPace: { talk } }));
			expect([...talks].sort((a, b) => a - b)).toEqual(talks);
			const slower: PaceChanges[] = [
				{ heldBreathSeconds: 9 },
				{ movingBreathSeconds: 7 },
				{ countSeconds: 2 },
				{ setUpSeconds: 8 },
				{ changeSidesSeconds: 20 },
				{ changeSidesWithPropSeconds: 40 },
				{ moveSeconds: 20 }
			];
			for (const pace of slower)
				expect(total({ ...plan, pinnedPace: pace })).toBeGreaterThanOrEqual(total(plan) - 1e-9);
		}));

	it('works only for the pace of what it holds: talking less changes no second of work', () =>
		forAny((plan) => {
			const work = (talk: (typeof TALK_STYLES)[number]) =>
				phaseSeconds(clock({ ...plan, pinnedPace: { talk } }, findMovement)).work;
			expect(work('brief')).toBeCloseTo(work('detailed'), 6);
		}));

	it('is not moved by title, start or the length asked for', () =>
		forAny((plan) => {
			const other = { ...plan, title: 'Other', startsAt: '07:00', lengthSeconds: plan.lengthSeconds + 600 };
			expect(clock(other, findMovement)).toEqual(clock(plan, findMovement));
		}));

	it('likely ends on both sides of the middle, in time more often the longer the class may be', () =>
		forAny((plan) => {
			const parts = stretches(clock(plan, findMovement), findMovement, (id) => findItem(plan, id));
			const chances = [0.5, 0.9, 1, 1.1, 2].map((f) => spread(parts, f * total(plan)).onTime);
			expect([...chances].sort((a, b) => a - b)).toEqual(chances);
			const { likelyFromSeconds, likelyToSeconds } = spread(parts, plan.lengthSeconds);
			expect(likelyFromSeconds).toBeLessThanOrEqual(likelyToSeconds);
		}));
});

describe('the orbit', () => {
	it('of a mirrored class is the same with the legs changed over', () =>
		forAny((plan) => {
			const [here, there] = [read(plan).orbit, read(mirror(plan)).orbit];
			for (const leg of ['left', 'right'] as const)
				for (const direction of DIRECTIONS) {
					expect(there.range[otherLeg(leg)][direction]).toBeCloseTo(here.range[leg][direction], 6);
					expect(there.strength[otherLeg(leg)][direction]).toBeCloseTo(here.strength[leg][direction], 6);
				}
		}));

	it('does not depend on the order of the blocks within a section', () =>
		forAny((plan) => {
			const reversed = {
				...plan,
				sections: plan.sections.map((s) => ({ ...s, blocks: [...s.blocks].reverse() }))
			};
			const [here, there] = [read(plan).orbit, read(reversed).orbit];
			expect(there.workSeconds).toBeCloseTo(here.workSeconds, 6);
			for (const direction of DIRECTIONS)
				expect(rangeSeconds(there, direction)).toBeCloseTo(rangeSeconds(here, direction), 6);
		}));

	it('counts no talk, no set-up and no changing of sides', () =>
		forAny((plan) => {
			const slow = read({
				...plan,
				pinnedPace: { talk: 'detailed', setUpSeconds: 30, changeSidesSeconds: 60 }
			});
			expect(slow.orbit.workSeconds).toBeCloseTo(read(plan).orbit.workSeconds, 6);
		}));

	it('gives no leg more work than there is, and shares that make a whole', () =>
		forAny((plan) => {
			const { orbit, balance, timeline } = read(plan);
			const work = phaseSeconds(timeline).work;
			expect(orbit.workSeconds).toBeLessThanOrEqual(work + 1e-6);
			for (const leg of ['left', 'right'] as const)
				for (const direction of DIRECTIONS)
					expect(orbit.range[leg][direction]).toBeLessThanOrEqual(work + 1e-6);
			if (orbit.rangeTotalSeconds === 0) return;
			const shares = DIRECTIONS.map((d) => balance.directions[d].sharePercent);
			expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(100, 6);
		}));

	it('loses what a removed block gave, and nothing else', () =>
		forAny((plan, pick) => {
			const items = plan.sections.flatMap((s) => s.blocks).filter((b) => b.kind === 'item');
			if (items.length === 0) return;
			const block = items[pick % items.length]!;
			const bare = { ...plan, sections: plan.sections.map((s) => ({ ...s, blocks: [] as typeof s.blocks })) };
			const alone = applyEdit(bare, { do: 'insert', at: { sectionId: 'build', index: 0 }, block });
			const without = applyEdit(plan, { do: 'remove', blockId: block.id });
			for (const direction of DIRECTIONS)
				expect(
					rangeSeconds(read(without).orbit, direction) + rangeSeconds(read(alone).orbit, direction)
				).toBeCloseTo(rangeSeconds(read(plan).orbit, direction), 6);
		}));
});

describe('the checks', () => {
	it('find the same when asked twice, each with words and a place that exists', () =>
		forAny((plan) => {
			const { findings } = read(plan);
			expect(read(structuredClone(plan)).findings).toEqual(findings);
			const ids = new Set(itemsOf(plan).map((item) => item.id));
			for (const { message, where } of findings) {
				expect(message.length).toBeGreaterThan(10);
				expect(message).not.toMatch(/undefined|NaN|null|\[object/);
				if (where.itemId !== undefined) expect(ids).toContain(where.itemId);
			}
		}, 40));

	it('find as much in a mirrored class as in the class', () =>
		forAny((plan) => {
			const counted = (p: ClassPlan) =>
				read(p)
					.findings.map((f) => f.checkId)
					.filter((id) => id !== 'first-side-habit' && id !== 'facing-changes')
					.sort();
			expect(counted(mirror(plan))).toEqual(counted(plan));
		}, 40));

	it('silenced, one goes and comes back, and the others stay', () =>
		forAny((plan, pick) => {
			const { findings } = read(plan);
			const allowed = findings.filter((f) => f.checkId !== 'caution-conflict');
			if (allowed.length === 0) return;
			const { checkId } = allowed[pick % allowed.length]!;
			const quiet = applyEdit(plan, { do: 'silence', check: checkId, reason: 'our way here' });
			expect(read(quiet).findings).toEqual(findings.filter((f) => f.checkId !== checkId));
			const loud = applyEdit(quiet, { do: 'unsilence', check: checkId });
			expect(read(loud).findings).toEqual(findings);
		}, 40));
});
