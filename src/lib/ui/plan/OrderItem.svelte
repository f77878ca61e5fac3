<script lang="ts">
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import { clockTime, formatDuration } from '$lib/core/clock';
	import { PLAN_LIMITS, unitWord } from '$lib/core/plan';
	import type { OrderRow } from '$lib/core/view-models';
	import { modesOf } from '$lib/core/movement';
	import { Button } from 'carbon-components-svelte';
	import ChevronDown from 'carbon-icons-svelte/lib/ChevronDown.svelte';
	import ChevronUp from 'carbon-icons-svelte/lib/ChevronUp.svelte';
	import Locked from 'carbon-icons-svelte/lib/Locked.svelte';
	import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Selection } from '$lib/client/plan/selection.svelte';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import type { Alternatives } from '$lib/client/plan/alternatives.svelte';
	import Figure from '../movement/Figure.svelte';
	import ItemDetail from './ItemDetail.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Choice from '../fields/Choice.svelte';
	import Why from '../chart/Why.svelte';
	import { onIdle } from '$lib/client/page/idle';
	import { onMount, untrack } from 'svelte';

	/** One item of the running order, edited in place. */
	interface Props {
		row: OrderRow;
		doc: PlanDocument;
		selection: Selection;
		items: ItemCommands;
		blocks: BlockCommands;
		alternatives: Alternatives;
		startsAt: string;
		/** Drawn with the page: its controls come in an idle moment after it, or when the row is entered. */
		early: boolean;
	}
	let { row, doc, selection, items, blocks, alternatives, startsAt, early }: Props = $props();

	let live = $state(untrack(() => !early));
	onMount(() => (early ? onIdle(() => (live = true)) : undefined));

	const VISIT: Record<number, string> = { 1: 'second visit', 2: 'third visit' };
	// each on its own: the drawing is worked out again only when its form is another one
	const { item, movement, form, range } = $derived(row);
	const open = $derived(selection.detail === item.id);
	const selected = $derived(selection.selected === item.id);
	// a class keeps what it was written with, also where the catalogue has come to say otherwise
	const modes = $derived([...new Set([...modesOf(movement, form), item.mode])]);
	const unusual = $derived(item.dose.amount < range.min || item.dose.amount > range.max);
</script>

<!-- The row takes the focus so that the desk's keys act on it; what is inside has its own stops. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class="row"
	class:selected
	class:marked={selection.marked.includes(item.id)}
	role="group"
	tabindex="0"
	id="row-{item.id}"
	aria-label="{movement.english}, {row.words}, {formatDuration(row.seconds)}{selected
		? ', selected'
		: ''}{selection.marked.includes(item.id) ? ', marked' : ''}"
	onfocusin={() => {
		live = true;
		selection.select(item.id);
	}}
	onpointerdown={(event) => {
		if (!event.shiftKey && !event.ctrlKey && !event.metaKey) return;
		event.preventDefault();
		selection.mark(item.id, event.shiftKey ? 'to here' : 'this too');
	}}
>
	<span class="time">
		<b>{formatDuration(row.fromSeconds)}</b>
		<span class="quiet">{clockTime(startsAt, row.fromSeconds)}</span>
	</span>
	<Figure {movement} {form} leads={item.lead} width={60} height={44} />
	<div class="name">
		<b
			>{movement.english}{#if row.visitsBefore}<span class="visit">{VISIT[row.visitsBefore] ?? 'again'}</span
				>{/if}</b
		>
		<div class="quiet forms">
			{#if !live}<span class="still">{item.form}</span><span class:still={modes.length > 1}>{item.mode}</span>
			{:else}
				<Choice
					plain
					hideLabel
					label="Form of {movement.english}"
					value={item.form}
					options={movement.forms.map(({ id }) => id)}
					onpick={(form) => items.setForm(item, movement, { form })}
				/>
				{#if modes.length > 1}
					<Choice
						plain
						hideLabel
						label="Mode of {movement.english}"
						value={item.mode}
						options={modes}
						onpick={(mode) => items.setForm(item, movement, { mode })}
					/>
				{:else}{item.mode}{/if}
			{/if}
			{#each row.extras as extra, index (index)}<span class="extra">{extra}</span>{/each}
		</div>
	</div>
	<span class="dose">
		{#if item.passed}<span class="quiet">passed through</span>
		{:else}
			{#if !live}<span class="still amount">{item.dose.amount}</span>
			{:else}
				<NumberField
					live
					narrow
					hideLabel
					label="Dose of {movement.english} in {unitWord(range.unit, 2)}{row.sides ? `, ${row.sides}` : ''}"
					least={1}
					most={PLAN_LIMITS.amount}
					value={item.dose.amount}
					onchange={(amount) => items.setDose(item, { amount: amount ?? 1 }, '', `dose ${item.id}`)}
				/>
			{/if}
			<span class="unit">
				<span>{item.dose.most === undefined ? '' : `–${item.dose.most} `}{row.unit}</span>
				{#if unusual}<span class="quiet">{range.min} to {range.max} is usual</span>
				{:else}<span class="quiet">{row.sides}</span>{/if}
			</span>
		{/if}
	</span>
	<span class="side">
		{#if row.byTurns}<span class="quiet">left, right, left</span>
		{:else if row.sided}
			{#if live}
				<Button kind="ghost" size="small" title="Swap the leading side" on:click={() => items.swapLead(item)}>
					{item.lead} first
				</Button>
			{:else}<span class="still">{item.lead} first</span>{/if}
			{#if item.oneSided}<span class="quiet">one side</span>{/if}
			{#if item.link}<span class="quiet">{item.link}</span>{/if}
		{:else if movement.crosses && live}
			<Button kind="ghost" size="small" title="The other one in front" on:click={() => items.swapLead(item)}>
				{item.lead}
				{movement.crosses === 'shins' ? 'shin' : 'thumb'}
			</Button>
		{/if}
	</span>
	<span class="length">
		{#if live}
			<Why label="Time of {movement.english}" parts={() => row.parts} align="end"
				><b>{formatDuration(row.seconds)}</b></Why
			>
		{:else}<b class="still">{formatDuration(row.seconds)}</b>{/if}
	</span>
	<span class="tools">
		{#if live}
			<IconButton
				label="More of {movement.english}"
				icon={open ? ChevronUp : ChevronDown}
				expanded={open}
				onpress={() => selection.toggleDetail(item.id)}
			/>
			<IconButton
				label="Keep the dose of {movement.english} when the class is fitted"
				icon={Locked}
				pressed={Boolean(item.pinned)}
				onpress={() =>
					items.change(item, { pinned: !item.pinned }, item.pinned ? 'Dose unpinned' : 'Dose pinned')}
			/>
			<IconButton label="Remove {movement.english}" icon={TrashCan} onpress={() => blocks.remove(item.id)} />
		{/if}
	</span>
</div>
{#if open}
	<ItemDetail {row} {doc} {items} {blocks} {alternatives} />
{/if}

<style>
	.row {
		display: grid;
		grid-template-columns: 3.8rem 60px minmax(8rem, 1fr) 8.4rem 5.6rem 4.4rem 6rem;
		align-items: center;
		gap: 0.5rem;
		padding: 0.15rem 0.5rem;
		border-radius: 6px;
	}
	@media (max-width: 48rem) {
		.row {
			display: flex;
			flex-wrap: wrap;
			gap: 0.1rem 0.4rem;
		}
		.name {
			flex: 1;
			min-width: 0;
		}
		.dose {
			order: 1;
			flex: 1 1 6rem;
			min-width: 0;
			gap: 0.25rem;
		}
		.side :global(.bx--btn) {
			padding: 0 0.15rem;
		}
		.side {
			order: 2;
		}
		.tools {
			order: 3;
		}
		.row::after {
			content: '';
			flex-basis: 100%;
			order: 0;
		}
	}
	.row:hover {
		background: var(--sunk);
	}
	.row.selected {
		background: var(--accent-tint);
	}
	.row.marked {
		box-shadow: inset 3px 0 0 var(--accent);
		background: var(--accent-tint);
	}
	.row:focus-visible {
		outline-offset: -2px;
	}
	.time,
	.name {
		display: grid;
		line-height: 1.2;
	}
	.time b {
		font-size: var(--text-m);
	}
	.extra::before {
		content: ' · ';
	}
	.visit {
		margin-left: 0.4rem;
		font-size: var(--text-xs);
		font-weight: 400;
		color: var(--ink-soft);
	}
	.dose {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		font-size: var(--text-s);
	}
	.unit {
		display: grid;
		line-height: 1.15;
	}
	.side :global(.bx--btn) {
		padding: 0 0.4rem;
		font-weight: 400;
		white-space: nowrap;
	}
	.length {
		text-align: right;
		font-size: var(--text-m);
	}
	.tools {
		display: flex;
		justify-content: flex-end;
		gap: 0.1rem;
		min-width: 6rem;
		min-height: 2rem;
	}
	/* text stands where its control will, so that nothing moves */
	.still {
		display: inline-block;
	}
	.forms .still {
		padding: 0 1.4rem 0 0.1rem;
		line-height: 1.6rem;
	}
	.side .still {
		padding: 0 0.4rem;
		line-height: 2rem;
		white-space: nowrap;
		color: var(--accent);
		font-size: var(--text-s);
	}
	.length .still {
		padding-right: 1.4rem;
	}
	.amount {
		width: 3.8rem;
		padding: 0 0.5rem;
		line-height: 2rem;
		text-align: right;
	}
</style>
