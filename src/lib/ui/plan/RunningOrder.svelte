<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import type { OrderBlock } from '$lib/core/view-models';
	import { KINDS } from '$lib/core/pace';
	import { isLinked } from '$lib/core/plan';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Selection } from '$lib/client/plan/selection.svelte';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import type { Alternatives } from '$lib/client/plan/alternatives.svelte';
	import Draggable from 'carbon-icons-svelte/lib/Draggable.svelte';
	import { dragHandle, dragZone, INTO_ANOTHER, type DndEvent } from '$lib/client/page/drag';
	import { onMount } from 'svelte';
	import LinkedHead from './LinkedHead.svelte';
	import OrderItem from './OrderItem.svelte';
	import PlainRow from './PlainRow.svelte';

	/** The class as a list, section by section; blocks are moved by the pointer here and by keys at the desk. */
	interface Props {
		doc: PlanDocument;
		selection: Selection;
		items: ItemCommands;
		blocks: BlockCommands;
		alternatives: Alternatives;
	}
	let { doc, selection, items, blocks, alternatives }: Props = $props();

	/** Whether the rows that are made now come with the page; not a state, for those that are there stay as they are. */
	const page = { isFirst: true };
	onMount(() => void (page.isFirst = false));

	/** While something is dragged the lists show where it would land; the plan changes when it is let go. */
	let dragged = $state.raw<Record<string, OrderBlock[]> | null>(null);
	const sections = $derived(
		doc.order.map((section) => ({ ...section, blocks: dragged?.[section.id] ?? section.blocks }))
	);

	function consider(sectionId: string, event: CustomEvent<DndEvent<OrderBlock>>) {
		dragged = { ...dragged, [sectionId]: event.detail.items };
	}

	function finalize(sectionId: string, event: CustomEvent<DndEvent<OrderBlock>>) {
		const { items, info } = event.detail;
		const index = items.findIndex((block) => block.id === info.id);
		dragged = { ...dragged, [sectionId]: items };
		// of the two lists that are told, the one that holds the block now makes the move
		if (index >= 0 && info.trigger !== INTO_ANOTHER) blocks.drop(info.id, sectionId, index);
		queueMicrotask(() => (dragged = null));
	}
</script>

{#each sections as section (section.id)}
	<section aria-label={section.name}>
		<header>
			<h3>{section.name}</h3>
			<span>{formatDuration(section.seconds)}</span>
			{#if section.classKind}<span>{KINDS[section.classKind].name.toLowerCase()}</span>{/if}
		</header>
		<div
			class="blocks"
			use:dragZone={{ items: section.blocks, flipDurationMs: 0, dropTargetStyle: {}, zoneTabIndex: -1 }}
			onconsider={(event) => consider(section.id, event)}
			onfinalize={(event) => finalize(section.id, event)}
		>
			{#each section.blocks as block (block.id)}
				<div class="block" class:linked={isLinked(block.block)}>
					<span
						class="handle"
						use:dragHandle
						role="button"
						tabindex="-1"
						aria-label="Drag {doc.nameOf(block.rows[0]?.item.id ?? block.id)}"
					>
						<Draggable size={16} />
					</span>
					<div class="content">
						{#if isLinked(block.block)}<LinkedHead {block} {blocks} />{/if}
						{#if block.block.kind === 'talk' || block.block.kind === 'test'}
							<PlainRow block={block.block} fromSeconds={block.fromSeconds} {doc} {selection} {blocks} />
						{/if}
						{#each block.rows as row (row.item.id)}
							<OrderItem
								{row}
								{doc}
								{selection}
								{items}
								{blocks}
								{alternatives}
								startsAt={doc.plan.startsAt}
								early={page.isFirst}
							/>
						{/each}
					</div>
				</div>
			{/each}
			{#if section.blocks.length === 0}
				<p class="quiet empty">Nothing here yet</p>
			{/if}
		</div>
	</section>
{/each}

<style>
	section {
		padding: 0.35rem 0;
		border-top: 1px solid var(--line);
	}
	section:first-child {
		border-top: 0;
	}
	header {
		display: flex;
		align-items: baseline;
		gap: 0.75rem;
		padding: 0.1rem 0.5rem;
	}
	h3 {
		font-size: var(--text-s);
		color: var(--accent);
	}
	header span {
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
	.blocks {
		min-height: 1.8rem;
	}
	.block {
		display: flex;
		align-items: stretch;
	}
	.handle {
		display: grid;
		place-items: center;
		width: 24px;
		flex: none;
		color: var(--line-strong);
		border-radius: 6px;
		cursor: grab;
	}
	.handle:hover {
		color: var(--ink);
	}
	.content {
		flex: 1;
		min-width: 0;
	}
	.linked .content {
		border-left: 3px solid var(--accent);
		padding-left: 0.25rem;
		margin: 0.2rem 0;
	}
	.empty {
		padding: 0 0.5rem 0.3rem;
	}
</style>
