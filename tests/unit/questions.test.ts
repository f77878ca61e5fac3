/** Asks a reader's questions of proposals: docs/planner.md has all twenty. */
import { contextOfGroup } from '../../bench/planner/context';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { noes, QUESTIONS, type Read } from '../../bench/planner/questions';
import { listClasses, taughtClasses } from '../../bench/planner/taught/read';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import { needsAttention } from '../../src/lib/core/checks';
import { analysePlan } from '../../src/lib/core/analysis';
import type { Group } from '../../src/lib/core/group';
import { blocksOf, emptyPlan } from '../../src/lib/core/plan';
import { proposeClasses } from '../../src/lib/core/propose';
import { purposesWanted } from '../../src/lib/core/rules';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

const LITTLE = { roughSteps: 300, starts: 1, steps: 2500, mostStarts: 6 };

function read(group: Group, minutes: number, seed: number): Read {
	const base = emptyPlan('Asked', group.startsAt, 60 * minutes);
	const context = contextOfGroup(group);
	const all = [...proposeClasses({ base, wishes: {}, context, seed, count: 1, work: LITTLE })];
	const { plan, analysis } = all.at(-1)!.proposal;
	return { plan, analysis, group };
}
const asked = (classes: ReturnType<typeof taughtClasses>) =>
	classes.map(({ plan, group }) =>
		noes({
			plan,
			group,
			analysis: analysePlan(plan, {
				pace: USUAL_PACE,
				catalogue: CATALOGUE,
				find: findMovement,
				targets: group.targets,
				group
			})
		})
	);
const mean = (lists: readonly string[][]) => lists.reduce((sum, list) => sum + list.length, 0) / lists.length;

describe('the questions', () => {
	it('tell classes by hand from lists of single exercises', () => {
		const [classes, lists] = [asked(taughtClasses()), asked(listClasses())];
		expect(mean(lists)).toBeGreaterThan(2 * mean(classes));
		expect(Math.min(...lists.map((list) => list.length))).toBeGreaterThanOrEqual(5);
	});
});

describe.each([
	['striders', 45],
	['chalk', 45]
] as const)('over 20 seeds, classes for %s of %i minutes', (key, minutes) => {
	const group: Group = DEMO_GROUPS[key];
	const classes = Array.from({ length: 20 }, (_, i) => read(group, minutes, i + 1));

	it('answer nine questions of ten with yes, and none fewer than eight', () => {
		const lists = classes.map(noes);
		expect(mean(lists), JSON.stringify(lists)).toBeLessThanOrEqual(Object.keys(QUESTIONS).length / 10);
		for (const list of lists) expect(list.length, list.join()).toBeLessThanOrEqual(4);
	});

	it('serve what this sport comes for in the build and the peak', () => {
		for (const { analysis, plan } of classes) {
			const served = new Set(
				analysis.context.items
					.filter(({ section }) => section.kind === 'build' || section.kind === 'peak')
					.flatMap(({ movement }) => movement.purposes)
			);
			const wanted = purposesWanted(group.purposes.length, plan.lengthSeconds);
			expect(group.purposes.filter((p) => served.has(p)).length).toBeGreaterThanOrEqual(wanted);
		}
	});

	it('come back to something, nearly all of them', () => {
		const returning = classes.filter(
			({ analysis: { context } }) =>
				new Set(context.items.map(({ movement }) => movement.slug)).size < context.items.length
		);
		expect(returning.length).toBeGreaterThanOrEqual(0.9 * classes.length);
	});

	it('link and pause, change no sides at both ends, and leave nothing to fix', () => {
		for (const { analysis, plan } of classes) {
			const { items } = analysis.context;
			expect(blocksOf(plan).some(({ block }) => block.kind === 'chain' || block.kind === 'flow')).toBe(true);
			expect(items.some(({ item }) => item.noticeSeconds)).toBe(true);
			for (const { section, movement } of items)
				if (section.kind === 'settle' || section.kind === 'rest')
					expect(isSymmetrical(movement.action)).toBe(true);
			expect(analysis.findings.filter(needsAttention)).toEqual([]);
		}
	});
});

it('before sport a class ends on its feet', () => {
	const group: Group = { ...DEMO_GROUPS.striders, moment: 'before sport' };
	for (const seed of [1, 2, 3, 4]) {
		const { analysis } = read(group, 30, seed);
		expect(analysis.context.items.at(-1)!.movement.position).toBe('standing');
	}
});

it('who lets one shape flow into the next gets flows', () => {
	const group: Group = DEMO_GROUPS.skiff;
	const base = { ...emptyPlan('Flowing', '18:30', 3600), pinnedPace: { classKind: 'flow' as const } };
	const evening: Group = { ...group, moment: 'evening' };
	const context = {
		catalogue: CATALOGUE,
		find: findMovement,
		targets: group.targets,
		group: evening,
		pace: USUAL_PACE
	};
	const all = [...proposeClasses({ base, wishes: {}, context, seed: 4, count: 1, work: LITTLE })];
	expect(blocksOf(all.at(-1)!.proposal.plan).some(({ block }) => block.kind === 'flow')).toBe(true);
});
