import { CATALOGUE } from '$lib/catalogue';
import { blockSpans, secondsPerUnit } from '$lib/core/clock';
import { readBlocks, writeBlocks } from '$lib/core/formats';
import { HIP_TESTS, TEST_IDS } from '$lib/core/measure';
import { paceOf } from '$lib/core/pace';
import { doseRange, formOf } from '$lib/core/movement';
import {
	blockOfItem,
	blocksHolding,
	chainWithNext,
	doseDragged,
	findBlock,
	findItem,
	itemsIn,
	impliedLinks,
	isLinked,
	linkEdit,
	LINKS,
	moveTogether,
	newItem,
	nextId,
	pasteEdits,
	placeAfter,
	placeAtSecond,
	selectableIds,
	applyEdit,
	type Flow,
	type FlowChange,
	type Item,
	type Link,
	type PlanEdit,
	type TestBlock
} from '$lib/core/plan';
import { PlanDesk } from './plan-desk.svelte';

/** What is done with whole blocks: the clipboard, moving, chains, flows and their links, visits, words and tests. */
export class PlanBlocks extends PlanDesk {
	/** The marked blocks as text for the clipboard; null when nothing is selected. */
	copy(): string | null {
		const blocks = blocksHolding(this.plan, this.acted);
		if (blocks.length === 0) return null;
		const slugs = blocks.flatMap(itemsIn).map((item) => item.movement);
		const used = slugs.filter((slug, i) => slugs.indexOf(slug) === i);
		const movements = used.flatMap((slug) => {
			const movement = this.shelf.find(slug);
			return movement && !CATALOGUE.includes(movement) ? [movement] : [];
		});
		this.message = blocks.length === 1 ? 'Copied' : `${blocks.length} blocks copied`;
		return writeBlocks({ blocks, movements });
	}

	cut(): string | null {
		const text = this.copy();
		if (text !== null) this.removeActed('cut');
		return text;
	}

	/** Puts blocks from the clipboard after the selection; says what is wrong with anything else. */
	paste(text: string): void {
		const read = readBlocks(text, this.shelf.find);
		if (!read.ok) {
			this.message = 'There are no blocks of a class on the clipboard';
			return;
		}
		const unknown = read.value.movements.filter((movement) => !this.shelf.find(movement.slug));
		if (unknown.length) {
			this.message = `${unknown[0]!.english} is not in your catalogue; open the plan file instead, which brings it along`;
			return;
		}
		const edits = pasteEdits(this.plan, placeAfter(this.plan, this.selected), read.value.blocks);
		const count = edits.length;
		this.edit(edits, count === 1 ? 'Pasted' : `${count} blocks pasted`);
		const [first] = edits;
		if (first?.do === 'insert') this.select(itemsIn(first.block)[0]?.id ?? first.block.id);
	}

	private removeActed(said: string): void {
		const acted = this.acted;
		const ids = selectableIds(this.plan);
		const next = ids.slice(ids.indexOf(acted.at(-1) ?? '') + 1).find((id) => !acted.includes(id)) ?? null;
		const what = acted.length === 1 ? this.nameOf(acted[0]!) : `${acted.length} rows`;
		this.edit(
			acted.map((itemId): PlanEdit => ({ do: 'removeItem', itemId })),
			`${what} ${said}`
		);
		this.select(next);
	}

	/** A drag of the right edge of an item on the score, seconds. */
	dragDose(itemId: string, seconds: number): void {
		const item = findItem(this.plan, itemId);
		const movement = item && this.shelf.find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (!item || !form) return;
		const passes = this.reading.timeline.entries.filter(
			(e) => e.itemId === itemId && e.phase === 'work'
		).length;
		const unit = secondsPerUnit(
			doseRange(form, item.mode, item.unit),
			item.mode,
			paceOf(this.setting.pace, this.plan.pinnedPace)
		);
		const edit = doseDragged(this.plan, item, this.shelf.find, seconds / Math.max(1, passes), unit);
		if (edit) this.edit(edit, 'Dose changed');
		else this.message = 'This form goes no further';
	}

	/** A block dropped on the score at a second of the class: it goes before the block that begins after it. */
	dropAt(itemId: string, second: number): void {
		const blockId = this.blockIdOf(itemId);
		const place = placeAtSecond(this.plan, blockSpans(this.reading.timeline), blockId, second);
		if (place) this.drop(blockId, place.sectionId, place.index);
	}

	addTalk(): void {
		const id = nextId(this.plan);
		const at = placeAfter(this.plan, this.selected);
		this.edit({ do: 'insert', at, block: { kind: 'talk', id, label: 'A word', seconds: 30 } }, 'Talk added');
		this.selected = id;
	}

	remove(id: string): void {
		if (this.marked.length > 1 && this.marked.includes(id)) {
			this.removeActed('removed');
			return;
		}
		const ids = selectableIds(this.plan);
		const next = ids[ids.indexOf(id) + 1] ?? ids[ids.indexOf(id) - 1] ?? null;
		this.edit({ do: 'removeItem', itemId: id }, `${this.nameOf(id)} removed`);
		this.selected = next;
	}

	/** Moves the selected block, or all marked ones together, one place earlier or later. */
	move(id: string, step: -1 | 1): void {
		const blocks = this.marked.includes(id)
			? blocksHolding(this.plan, this.acted).map((block) => block.id)
			: [this.blockIdOf(id)];
		const edits = moveTogether(this.plan, blocks, step);
		const what = blocks.length > 1 ? `${blocks.length} blocks` : this.nameOf(id);
		if (edits) this.edit(edits, `${what} moved ${step === 1 ? 'later' : 'earlier'}`);
	}

	/** A block dropped into a section by the pointer. */
	drop(blockId: string, sectionId: string, index: number): void {
		const at = findBlock(this.plan, blockId);
		if (!at || (at.sectionId === sectionId && at.index === index)) return;
		this.edit({ do: 'move', blockId, to: { sectionId, index } }, `${this.nameOf(blockId)} moved`);
	}

	chain(id: string): void {
		const blocks = blocksHolding(this.plan, this.acted);
		const edit: PlanEdit | null =
			blocks.length > 1
				? { do: 'chain', blockIds: blocks.map((block) => block.id) }
				: chainWithNext(this.plan, id);
		if (edit) this.join(edit, id, 'Chained: one side through, then the other');
		else this.message = 'There is nothing after it in this section to chain with';
	}

	/** Makes a flow of the marked rows, or of the block that holds the selected one. */
	flow(id: string): void {
		const blockIds = blocksHolding(this.plan, this.marked.length ? this.acted : [id]).map(({ id }) => id);
		const [only] = blockIds;
		const items = blocksHolding(this.plan, this.acted).flatMap(itemsIn);
		if (!only || items.length < 2) this.message = 'Mark two rows or more to let them flow in rounds';
		else this.join({ do: 'flow', blockIds }, id, 'A flow: four rounds, one breath to each');
	}

	/** Joins blocks, and says how the leg changes where the movements themselves say it. */
	private join(edit: PlanEdit, itemId: string, said: string): void {
		const links = impliedLinks(applyEdit(this.plan, edit), this.shelf.find, itemId);
		const [first] = links;
		const up = first?.do === 'link' ? `; standing up, ${first.lead} leads ${this.nameOf(first.itemId)}` : '';
		this.edit([edit, ...links], said + up);
	}

	setFlow(flow: Flow, change: FlowChange, said: string): void {
		this.edit({ do: 'setFlow', blockId: flow.id, change }, said);
	}

	/** Says how the leg changes before an item of a chain or flow. */
	link(item: Item, link: Link | undefined): void {
		const edit = linkEdit(this.plan, this.shelf.find, item.id, link);
		if (edit) this.edit(edit, link ? `The leg ${link}: the other one leads` : 'The same leg leads on');
		else this.message = 'Nothing with sides comes before it in a chain or flow';
	}

	/** Goes through the ways in which a leg may change: the key for it. */
	nextLink(item: Item): void {
		const ways = [undefined, ...LINKS];
		this.link(item, ways[(ways.indexOf(item.link) + 1) % ways.length]);
	}

	/** The same movement again after the selected row, a rung further where there is one. */
	visitAgain(item: Item): void {
		const movement = this.shelf.find(item.movement);
		if (!movement) return;
		const further = movement.forms[movement.forms.findIndex((form) => form.id === item.form) + 1];
		const again = newItem(this.plan, movement, item.lead, further?.id ?? item.form);
		this.edit(
			{ do: 'insert', at: placeAfter(this.plan, item.id), block: again },
			`${movement.english} again`
		);
		this.selected = again.id;
	}

	addTest(): void {
		const id = nextId(this.plan);
		const at = placeAfter(this.plan, this.selected);
		const test = TEST_IDS[0];
		const block: TestBlock = { kind: 'test', id, test, seconds: HIP_TESTS[test].usualSeconds };
		this.edit({ do: 'insert', at, block }, 'Test added');
		this.selected = id;
	}

	setTest(block: TestBlock, change: Partial<Pick<TestBlock, 'test' | 'seconds'>>): void {
		const usual = change.test ? { seconds: HIP_TESTS[change.test].usualSeconds } : {};
		this.edit({ do: 'setTest', blockId: block.id, change: { ...usual, ...change } }, 'Test changed');
	}

	unchain(id: string): void {
		const block = blockOfItem(this.plan, id);
		if (block && isLinked(block))
			this.edit(
				{ do: 'unchain', blockId: block.id },
				block.kind === 'flow' ? 'Flow taken apart' : 'Chain taken apart'
			);
	}
}
