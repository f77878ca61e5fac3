import { describe, expect, it, vi } from 'vitest';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { NOTHING_KNOWN } from '../../src/lib/core/record';
import { findMovement } from '../../src/lib/catalogue';
import { Autosave } from '../../src/lib/client/saving/autosave.svelte';
import { deskKey } from '../../src/lib/client/plan/desk-keys';
import { PlanDesk } from '../../src/lib/client/plan/plan-desk';
import type { DeskContext } from '../../src/lib/client/plan/plan-document.svelte';
import type { Movement } from '../../src/lib/core/movement';
import { sumOfOrbits } from '../../src/lib/core/orbit';
import { emptyPlan, itemsOf, type ClassPlan, type Flow, type TestBlock } from '../../src/lib/core/plan';
import type { StyleChoices } from '../../src/lib/core/style';
import { groupOf } from './checks/case';

const movement = (slug: string) => findMovement(slug) as Movement;

function context(change: Partial<DeskContext> = {}): DeskContext {
	return {
		group: groupOf(),
		own: [],
		leftOut: [],
		moved: [],
		known: NOTHING_KNOWN,
		usedLately: NOTHING_KNOWN,
		pace: USUAL_PACE,
		lastFirstSide: null,
		silencedChecks: [],
		lastMovements: [],
		lately: { classes: 0, orbit: sumOfOrbits([]) },
		today: '2026-11-24',
		...change
	};
}

/** A desk whose saves are only counted. */
function deskWith(slugs: string[] = [], change: Partial<DeskContext> = {}, choices: StyleChoices = {}) {
	const autosave = { changed: vi.fn() };
	const plan = emptyPlan('A class', '18:30', 1800, choices);
	const desk = new PlanDesk(plan, context(change), autosave as unknown as Autosave<ClassPlan>);
	for (const slug of slugs) desk.items.add(movement(slug));
	return { desk, autosave };
}
const slugs = (desk: PlanDesk) => itemsOf(desk.document.plan).map((item) => item.movement);

describe('the desk', () => {
	it('adds after the selection, saves each change, and takes each back', () => {
		const { desk, autosave } = deskWith(['cat-cow', 'clam']);
		desk.selection.select(itemsOf(desk.document.plan)[0]!.id);
		desk.items.add(movement('cobra'));
		expect(slugs(desk)).toEqual(['cat-cow', 'cobra', 'clam']);
		expect(autosave.changed).toHaveBeenCalledTimes(3);
		desk.session.undo();
		desk.session.undo();
		expect(slugs(desk)).toEqual(['cat-cow']);
		desk.session.redo();
		expect(slugs(desk)).toEqual(['cat-cow', 'clam']);
		expect(desk.session.message).toBe('Redone');
	});

	it('typing on in one field is one step back', () => {
		const { desk } = deskWith(['clam']);
		const [item] = itemsOf(desk.document.plan);
		for (const dose of [9, 10, 11])
			desk.items.setDose(itemsOf(desk.document.plan)[0]!, { amount: dose }, '', `dose ${item!.id}`);
		expect(itemsOf(desk.document.plan)[0]!.dose).toEqual({ amount: 11 });
		desk.session.undo();
		expect(itemsOf(desk.document.plan)[0]!.dose).toEqual(item!.dose);
	});

	it('marks rows, copies them as text, pastes them after the selection, removes them together', () => {
		const { desk } = deskWith(['cat-cow', 'clam', 'cobra']);
		const ids = itemsOf(desk.document.plan).map((item) => item.id);
		desk.selection.select(ids[0]!);
		desk.selection.markNeighbour(1);
		expect(desk.selection.marked).toEqual([ids[0], ids[1]]);
		const text = desk.blocks.copy()!;
		desk.selection.select(ids[2]!);
		desk.blocks.paste(text);
		expect(slugs(desk)).toEqual(['cat-cow', 'clam', 'cobra', 'cat-cow', 'clam']);
		desk.selection.markAll();
		desk.blocks.remove(desk.selection.marked[0]!);
		expect(slugs(desk)).toEqual([]);
		desk.session.undo();
		expect(slugs(desk)).toHaveLength(5);
		desk.blocks.paste('a shopping list');
		expect(desk.session.message).toBe('There are no blocks of a class on the clipboard');
	});

	it('unmarks what is marked twice, and everything when something else is selected', () => {
		const { desk } = deskWith(['cat-cow', 'clam']);
		const [a, b] = itemsOf(desk.document.plan).map((item) => item.id) as [string, string];
		desk.selection.select(a);
		desk.selection.mark(b, 'this too');
		expect(desk.selection.marked).toEqual([a, b]);
		desk.selection.mark(b, 'this too');
		expect(desk.selection.marked).toEqual([a]);
		desk.selection.select(b);
		expect(desk.selection.marked).toEqual([]);
	});

	it('chains everything that is marked, and takes a chain apart in which a swap left nothing with sides', () => {
		const { desk } = deskWith(['clam', 'low-lunge']);
		desk.selection.markAll();
		desk.blocks.chain(desk.selection.marked[0]!);
		expect(desk.document.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual(['chain']);
		for (const item of itemsOf(desk.document.plan)) desk.items.swapFor(item, movement('cat-cow'));
		expect(desk.document.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual(['item', 'item']);
	});

	it('in a style of chains what has sides joins the one before it', () => {
		const { desk } = deskWith(['low-lunge', 'clam', 'cat-cow'], {}, { runningSides: 'chain' });
		expect(desk.document.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual([
			'chain',
			'item'
		]);
	});

	it('lets what is marked flow in rounds, sets it, and takes it apart', () => {
		const { desk } = deskWith(['cat-cow', 'low-lunge']);
		const kinds = () => desk.document.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind);
		desk.blocks.flow(itemsOf(desk.document.plan)[0]!.id);
		expect(desk.session.message).toBe('Mark two rows or more to let them flow in rounds');
		desk.selection.markAll();
		desk.blocks.flow(desk.selection.marked[0]!);
		expect(kinds()).toEqual(['flow']);
		const flow = () => desk.document.plan.sections.flatMap((s) => s.blocks)[0] as Flow;
		desk.blocks.setFlow(flow(), { rounds: 2 }, '');
		desk.blocks.breathsToEach(flow(), 3);
		expect(flow()).toMatchObject({ rounds: 2, sides: 'alternate' });
		expect(desk.document.order.flatMap((s) => s.blocks)[0]!.rows.map((row) => row.words)).toEqual([
			'3 breaths, with the movement',
			'3 breaths each side, with the movement'
		]);
		expect(desk.document.nameOf(flow().id)).toBe('Flow');
		desk.blocks.unchain(itemsOf(desk.document.plan)[0]!.id);
		expect(kinds()).toEqual(['item', 'item']);
	});

	it('follows the leg: standing up out of a floor shape says so, and a link is gone through by its key', () => {
		const { desk } = deskWith(['clam', 'standing-figure-four']);
		desk.selection.markAll();
		desk.blocks.chain(desk.selection.marked[0]!);
		const last = () => itemsOf(desk.document.plan)[1]!;
		expect(last()).toMatchObject({ link: 'stands up', lead: 'right' });
		expect(desk.session.message).toContain('standing up, right leads Standing figure four');
		desk.blocks.nextLink(last());
		expect(last()).toMatchObject({ link: 'crosses over', lead: 'right' });
		desk.blocks.nextLink(last());
		expect(last()).toMatchObject({ lead: 'left' });
		expect(last().link).toBeUndefined();
		desk.blocks.link(itemsOf(desk.document.plan)[0]!, 'steps through');
		expect(desk.session.message).toBe('Nothing with sides comes before it in a chain or flow');
	});

	it('visits a movement again a rung further, and adds a test with its usual time', () => {
		const { desk } = deskWith(['low-lunge']);
		const [first] = itemsOf(desk.document.plan);
		desk.items.visitAgain(first!);
		const [, again] = itemsOf(desk.document.plan);
		const ladder = movement('low-lunge').forms.map((form) => form.id);
		expect(ladder.indexOf(again!.form)).toBe(ladder.indexOf(first!.form) + 1);
		expect(desk.document.order.flatMap((s) => s.blocks).map((b) => b.rows[0]?.visitsBefore)).toEqual([0, 1]);
		desk.blocks.addTest();
		const test = desk.document.plan.sections.flatMap((s) => s.blocks).at(-1) as TestBlock;
		expect(test).toMatchObject({ kind: 'test', test: 'low-lunge-upright', seconds: 75 });
		desk.blocks.setTest(test, { test: 'leg-roll' });
		expect(desk.document.nameOf(test.id)).toBe('Rolling straight legs in');
		expect(desk.document.plan.sections.flatMap((s) => s.blocks).at(-1)).toMatchObject({ seconds: 40 });
	});

	it('moves all that is marked together, and not at all where it would have to part', () => {
		const { desk } = deskWith(['cat-cow', 'clam', 'cobra', 'supported-bridge']);
		const ids = itemsOf(desk.document.plan).map((item) => item.id);
		desk.selection.select(ids[1]!);
		desk.selection.mark(ids[2]!, 'this too');
		desk.blocks.move(ids[2]!, 1);
		expect(slugs(desk)).toEqual(['cat-cow', 'supported-bridge', 'clam', 'cobra']);
		expect(desk.session.message).toBe('2 blocks moved later');
		for (let i = 0; i < 3; i++) desk.blocks.move(ids[2]!, -1);
		expect(slugs(desk)).toEqual(['clam', 'cobra', 'cat-cow', 'supported-bridge']);
		desk.session.undo();
		expect(slugs(desk)).toEqual(['cat-cow', 'clam', 'cobra', 'supported-bridge']);
	});

	it('counts a hold another way and back, the time carried over', () => {
		const { desk } = deskWith(['low-lunge']);
		const item = () => itemsOf(desk.document.plan)[0]!;
		desk.items.setUnit(item(), 'seconds');
		expect(item().dose).toEqual({ unit: 'seconds', amount: 35 });
		desk.items.setUnit(item(), 'breaths');
		expect(item().dose).toEqual({ amount: 5 });
	});

	it('swaps for the best substitute in this room, and proposes nothing where a clinician decides', () => {
		const knee = deskWith(['fire-log'], { group: groupOf({}, ['sore knee']) }).desk;
		knee.items.swapForBest(itemsOf(knee.document.plan)[0]!);
		expect(slugs(knee)).toEqual(['chair-figure-four']);
		const hip = deskWith(['fire-log'], { group: groupOf({}, ['after hip replacement']) }).desk;
		hip.items.swapForBest(itemsOf(hip.document.plan)[0]!);
		expect(slugs(hip)).toEqual(['fire-log']);
		expect(hip.session.message).toContain('the treating clinician decides');
	});

	it('keeps a cautioned item by confirmation, with the day', () => {
		const { desk } = deskWith(['fire-log'], {
			group: { ...groupOf(), cautions: [{ caution: 'sore knee', people: 6 }] }
		});
		const stops = () =>
			desk.document.analysis.findings.filter(
				(f) => f.checkId === 'caution-conflict' && f.severity === 'stop'
			);
		expect(stops()).toHaveLength(1);
		desk.items.confirm(itemsOf(desk.document.plan)[0]!.id, 'sore knee');
		expect(stops()).toHaveLength(0);
		expect(itemsOf(desk.document.plan)[0]!.confirmed).toEqual([{ caution: 'sore knee', on: '2026-11-24' }]);
	});

	it('a finding on purpose is silent until it is asked again', () => {
		const { desk } = deskWith(['happy-baby']);
		const finding = desk.document.analysis.findings.find((f) => f.checkId === 'close-with-rest')!;
		desk.repairs.silence(finding, 'They rest at home.');
		expect(desk.document.analysis.findings.some((f) => f.checkId === 'close-with-rest')).toBe(false);
		expect(desk.document.analysis.silenced[0]?.reason).toBe('They rest at home.');
		desk.repairs.unsilence(finding);
		expect(desk.document.plan.silenced).toBeUndefined();
	});

	it('says nothing of a check that the teacher silenced for good, but for one of safety', () => {
		const silencedChecks = [
			{ check: 'close-with-rest', reason: 'they rest at home' },
			{ check: 'caution-conflict', reason: 'never' }
		];
		const group = groupOf({}, ['after hip replacement']);
		const { desk } = deskWith(['cow-face-fold'], { silencedChecks, group });
		const { findings, silenced } = desk.document.analysis;
		expect(findings.map(({ checkId }) => checkId)).not.toContain('close-with-rest');
		expect(findings.map(({ checkId }) => checkId)).toContain('caution-conflict');
		expect(silenced).toEqual([expect.objectContaining({ reason: 'they rest at home', forGood: true })]);
	});

	it('keeps a movement as the plan was made with it until told otherwise', () => {
		const old = { ...movement('clam'), english: 'Clam of old' };
		const moved = { slug: 'clam', english: 'Clam of old', now: 'b'.repeat(16), kept: old, differences: [] };
		const { desk } = deskWith(['clam'], { moved: [moved] });
		expect(desk.document.catalogue.find('clam')?.english).toBe('Clam of old');
		desk.document.remake(moved);
		expect(desk.document.moved).toEqual([]);
		expect(desk.document.catalogue.find('clam')?.english).toBe('Clam');
		desk.session.undo();
		expect(desk.document.moved).toHaveLength(1);
	});

	it('drags an edge to whole doses and a block to another place', () => {
		const { desk } = deskWith(['warrior-2', 'clam']);
		const [warrior, clam] = itemsOf(desk.document.plan).map((item) => item.id) as [string, string];
		desk.items.dragDose(warrior, 20);
		expect(itemsOf(desk.document.plan)[0]!.dose.amount).toBe(40);
		// the usual range is advice; over an hour is nonsense
		desk.items.dragDose(warrior, 5000);
		expect(itemsOf(desk.document.plan)[0]!.dose.amount).toBe(2540);
		desk.blocks.dropAt(warrior, 100_000);
		expect(slugs(desk)).toEqual(['clam', 'warrior-2']);
		desk.blocks.dropAt(clam, 100_000);
		expect(slugs(desk)).toEqual(['warrior-2', 'clam']);
	});
});

describe('keys at the desk', () => {
	const press = (desk: PlanDesk, key: string, more: Partial<KeyboardEvent> = {}) => {
		const target = { closest: () => null };
		const event = { key, target, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...more };
		return deskKey(event as unknown as KeyboardEvent, desk, {
			add: () => undefined,
			propose: () => undefined,
			change: () => undefined,
			keys: () => undefined
		});
	};

	it('act on the selected row, and on nothing when nothing is selected', () => {
		const { desk } = deskWith(['clam']);
		expect(press(desk, '+')).toBe('done');
		expect(itemsOf(desk.document.plan)[0]!.dose.amount).toBe(11);
		press(desk, '-');
		press(desk, 's');
		expect(itemsOf(desk.document.plan)[0]).toMatchObject({ dose: { amount: 10 }, lead: 'right' });
		press(desk, 'p');
		expect(itemsOf(desk.document.plan)[0]!.pinned).toBe(true);
		press(desk, 'd');
		expect(desk.selection.detail).toBe(itemsOf(desk.document.plan)[0]!.id);
		desk.selection.select(null);
		expect(press(desk, 's')).toBeNull();
		expect(press(desk, 'Delete')).toBeNull();
	});

	it('leave text fields and dialogs alone', () => {
		const { desk } = deskWith(['clam']);
		const inField = { closest: (what: string) => (what.startsWith('input') ? {} : null) };
		expect(press(desk, 's', { target: inField as unknown as EventTarget })).toBeNull();
		expect(press(desk, 'z', { ctrlKey: true, target: inField as unknown as EventTarget })).toBeNull();
		const inDialog = { closest: () => ({}) };
		expect(press(desk, 'Delete', { target: inDialog as unknown as EventTarget })).toBeNull();
	});

	it('mark with Shift and all with Ctrl A; undo and redo with Ctrl', () => {
		const { desk } = deskWith(['clam', 'cobra']);
		desk.selection.select(itemsOf(desk.document.plan)[0]!.id);
		expect(press(desk, 'ArrowDown', { shiftKey: true })).toBe('moved');
		expect(desk.selection.marked).toHaveLength(2);
		expect(press(desk, 'z', { ctrlKey: true })).toBe('moved');
		expect(slugs(desk)).toEqual(['clam']);
		press(desk, 'z', { ctrlKey: true, shiftKey: true });
		expect(slugs(desk)).toEqual(['clam', 'cobra']);
		expect(press(desk, 'a', { ctrlKey: true })).toBe('done');
		expect(desk.selection.marked).toHaveLength(2);
	});
});
