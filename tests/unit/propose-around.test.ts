import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { analysePlan } from '../../src/lib/core/analysis';
import { formatDuration } from '../../src/lib/core/clock';
import { proposalCard } from '../../src/lib/core/view-models';
import { applyEdit, itemsOf, planFaults } from '../../src/lib/core/plan';
import { alternativesFor, conflictOf, type ClassRequest } from '../../src/lib/core/propose';
import { PlanWriter } from '../../src/lib/demo/build';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { groupOf } from './checks/case';
import { ask, proposals, contextFor, slugsOf } from './propose-asked';

describe('what cannot be', () => {
	/** Six people, four of them with a sore knee: what they cannot do is not for this room. */
	const knees = {
		...groupOf({ tiers: { tight: 0, middling: 6, open: 0 } }),
		size: 6,
		cautions: [{ caution: 'sore knee' as const, people: 4 }]
	};

	it.each<[string, ClassRequest, string[]]>([
		[
			'a movement against a caution',
			ask(knees, 45, { toward: 'fire-log' }),
			['sore knee in the room', 'leading up to Fire log']
		],
		[
			'a movement in a position that is left out',
			ask(groupOf(), 45, { must: ['low-lunge'], without: ['kneeling', 'prone'] }),
			['nothing in “kneeling”', 'Low lunge in it']
		],
		[
			'more than the time holds',
			ask(groupOf(), 4, { must: ['frog', 'clam', 'low-lunge', 'happy-baby'] }),
			['Frog in it', 'Clam in it', 'Low lunge in it', 'Happy baby in it', '4:00 in all']
		],
		[
			'what is wanted and not wanted',
			ask(groupOf(), 45, { must: ['clam'], never: ['clam'] }),
			['no Clam', 'Clam in it']
		],
		[
			'more that is new than is wanted',
			ask(groupOf(), 45, { must: ['frog'], mostNew: 0 }, { context: contextFor(groupOf(), ['cat-cow']) }),
			['at most 0 new', 'Frog in it']
		]
	])('%s is named, with no more than it takes', (_what, asked, wishes) => {
		const conflict = conflictOf(asked)!;
		expect(conflict.wishes).toEqual(wishes);
		for (const words of wishes.slice(1)) expect(conflict.message).toContain(words);
	});

	it('is minimal: without any one of its wishes the rest can be had', () => {
		const must = ['frog', 'clam', 'low-lunge', 'happy-baby'];
		expect(conflictOf(ask(groupOf(), 4, { must }))).not.toBeNull();
		for (const one of must)
			expect(conflictOf(ask(groupOf(), 4, { must: must.filter((slug) => slug !== one) }))).toBeNull();
		expect(conflictOf(ask(groupOf(), 60, { must }))).toBeNull();
		expect(conflictOf(ask(knees, 45, {}))).toBeNull();
		expect(conflictOf(ask(groupOf(), 45, { toward: 'fire-log' }))).toBeNull();
	});

	it('never proposes to loosen a caution', () => {
		const { message } = conflictOf(ask(knees, 45, { toward: 'fire-log' }))!;
		expect(message).toBe(
			'sore knee in the room and leading up to Fire log do not go together; without “leading up to Fire log” it works'
		);
	});
});

describe('something else here', () => {
	const { plan } = proposals(ask(DEMO_GROUPS.lamp, 30))[0]!;
	const context = contextFor(DEMO_GROUPS.lamp);

	it('offers three movements that the class has not, in the order of what the class is worth with them', () => {
		for (const item of itemsOf(plan)) {
			const others = alternativesFor(plan, item.id, context);
			expect(others.length).toBeLessThanOrEqual(3);
			expect(others.map((other) => other.worse)).toEqual(
				[...others.map((other) => other.worse)].sort((a, b) => a - b)
			);
			for (const { item: other } of others) {
				expect(slugsOf(plan)).not.toContain(other.movement);
				const after = applyEdit(plan, { do: 'replace', itemId: item.id, by: other });
				expect(planFaults(after, findMovement)).toEqual([]);
				expect(
					analysePlan(after, context).findings.filter(
						(f) => f.checkId === 'caution-conflict' && f.severity === 'stop'
					)
				).toEqual([]);
			}
		}
		expect(itemsOf(plan).some((item) => alternativesFor(plan, item.id, context).length === 3)).toBe(true);
	});

	it('has nothing for an item whose place is not its own', () => {
		const w = new PlanWriter();
		w.add('warm', w.chain(w.item('low-lunge'), w.item('clam')));
		expect(alternativesFor(w.plan('Chain', '18:30', 1800), 'b1', context)).toEqual([]);
		expect(alternativesFor(plan, 'nowhere', context)).toEqual([]);
	});
});

describe('a proposal on the screen', () => {
	it('has the figures of its class, its items by part, and what it is worth, the weightiest first', () => {
		const [proposal] = proposals(ask(DEMO_GROUPS.chalk, 50));
		const card = proposalCard(proposal!.analysis, proposal!, true);
		const figure = (label: string) => card.figures.find((f) => f.label === label)?.value;
		expect(card.total).toBe('50:00');
		expect(figure('items')).toBe(String(itemsOf(proposal!.plan).length));
		expect(figure('between blocks')).toBe(formatDuration(proposal!.lostSeconds));
		expect(card.sections.flatMap((s) => s.items.map((item) => item.id))).toEqual(
			itemsOf(proposal!.plan).map((item) => item.id)
		);
		for (const { items } of card.sections) for (const item of items) expect(item.because).not.toBe('');
		const points = card.costs.map((part) => Number(part.points));
		const sizes = points.map(Math.abs);
		expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
		expect(Math.abs(points.reduce((a, b) => a + b, 0) - proposal!.worth.total)).toBeLessThan(0.5);
	});
});
