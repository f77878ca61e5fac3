import { CATALOGUE } from '$lib/catalogue';
import { blockSpans } from '$lib/core/clock';
import { readBlocks, writeBlocks } from '$lib/core/formats';
import { HIP_TESTS, TEST_IDS } from '$lib/core/hip-tests';
import { KINDS, type ClassKind } from '$lib/core/pace';
import {
	applyEdit,
	blockOfItem,
	blocksHolding,
	breathsJoined,
	chainWithNext,
	findBlock,
	impliedLinks,
	isLinked,
	itemsIn,
	linkEdit,
	LINKS,
	moveTogether,
	nextId,
	pasteEdits,
	placeAfter,
	placeAtSecond,
	selectableIds,
	unitWord,
	type Chain,
	type ChainChange,
	type Flow,
	type FlowChange,
	type Item,
	type Link,
	type PlanEdit,
	type TestBlock
} from '$lib/core/plan';
import type { PlanDocument } from './plan-document.svelte';
import type { Selection } from './selection.svelte';

/** Commands on whole blocks: the clipboard, moving, chains, flows and their links, words and tests. */
export class BlockCommands {
	constructor(
		private readonly document: PlanDocument,
		private readonly selection: Selection
	) {}

	/** The marked blocks as text for the clipboard; null when nothing is selected. */
	copy(): string | null {
		const blocks = blocksHolding(this.document.plan, this.selection.acted);
		if (blocks.length === 0) return null;
		const slugs = blocks.flatMap(itemsIn).map((item) => item.movement);
		const used = slugs.filter((slug, i) => slugs.indexOf(slug) === i);
		const movements = used.flatMap((slug) => {
			const movement = this.document.catalogue.find(slug);
			return movement && !CATALOGUE.includes(movement) ? [movement] : [];
		});
		this.document.say(blocks.length === 1 ? 'Copied' : `${blocks.length} blocks copied`);
		return writeBlocks({ blocks, movements });
	}

	cut(): string | null {
		const text = this.copy();
		if (text !== null) this.removeActed('cut');
		return text;
	}

	/** Puts blocks from the clipboard after the selection; says what is wrong with anything else. */
	paste(text: string): void {
		const read = readBlocks(text, this.document.catalogue.find);
		if (!read.ok) {
			this.document.say('There are no blocks of a class on the clipboard');
			return;
		}
		const unknown = read.value.movements.filter((movement) => !this.document.catalogue.find(movement.slug));
		if (unknown.length) {
			this.document.say(
				`${unknown[0]!.english} is not in your catalogue; open the plan file instead, which brings it along`
			);
			return;
		}
		const edits = pasteEdits(
			this.document.plan,
			placeAfter(this.document.plan, this.selection.selected),
			read.value.blocks
		);
		const count = edits.length;
		this.document.edit(edits, count === 1 ? 'Pasted' : `${count} blocks pasted`);
		const [first] = edits;
		if (first?.do === 'insert') this.selection.select(itemsIn(first.block)[0]?.id ?? first.block.id);
	}

	private removeActed(said: string): void {
		const acted = this.selection.acted;
		const ids = selectableIds(this.document.plan);
		const next = ids.slice(ids.indexOf(acted.at(-1) ?? '') + 1).find((id) => !acted.includes(id)) ?? null;
		const what = acted.length === 1 ? this.document.nameOf(acted[0]!) : `${acted.length} rows`;
		this.document.edit(
			acted.map((itemId): PlanEdit => ({ do: 'removeItem', itemId })),
			`${what} ${said}`
		);
		this.selection.select(next);
	}

	/** A block dropped on the score at a second of the class: it goes before the block that begins after it. */
	dropAt(itemId: string, second: number): void {
		const blockId = this.document.blockIdOf(itemId);
		const place = placeAtSecond(
			this.document.plan,
			blockSpans(this.document.analysis.timeline),
			blockId,
			second
		);
		if (place) this.drop(blockId, place.sectionId, place.index);
	}

	addTalk(): void {
		const id = nextId(this.document.plan);
		const at = placeAfter(this.document.plan, this.selection.selected);
		this.document.edit(
			{ do: 'insert', at, block: { kind: 'talk', id, label: 'A word', seconds: 30 } },
			'Talk added'
		);
		this.selection.selected = id;
	}

	remove(id: string): void {
		if (this.selection.marked.length > 1 && this.selection.marked.includes(id)) {
			this.removeActed('removed');
			return;
		}
		const ids = selectableIds(this.document.plan);
		const next = ids[ids.indexOf(id) + 1] ?? ids[ids.indexOf(id) - 1] ?? null;
		this.document.edit({ do: 'removeItem', itemId: id }, `${this.document.nameOf(id)} removed`);
		this.selection.selected = next;
	}

	/** Moves the selected block, or all marked ones together, one place earlier or later. */
	move(id: string, step: -1 | 1): void {
		const blocks = this.selection.marked.includes(id)
			? blocksHolding(this.document.plan, this.selection.acted).map((block) => block.id)
			: [this.document.blockIdOf(id)];
		const edits = moveTogether(this.document.plan, blocks, step);
		const what = blocks.length > 1 ? `${blocks.length} blocks` : this.document.nameOf(id);
		if (edits) this.document.edit(edits, `${what} moved ${step === 1 ? 'later' : 'earlier'}`);
	}

	/** A block dropped into a section by the pointer. */
	drop(blockId: string, sectionId: string, index: number): void {
		const at = findBlock(this.document.plan, blockId);
		if (!at || (at.sectionId === sectionId && at.index === index)) return;
		this.document.edit(
			{ do: 'move', blockId, to: { sectionId, index } },
			`${this.document.nameOf(blockId)} moved`
		);
	}

	chain(id: string): void {
		const blocks = blocksHolding(this.document.plan, this.selection.acted);
		const edit: PlanEdit | null =
			blocks.length > 1
				? { do: 'chain', blockIds: blocks.map((block) => block.id) }
				: chainWithNext(this.document.plan, id);
		if (edit) this.join(edit, id, 'Chained: one side through, then the other');
		else this.document.say('There is nothing after it in this section to chain with');
	}

	/** Makes a flow of the marked rows, or of the block that holds the selected one. */
	flow(id: string): void {
		const blockIds = blocksHolding(
			this.document.plan,
			this.selection.marked.length ? this.selection.acted : [id]
		).map(({ id }) => id);
		const [only] = blockIds;
		const items = blocksHolding(this.document.plan, this.selection.acted).flatMap(itemsIn);
		if (!only || items.length < 2) this.document.say('Mark two rows or more to let them flow in rounds');
		else this.join({ do: 'flow', blockIds }, id, 'A flow: four rounds, one breath to each');
	}

	/** Joins blocks, and says how the leg changes where the movements themselves say it. */
	private join(edit: PlanEdit, itemId: string, said: string): void {
		const links = impliedLinks(applyEdit(this.document.plan, edit), this.document.catalogue.find, itemId);
		const [first] = links;
		const up =
			first?.do === 'link' ? `; standing up, ${first.lead} leads ${this.document.nameOf(first.itemId)}` : '';
		this.document.edit([edit, ...links], said + up);
	}

	setFlow(flow: Flow, change: FlowChange, said: string): void {
		this.document.edit({ do: 'setFlow', blockId: flow.id, change }, said);
	}

	/** Sets the breaths of every movement of a flow. */
	breathsToEach(flow: Flow, breaths: number): void {
		const doses = Object.fromEntries(flow.items.map((item) => [item.id, breathsJoined(breaths)]));
		this.document.edit({ do: 'setDoses', doses }, `${breaths} ${unitWord('breaths', breaths)} to each`);
	}

	setChain(chain: Chain, change: ChainChange, said: string): void {
		this.document.edit({ do: 'setChain', blockId: chain.id, change }, said);
	}

	/** How a part of the class is taught; undefined: like the rest. */
	setKind(sectionId: string, classKind: ClassKind | undefined): void {
		const said = classKind ? `This part: ${KINDS[classKind].name.toLowerCase()}` : 'This part like the rest';
		this.document.edit({ do: 'setSection', sectionId, classKind }, said);
	}

	/** Says how the leg changes before an item of a chain or flow. */
	link(item: Item, link: Link | undefined): void {
		const edit = linkEdit(this.document.plan, this.document.catalogue.find, item.id, link);
		if (edit)
			this.document.edit(edit, link ? `The leg ${link}: the other one leads` : 'The same leg leads on');
		else this.document.say('Nothing with sides comes before it in a chain or flow');
	}

	/** Goes through the ways in which a leg may change: the key for it. */
	nextLink(item: Item): void {
		const ways = [undefined, ...LINKS];
		this.link(item, ways[(ways.indexOf(item.link) + 1) % ways.length]);
	}

	addTest(): void {
		const id = nextId(this.document.plan);
		const at = placeAfter(this.document.plan, this.selection.selected);
		const test = TEST_IDS[0];
		const block: TestBlock = { kind: 'test', id, test, seconds: HIP_TESTS[test].usualSeconds };
		this.document.edit({ do: 'insert', at, block }, 'Test added');
		this.selection.selected = id;
	}

	setTest(block: TestBlock, change: Partial<Pick<TestBlock, 'test' | 'seconds'>>): void {
		const usual = change.test ? { seconds: HIP_TESTS[change.test].usualSeconds } : {};
		this.document.edit({ do: 'setTest', blockId: block.id, change: { ...usual, ...change } }, 'Test changed');
	}

	unchain(id: string): void {
		const block = blockOfItem(this.document.plan, id);
		if (block && isLinked(block))
			this.document.edit(
				{ do: 'unchain', blockId: block.id },
				block.kind === 'flow' ? 'Flow split' : 'Chain split'
			);
	}
}
