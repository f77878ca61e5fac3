import { describe, expect, it, vi } from 'vitest';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { NOTHING_KNOWN } from '../../src/lib/core/run';
import { findMovement } from '../../src/lib/catalogue';
import { Autosave } from '../../src/lib/client/autosave.svelte';
import { deskKey } from '../../src/lib/client/desk-keys';
import { PlanEditor, type DeskSetting } from '../../src/lib/client/plan-editor.svelte';
import type { Movement } from '../../src/lib/core/movement';
import { emptyPlan, itemsOf, type ClassPlan, type Flow, type TestBlock } from '../../src/lib/core/plan';
import type { StyleChoices } from '../../src/lib/core/style';
import { groupOf } from './checks/case';

const movement = (slug: string) => findMovement(slug) as Movement;

function setting(change: Partial<DeskSetting> = {}): DeskSetting {
	return {
		group: groupOf(),
		own: [],
		leftOut: [],
		moved: [],
		known: NOTHING_KNOWN,
		usedLately: NOTHING_KNOWN,
		pace: USUAL_PACE,
		lastFirstSide: null,
		lastMovements: [],
		today: '2026-11-24',
		...change
	};
}

/** A desk whose saves are only counted. */
function desk(slugs: string[] = [], change: Partial<DeskSetting> = {}, choices: StyleChoices = {}) {
	const autosave = { changed: vi.fn() };
	const plan = emptyPlan('A class', '18:30', 1800, choices);
	const editor = new PlanEditor(plan, setting(change), autosave as unknown as Autosave<ClassPlan>);
	for (const slug of slugs) editor.add(movement(slug));
	return { editor, autosave };
}
const slugs = (editor: PlanEditor) => itemsOf(editor.plan).map((item) => item.movement);

describe('the desk', () => {
	it('adds after the selection, saves each change, and takes each back', () => {
		const { editor, autosave } = desk(['cat-cow', 'clam']);
		editor.select(itemsOf(editor.plan)[0]!.id);
		editor.add(movement('cobra'));
		expect(slugs(editor)).toEqual(['cat-cow', 'cobra', 'clam']);
		expect(autosave.changed).toHaveBeenCalledTimes(3);
		editor.undo();
		editor.undo();
		expect(slugs(editor)).toEqual(['cat-cow']);
		editor.redo();
		expect(slugs(editor)).toEqual(['cat-cow', 'clam']);
		expect(editor.message).toBe('Done again');
	});

	it('typing on in one field is one step back', () => {
		const { editor } = desk(['clam']);
		const [item] = itemsOf(editor.plan);
		for (const dose of [9, 10, 11]) editor.change(itemsOf(editor.plan)[0]!, { dose }, '', `dose ${item!.id}`);
		expect(itemsOf(editor.plan)[0]!.dose).toBe(11);
		editor.undo();
		expect(itemsOf(editor.plan)[0]!.dose).toBe(item!.dose);
	});

	it('marks rows, copies them as text, pastes them after the selection, removes them together', () => {
		const { editor } = desk(['cat-cow', 'clam', 'cobra']);
		const ids = itemsOf(editor.plan).map((item) => item.id);
		editor.select(ids[0]!);
		editor.markNeighbour(1);
		expect(editor.marked).toEqual([ids[0], ids[1]]);
		const text = editor.copy()!;
		editor.select(ids[2]!);
		editor.paste(text);
		expect(slugs(editor)).toEqual(['cat-cow', 'clam', 'cobra', 'cat-cow', 'clam']);
		editor.markAll();
		editor.remove(editor.marked[0]!);
		expect(slugs(editor)).toEqual([]);
		editor.undo();
		expect(slugs(editor)).toHaveLength(5);
		editor.paste('a shopping list');
		expect(editor.message).toBe('There are no blocks of a class on the clipboard');
	});

	it('unmarks what is marked twice, and everything when something else is selected', () => {
		const { editor } = desk(['cat-cow', 'clam']);
		const [a, b] = itemsOf(editor.plan).map((item) => item.id) as [string, string];
		editor.select(a);
		editor.mark(b, 'this too');
		expect(editor.marked).toEqual([a, b]);
		editor.mark(b, 'this too');
		expect(editor.marked).toEqual([a]);
		editor.select(b);
		expect(editor.marked).toEqual([]);
	});

	it('chains everything that is marked, and takes a chain apart in which a swap left nothing with sides', () => {
		const { editor } = desk(['clam', 'low-lunge']);
		editor.markAll();
		editor.chain(editor.marked[0]!);
		expect(editor.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual(['chain']);
		for (const item of itemsOf(editor.plan)) editor.swapFor(item, movement('cat-cow'));
		expect(editor.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual(['item', 'item']);
	});

	it('in a style of chains what has sides joins the one before it', () => {
		const { editor } = desk(['low-lunge', 'clam', 'cat-cow'], {}, { runningSides: 'chain' });
		expect(editor.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind)).toEqual(['chain', 'item']);
	});

	it('lets what is marked flow in rounds, sets it, and takes it apart', () => {
		const { editor } = desk(['cat-cow', 'low-lunge']);
		const kinds = () => editor.plan.sections.flatMap((s) => s.blocks).map((b) => b.kind);
		editor.flow(itemsOf(editor.plan)[0]!.id);
		expect(editor.message).toBe('Mark two rows or more to let them flow in rounds');
		editor.markAll();
		editor.flow(editor.marked[0]!);
		expect(kinds()).toEqual(['flow']);
		const flow = () => editor.plan.sections.flatMap((s) => s.blocks)[0] as Flow;
		editor.setFlow(flow(), { rounds: 2, breathsEach: undefined }, '');
		expect(flow()).toMatchObject({ rounds: 2, sides: 'alternate' });
		expect(editor.order.flatMap((s) => s.blocks)[0]!.rows.every((row) => row.dosed)).toBe(true);
		expect(editor.nameOf(flow().id)).toBe('Flow');
		editor.unchain(itemsOf(editor.plan)[0]!.id);
		expect(kinds()).toEqual(['item', 'item']);
	});

	it('follows the leg: standing up out of a floor shape says so, and a link is gone through by its key', () => {
		const { editor } = desk(['clam', 'standing-figure-four']);
		editor.markAll();
		editor.chain(editor.marked[0]!);
		const last = () => itemsOf(editor.plan)[1]!;
		expect(last()).toMatchObject({ link: 'stands up', lead: 'right' });
		expect(editor.message).toContain('standing up, right leads Standing figure four');
		editor.nextLink(last());
		expect(last()).toMatchObject({ link: 'crosses over', lead: 'right' });
		editor.nextLink(last());
		expect(last()).toMatchObject({ lead: 'left' });
		expect(last().link).toBeUndefined();
		editor.link(itemsOf(editor.plan)[0]!, 'steps through');
		expect(editor.message).toBe('Nothing with sides comes before it in a chain or flow');
	});

	it('visits a movement again a rung further, and adds a test with its usual time', () => {
		const { editor } = desk(['low-lunge']);
		const [first] = itemsOf(editor.plan);
		editor.visitAgain(first!);
		const [, again] = itemsOf(editor.plan);
		const ladder = movement('low-lunge').forms.map((form) => form.id);
		expect(ladder.indexOf(again!.form)).toBe(ladder.indexOf(first!.form) + 1);
		expect(editor.order.flatMap((s) => s.blocks).map((b) => b.rows[0]?.visitsBefore)).toEqual([0, 1]);
		editor.addTest();
		const test = editor.plan.sections.flatMap((s) => s.blocks).at(-1) as TestBlock;
		expect(test).toMatchObject({ kind: 'test', test: 'low-lunge-upright', seconds: 75 });
		editor.setTest(test, { test: 'leg-roll' });
		expect(editor.nameOf(test.id)).toBe('Rolling straight legs in and out');
		expect(editor.plan.sections.flatMap((s) => s.blocks).at(-1)).toMatchObject({ seconds: 40 });
	});

	it('moves all that is marked together, and not at all where it would have to part', () => {
		const { editor } = desk(['cat-cow', 'clam', 'cobra', 'supported-bridge']);
		const ids = itemsOf(editor.plan).map((item) => item.id);
		editor.select(ids[1]!);
		editor.mark(ids[2]!, 'this too');
		editor.move(ids[2]!, 1);
		expect(slugs(editor)).toEqual(['cat-cow', 'supported-bridge', 'clam', 'cobra']);
		expect(editor.message).toBe('2 blocks moved later');
		for (let i = 0; i < 3; i++) editor.move(ids[2]!, -1);
		expect(slugs(editor)).toEqual(['clam', 'cobra', 'cat-cow', 'supported-bridge']);
		editor.undo();
		expect(slugs(editor)).toEqual(['cat-cow', 'clam', 'cobra', 'supported-bridge']);
	});

	it('counts a hold another way and back, the time carried over', () => {
		const { editor } = desk(['low-lunge']);
		const item = () => itemsOf(editor.plan)[0]!;
		editor.setUnit(item(), 'seconds');
		expect(item()).toMatchObject({ unit: 'seconds', dose: 35 });
		editor.setUnit(item(), 'breaths');
		expect(item()).toMatchObject({ dose: 5 });
		expect(item().unit).toBeUndefined();
	});

	it('swaps for the best substitute in this room, and proposes nothing where a clinician decides', () => {
		const knee = desk(['fire-log'], { group: groupOf({}, ['sore knee']) }).editor;
		knee.swapForBest(itemsOf(knee.plan)[0]!);
		expect(slugs(knee)).toEqual(['chair-figure-four']);
		const hip = desk(['fire-log'], { group: groupOf({}, ['after hip replacement']) }).editor;
		hip.swapForBest(itemsOf(hip.plan)[0]!);
		expect(slugs(hip)).toEqual(['fire-log']);
		expect(hip.message).toContain('the treating clinician decides');
	});

	it('keeps a cautioned item by confirmation, with the day', () => {
		const { editor } = desk(['fire-log'], { group: groupOf({}, ['sore knee']) });
		const stops = () =>
			editor.reading.findings.filter((f) => f.checkId === 'caution-conflict' && f.severity === 'stop');
		expect(stops()).toHaveLength(1);
		editor.confirm(itemsOf(editor.plan)[0]!.id, 'sore knee');
		expect(stops()).toHaveLength(0);
		expect(itemsOf(editor.plan)[0]!.confirmed).toEqual([{ caution: 'sore knee', on: '2026-11-24' }]);
	});

	it('a finding on purpose is silent until it is asked again', () => {
		const { editor } = desk(['happy-baby']);
		const finding = editor.reading.findings.find((f) => f.checkId === 'close-with-rest')!;
		editor.silence(finding, 'They rest at home.');
		expect(editor.reading.findings.some((f) => f.checkId === 'close-with-rest')).toBe(false);
		expect(editor.reading.silenced[0]?.reason).toBe('They rest at home.');
		editor.unsilence(finding);
		expect(editor.plan.silenced).toBeUndefined();
	});

	it('keeps a movement as the plan was made with it until told otherwise', () => {
		const old = { ...movement('clam'), english: 'Clam of old' };
		const moved = { slug: 'clam', english: 'Clam of old', now: 'b'.repeat(16), kept: old, differences: [] };
		const { editor } = desk(['clam'], { moved: [moved] });
		expect(editor.shelf.find('clam')?.english).toBe('Clam of old');
		editor.remake(moved);
		expect(editor.moved).toEqual([]);
		expect(editor.shelf.find('clam')?.english).toBe('Clam');
		editor.undo();
		expect(editor.moved).toHaveLength(1);
	});

	it('drags an edge to whole doses and a block to another place', () => {
		const { editor } = desk(['warrior-2', 'clam']);
		const [warrior, clam] = itemsOf(editor.plan).map((item) => item.id) as [string, string];
		editor.dragDose(warrior, 20);
		expect(itemsOf(editor.plan)[0]!.dose).toBe(40);
		editor.dragDose(warrior, 5000);
		expect(itemsOf(editor.plan)[0]!.dose).toBe(45);
		editor.dropAt(warrior, 100_000);
		expect(slugs(editor)).toEqual(['clam', 'warrior-2']);
		editor.dropAt(clam, 100_000);
		expect(slugs(editor)).toEqual(['warrior-2', 'clam']);
	});
});

describe('keys at the desk', () => {
	const press = (editor: PlanEditor, key: string, more: Partial<KeyboardEvent> = {}) => {
		const target = { closest: () => null };
		const event = { key, target, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...more };
		return deskKey(event as unknown as KeyboardEvent, editor, {
			add: () => undefined,
			propose: () => undefined,
			keys: () => undefined
		});
	};

	it('act on the selected row, and on nothing when nothing is selected', () => {
		const { editor } = desk(['clam']);
		expect(press(editor, '+')).toBe('done');
		expect(itemsOf(editor.plan)[0]!.dose).toBe(11);
		press(editor, '-');
		press(editor, 's');
		expect(itemsOf(editor.plan)[0]).toMatchObject({ dose: 10, lead: 'right' });
		press(editor, 'p');
		expect(itemsOf(editor.plan)[0]!.pinned).toBe(true);
		press(editor, 'd');
		expect(editor.detail).toBe(itemsOf(editor.plan)[0]!.id);
		editor.select(null);
		expect(press(editor, 's')).toBeNull();
		expect(press(editor, 'Delete')).toBeNull();
	});

	it('leave text fields and dialogs alone', () => {
		const { editor } = desk(['clam']);
		const inField = { closest: (what: string) => (what.startsWith('input') ? {} : null) };
		expect(press(editor, 's', { target: inField as unknown as EventTarget })).toBeNull();
		expect(press(editor, 'z', { ctrlKey: true, target: inField as unknown as EventTarget })).toBeNull();
		const inDialog = { closest: () => ({}) };
		expect(press(editor, 'Delete', { target: inDialog as unknown as EventTarget })).toBeNull();
	});

	it('mark with Shift and all with Ctrl A; undo and redo with Ctrl', () => {
		const { editor } = desk(['clam', 'cobra']);
		editor.select(itemsOf(editor.plan)[0]!.id);
		expect(press(editor, 'ArrowDown', { shiftKey: true })).toBe('moved');
		expect(editor.marked).toHaveLength(2);
		expect(press(editor, 'z', { ctrlKey: true })).toBe('moved');
		expect(slugs(editor)).toEqual(['clam']);
		press(editor, 'z', { ctrlKey: true, shiftKey: true });
		expect(slugs(editor)).toEqual(['clam', 'cobra']);
		expect(press(editor, 'a', { ctrlKey: true })).toBe('done');
		expect(editor.marked).toHaveLength(2);
	});
});
