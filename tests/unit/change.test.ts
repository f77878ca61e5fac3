/** A class that is there, changed as a teacher asks for: before and after, for three groups. */
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { needsAttention } from '../../src/lib/core/checks';
import { analysePlan, effortOfAnalysis } from '../../src/lib/core/analysis';
import { formOf } from '../../src/lib/core/movement';
import { applyEdit, itemsOf, planFaults, type ClassPlan } from '../../src/lib/core/plan';
import { CHANGES, changedClass, type ChangeId } from '../../src/lib/core/propose';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { ask, proposals, contextFor } from './propose-asked';

describe.each(['striders', 'chalk', 'tide'] as const)('a class of %s', (key) => {
	const group = DEMO_GROUPS[key];
	const context = contextFor(group);
	const { plan } = proposals(ask(group, 45))[0]!;
	const read = (other: ClassPlan) => analysePlan(other, context);
	const effort = (other: ClassPlan) => effortOfAnalysis(read(other));
	const changed = (change: ChangeId) => changedClass(plan, change, context);
	const positions = (other: ClassPlan) => itemsOf(other).map((item) => findMovement(item.movement)!.position);
	const fetched = (other: ClassPlan) =>
		itemsOf(other).filter(({ movement, form }) =>
			formOf(findMovement(movement)!, form)!.props.some(({ kit }) => kit !== 'wall space')
		).length;

	it('stays a class: it can be read, is on time, and has nothing to fix', () => {
		for (const change of CHANGES) {
			const after = changed(change);
			if (!after) continue;
			expect(planFaults(after.plan, findMovement)).toEqual([]);
			const { timeline, findings } = read(after.plan);
			expect(timeline.totalSeconds, change).toBe(after.plan.lengthSeconds);
			expect(
				findings.filter(needsAttention).map(({ message }) => message),
				change
			).toEqual([]);
		}
	});

	it('gets harder by a twentieth and more, easier and quieter, at its length', () => {
		expect(effort(changed('harder')!.plan)).toBeGreaterThan(1.05 * effort(plan));
		expect(effort(changed('easier')!.plan)).toBeLessThan(0.985 * effort(plan));
		expect(effort(changed('quieter')!.plan)).toBeLessThan(0.96 * effort(plan));
		expect(changed('easier')!.plan.lengthSeconds).toBe(plan.lengthSeconds);
	});

	it('stands more, or not on the floor at all', () => {
		const standing = (other: ClassPlan) => positions(other).filter((p) => p === 'standing').length;
		// a class that runs in chains may have nothing single to bring up
		const more = changed('more standing');
		if (more) expect(standing(more.plan)).toBeGreaterThan(standing(plan));
		for (const position of positions(changed('no floor')!.plan))
			expect(['standing', 'seated']).toContain(position);
	});

	it('fetches less, and is ten minutes shorter', () => {
		expect(fetched(changed('fewer props')!.plan)).toBeLessThan(fetched(plan));
		expect(changed('ten minutes shorter')!.plan.lengthSeconds).toBe(plan.lengthSeconds - 600);
	});

	it('says what became of each item', () => {
		const { plan: after, became } = changed('no floor')!;
		const gone = became.filter(({ now }) => now === null).map(({ itemId }) => itemId);
		const there = new Set(itemsOf(after).map(({ id }) => id));
		for (const id of gone) expect(there.has(id)).toBe(false);
		for (const { itemId, now } of became) if (now !== null) expect(there.has(itemId)).toBe(true);
	});

	it('leaves pinned items as they are', () => {
		const pinned = itemsOf(plan).reduce(
			(now, { id }) => applyEdit(now, { do: 'setItem', itemId: id, change: { pinned: true } }),
			plan
		);
		for (const change of ['harder', 'easier', 'fewer props', 'no floor'] as const)
			expect(changedClass(pinned, change, context)).toBeNull();
	});
});

it('for who is here today: what one of them may not do is given otherwise', () => {
	const group = DEMO_GROUPS.striders;
	const context = contextFor(group);
	const { plan } = proposals(ask(group, 45))[0]!;
	expect(changedClass(plan, 'who is here today', context)).toBeNull();
	// six of the twelve came, five of them with a sore knee
	const here = {
		tiers: { tight: 3, middling: 3, open: 0 },
		cautions: [{ caution: 'sore knee' as const, people: 5 }]
	};
	const today = { ...plan, here };
	const open = analysePlan(today, context).findings.filter((f) => needsAttention(f) && f.repairable);
	expect(open.length).toBeGreaterThan(0);
	const after = changedClass(today, 'who is here today', context)!;
	const left = analysePlan(after.plan, context).findings.filter(needsAttention);
	expect(left.length).toBeLessThan(open.length);
	expect(after.became.length).toBeGreaterThan(0);
});
