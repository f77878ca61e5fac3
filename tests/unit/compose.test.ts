/** Whole classes that are put together: what a teacher would look at first. */
import { contextOfGroup } from '../../bench/planner/context';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import { needsAttention } from '../../src/lib/core/checks';
import type { Group } from '../../src/lib/core/group';
import type { Movement } from '../../src/lib/core/movement';
import { emptyPlan, itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import { proposeClasses, type Proposal, type Wishes } from '../../src/lib/core/propose';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { groupOf } from './checks/case';

const LITTLE = { roughSteps: 400, starts: 1, steps: 2500, mostStarts: 6 };

function proposed(group: Group, minutes: number, wishes: Wishes = {}, seed = 1, count = 1): Proposal[] {
	const base = emptyPlan('Proposed', group.startsAt, 60 * minutes);
	const context = contextOfGroup(group);
	return [...proposeClasses({ base, wishes, context, seed, count, work: LITTLE })]
		.filter(({ done }) => done)
		.map(({ proposal }) => proposal);
}
const movementsIn = (plan: ClassPlan, kind: string): Movement[] =>
	plan.sections
		.filter((section) => section.kind === kind)
		.flatMap(({ blocks }) => itemsOf({ ...plan, sections: [{ id: kind, kind: 'build', blocks }] }))
		.map((item) => findMovement(item.movement)!);

describe.each([
	['striders', 45],
	['chalk', 60],
	['tide', 30],
	['lamp', 30],
	['skiff', 45]
] as const)('a class for %s of %i minutes', (key, minutes) => {
	const group: Group = DEMO_GROUPS[key];
	const [{ plan, analysis, story, worth }] = proposed(group, minutes) as [Proposal];

	it('is on time, with nothing to fix', () => {
		expect(analysis.timeline.totalSeconds).toBe(60 * minutes);
		expect(analysis.findings.filter(needsAttention).map(({ message }) => message)).toEqual([]);
	});

	it('arrives and closes without a change of sides, and moves early', () => {
		for (const kind of ['settle', 'rest'])
			for (const m of movementsIn(plan, kind)) expect(isSymmetrical(m.action), m.slug).toBe(true);
		const early = analysis.context.items.filter(({ startSeconds }) => startSeconds < 480);
		expect(early.filter(({ item }) => item.mode === 'dynamic').length).toBeGreaterThanOrEqual(2);
	});

	it('says something at the beginning, on the way and at the end', () => {
		const words = plan.sections.flatMap(({ kind, blocks }) =>
			blocks.flatMap((b) => (b.kind === 'talk' ? [kind] : []))
		);
		expect(words).toEqual(expect.arrayContaining(['settle', 'build', 'peak', 'rest']));
		expect(itemsOf(plan).filter(({ noticeSeconds }) => noticeSeconds).length).toBeGreaterThanOrEqual(1);
	});

	it('comes back to something, and peaks in own strength', () => {
		const slugs = itemsOf(plan).map((item) => item.movement);
		expect(new Set(slugs).size).toBeLessThan(slugs.length);
		const peak = analysis.context.items.filter(({ section }) => section.kind === 'peak');
		expect(peak.some(({ form, item }) => form.effort >= 2 && item.mode !== 'passive')).toBe(true);
	});

	it('tells what it is about, and what it is worth', () => {
		expect(story[0]).toMatch(/^Begins .+\.$/);
		expect(story.length).toBeGreaterThanOrEqual(3);
		expect(worth!.total).toBeGreaterThan(0);
		expect(plan.theme).toBeTruthy();
	});
});

describe('what is asked for', () => {
	const group = groupOf();

	it('comes, and what is not wanted does not', () => {
		const [{ plan }] = proposed(group, 45, {
			toward: 'garland-squat',
			must: ['clam'],
			never: ['frog', 'cat-cow'],
			without: ['prone']
		}) as [Proposal];
		const slugs = itemsOf(plan).map((item) => item.movement);
		expect(slugs).toEqual(expect.arrayContaining(['garland-squat', 'clam']));
		expect(movementsIn(plan, 'peak').map(({ slug }) => slug)).toContain('garland-squat');
		for (const slug of slugs) expect(['frog', 'cat-cow']).not.toContain(slug);
		for (const slug of slugs) expect(findMovement(slug)!.position).not.toBe('prone');
	});

	it('before sport it ends on the feet, moving', () => {
		const last = itemsOf((proposed(DEMO_GROUPS.skiff, 30) as [Proposal])[0].plan).at(-1)!;
		expect(findMovement(last.movement)!.position).toBe('standing');
		expect(last.mode).toBe('dynamic');
	});

	it('three classes are about different things, and share at most half', () => {
		const three = proposed(DEMO_GROUPS.chalk, 45, {}, 3, 3);
		expect(new Set(three.map(({ story }) => story[0])).size).toBe(3);
		const sets = three.map(({ plan }) => new Set(itemsOf(plan).map((item) => item.movement)));
		for (const [i, a] of sets.entries())
			for (const b of sets.slice(i + 1)) {
				const shared = [...a].filter((slug) => b.has(slug)).length;
				expect(shared / Math.min(a.size, b.size)).toBeLessThanOrEqual(0.55);
			}
	});

	it('is the same for the same seed, and another for another', () => {
		const slugs = (seed: number) =>
			itemsOf((proposed(group, 30, {}, seed) as [Proposal])[0].plan).map((i) => i.movement);
		expect(slugs(4)).toEqual(slugs(4));
		expect(slugs(4)).not.toEqual(slugs(5));
	});
});
