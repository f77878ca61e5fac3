/**
 * Relations that hold for every class, whatever its figures: what changes when one thing changes, and what does not.
 * They need no expected values, so they reach plans that nobody would work out by hand.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS, otherLeg } from '../../src/lib/core/anatomy';
import { analysePlan, type Analysis } from '../../src/lib/core/analysis';
import { clock, phaseSeconds, spread } from '../../src/lib/core/clock';
import { preset } from '../../src/lib/core/group';
import { CLASS_KINDS, KINDS, type PaceChanges, USUAL_PACE } from '../../src/lib/core/pace';
import { rangeSeconds } from '../../src/lib/core/orbit';
import { applyEdit, itemsOf, mirror, nextId, SECTION_KINDS, type ClassPlan } from '../../src/lib/core/plan';
import { anyPlan } from './arbitrary';

const read = (plan: ClassPlan): Analysis =>
	analysePlan(plan, {
		pace: USUAL_PACE,
		catalogue: CATALOGUE,
		find: findMovement,
		targets: preset('runners').targets
	});
const total = (plan: ClassPlan) => clock(plan, findMovement, USUAL_PACE).totalSeconds;
const forAny = (check: (plan: ClassPlan, pick: number) => void, numRuns = 60) =>
	fc.assert(fc.property(anyPlan(1, 12), fc.nat(999), check), { numRuns });

describe('the clock', () => {
	it('is the same for the same plan, and leaves the plan alone', () =>
		forAny((plan) => {
			const before = structuredClone(plan);
			expect(clock(plan, findMovement, USUAL_PACE)).toEqual(
				clock(structuredClone(plan), findMovement, USUAL_PACE)
			);
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
			const more = applyEdit(plan, {
				do: 'setDose',
				itemId: item.id,
				change: { amount: item.dose.amount + 1 }
			});
			const work = (p: ClassPlan) => phaseSeconds(clock(p, findMovement, USUAL_PACE)).work;
			expect(work(more)).toBeGreaterThan(work(plan));
			expect(total(more) - total(plan)).toBeCloseTo(work(more) - work(plan), 6);
		}));

	it('is never shorter when more is built up or breaths are slower', () =>
		forAny((plan) => {
			const kinds = (['flow', 'detailed'] as const).map((classKind) =>
				total({ ...plan, pinnedPace: { classKind } })
			);
			expect([...kinds].sort((a, b) => a - b)).toEqual(kinds);
			const slower: PaceChanges[] = [
				{ heldBreathSeconds: 9 },
				{ movingBreathSeconds: 7 },
				{ countSeconds: 2 },
				{ setUpSeconds: 20 },
				{ changeSidesSeconds: 20 },
				{ changeSidesWithPropSeconds: 40 },
				{ moveSeconds: 20 }
			];
			for (const pace of slower)
				expect(total({ ...plan, pinnedPace: pace })).toBeGreaterThanOrEqual(total(plan) - 1e-9);
		}));

	it('changes the work by the factor of the kind of class, and by nothing else', () =>
		forAny((plan) => {
			const workIn = (changes: PaceChanges) => {
				const { entries } = clock({ ...plan, pinnedPace: changes }, findMovement, USUAL_PACE);
				return entries.filter(({ phase }) => phase === 'work');
			};
			const [one, ...others] = CLASS_KINDS.map((classKind) => ({ classKind, work: workIn({ classKind }) }));
			for (const { classKind, work } of others)
				for (const [i, { fromSeconds, toSeconds }] of work.entries()) {
					const was = one!.work[i]!.toSeconds - one!.work[i]!.fromSeconds;
					const ratio = KINDS[classKind].workFactor / KINDS[one!.classKind].workFactor;
					// whole seconds on both sides
					expect(Math.abs(toSeconds - fromSeconds - was * ratio)).toBeLessThanOrEqual(0.5 + 0.5 * ratio);
				}
			expect(
				phaseSeconds(clock({ ...plan, pinnedPace: { setUpSeconds: 40 } }, findMovement, USUAL_PACE)).work
			).toBe(phaseSeconds(clock(plan, findMovement, USUAL_PACE)).work);
		}));

	it('is not moved by title, start or the length asked for', () =>
		forAny((plan) => {
			const other = { ...plan, title: 'Other', startsAt: '07:00', lengthSeconds: plan.lengthSeconds + 600 };
			expect(clock(other, findMovement, USUAL_PACE)).toEqual(clock(plan, findMovement, USUAL_PACE));
		}));

	it('likely ends on both sides of the middle, in time more often the longer the class may be', () =>
		forAny((plan) => {
			const chances = [0.5, 0.9, 1, 1.1, 2].map((f) => spread(total(plan), f * total(plan), 0.12).onTime);
			expect([...chances].sort((a, b) => a - b)).toEqual(chances);
			const { likelyFromSeconds, likelyToSeconds } = spread(total(plan), plan.lengthSeconds, 0.12);
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
				pinnedPace: { setUpSeconds: 30, changeSidesSeconds: 60 }
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
