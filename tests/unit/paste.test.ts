import { USUAL_PACE } from '../../src/lib/core/pace';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { blockSpans, clock } from '../../src/lib/core/clock';
import { readBlocks, writeBlocks } from '../../src/lib/core/formats';
import {
	applyEdit,
	blocksHolding,
	comparePlans,
	doseDragged,
	emptyPlan,
	itemsOf,
	pasteEdits,
	placeAtSecond,
	planFaults,
	selectableBetween,
	selectableIds,
	type ClassPlan
} from '../../src/lib/core/plan';
import { PlanWriter } from '../../src/lib/demo/build';
import { anyPlan } from './arbitrary';

const allBlocks = (plan: ClassPlan) => plan.sections.flatMap((s) => s.blocks);

describe('blocks on the clipboard', () => {
	it('come back as they were written, and pasted anywhere make a sound plan under new ids', () => {
		fc.assert(
			fc.property(anyPlan(1, 8), anyPlan(0, 6), (from, into) => {
				const blocks = allBlocks(from);
				const read = readBlocks(writeBlocks({ blocks, movements: [] }), findMovement);
				expect(read).toEqual({ ok: true, value: { blocks, movements: [] } });
				const edits = pasteEdits(into, { sectionId: 'build', index: 0 }, blocks);
				const after = edits.reduce(applyEdit, into);
				expect(planFaults(after, findMovement)).toEqual([]);
				expect(itemsOf(after).length).toBe(itemsOf(into).length + itemsOf(from).length);
				const pasted = after.sections.find((s) => s.kind === 'build')!.blocks.slice(0, blocks.length);
				expect(pasted.map((b) => b.kind)).toEqual(blocks.map((b) => b.kind));
			}),
			{ numRuns: 80 }
		);
	});

	it('carry no confirmation along: another room decides anew', () => {
		const w = new PlanWriter();
		const plan = w.add('peak', w.item('frog', { keep: ['sore knee'] })).plan('A', '18:30', 900);
		const empty = emptyPlan('B', '18:30', 900);
		const after = pasteEdits(empty, { sectionId: 'peak', index: 0 }, allBlocks(plan)).reduce(
			applyEdit,
			empty
		);
		expect(itemsOf(after)[0]!.confirmed).toBeUndefined();
	});

	it.each([
		['some words', 'hello'],
		['a whole plan', '{"format":"humble-orbit/plan","version":1}'],
		[
			'an unknown movement',
			'{"format":"humble-orbit/blocks","version":1,"blocks":[{"kind":"item","id":"b1","movement":"levitation","form":"full","mode":"active","dose":3,"lead":"left"}]}'
		],
		['a number for blocks', '{"format":"humble-orbit/blocks","version":1,"blocks":5}']
	])('%s is refused', (_what, text) => {
		expect(readBlocks(text, findMovement).ok).toBe(false);
	});
});

describe('marking', () => {
	const w = new PlanWriter();
	const plan = w
		.add('warm', w.item('cat-cow'))
		.add('build', w.chain(w.item('low-lunge'), w.item('clam')), w.item('cobra'))
		.plan('A', '18:30', 900);
	const [cat, lunge, clam, cobra] = selectableIds(plan) as [string, string, string, string];

	it('from one row to another takes all between, in either direction', () => {
		expect(selectableBetween(plan, lunge, cobra)).toEqual([lunge, clam, cobra]);
		expect(selectableBetween(plan, cobra, lunge)).toEqual([lunge, clam, cobra]);
		expect(selectableBetween(plan, 'nowhere', cobra)).toEqual([]);
	});

	it('one item of a chain means its chain', () => {
		expect(blocksHolding(plan, [cat, clam]).map((b) => b.kind)).toEqual(['item', 'chain']);
	});
});

describe('dragging on the score', () => {
	it('drops a block at the place where the time is, and never loses or doubles it', () => {
		fc.assert(
			fc.property(anyPlan(2, 8), fc.nat(), fc.nat(), (plan, which, n) => {
				const blocks = allBlocks(plan);
				const { id } = blocks[which % blocks.length]!;
				const timeline = clock(plan, findMovement, USUAL_PACE);
				const second = n % (timeline.totalSeconds + 60);
				const place = placeAtSecond(plan, blockSpans(timeline), id, second)!;
				const after = applyEdit(plan, { do: 'move', blockId: id, to: place });
				expect(
					allBlocks(after)
						.map((b) => b.id)
						.sort()
				).toEqual(blocks.map((b) => b.id).sort());
				const others = allBlocks(after).map((b) => b.id);
				const spans = blockSpans(timeline);
				const middle = (b: string) => (spans.get(b)!.fromSeconds + spans.get(b)!.toSeconds) / 2;
				for (const before of others.slice(0, others.indexOf(id)))
					expect(middle(before)).toBeLessThanOrEqual(second);
			}),
			{ numRuns: 100 }
		);
	});

	it('snaps an edge to whole breaths, repetitions or five seconds', () => {
		for (const m of CATALOGUE) {
			const w = new PlanWriter();
			const plan = w.add('build', w.item(m.slug)).plan('A', '18:30', 900);
			const [item] = itemsOf(plan);
			const edit = doseDragged(item!, findMovement, 100, 5);
			if (!edit) continue;
			expect(planFaults(applyEdit(plan, edit), findMovement)).toEqual([]);
			expect(itemsOf(applyEdit(plan, edit))[0]!.dose.amount).toBeGreaterThan(item!.dose.amount);
		}
		const w = new PlanWriter();
		const plan = w.add('build', w.item('warrior-2', { dose: 30 })).plan('A', '18:30', 900);
		const [item] = itemsOf(plan);
		expect(doseDragged(item!, findMovement, 8, 1)).toMatchObject({ change: { amount: 40 } });
		expect(doseDragged(item!, findMovement, 2, 1)).toBeNull();
	});
});

describe('comparing two classes', () => {
	const w = new PlanWriter();
	const before = w
		.add('build', w.item('clam'), w.item('cobra'), w.item('clam', { dose: 12 }))
		.plan('A', '18:30', 900);
	const v = new PlanWriter();
	const after = v
		.add('build', v.item('clam', { form: 'stronger' }), v.item('plank'), v.item('cobra'))
		.plan('B', '18:30', 900);

	it('says what came, what went and what changed, visit by visit', () => {
		const { came, went, kept, likeness } = comparePlans(before, after);
		expect(came).toEqual(['plank']);
		expect(went).toEqual(['clam']);
		expect(kept.map((k) => [k.movement, k.changed])).toEqual([
			['clam', ['form']],
			['cobra', []]
		]);
		expect(likeness).toBeCloseTo(2 / 3, 12);
	});

	it('a class is all like itself, and an empty one like nothing', () => {
		fc.assert(
			fc.property(anyPlan(0, 8), (plan) => {
				const { came, went, kept, likeness } = comparePlans(plan, plan);
				expect([came, went]).toEqual([[], []]);
				expect(kept.every((k) => k.changed.length === 0)).toBe(true);
				expect(likeness).toBe(itemsOf(plan).length ? 1 : 0);
			})
		);
	});
});
