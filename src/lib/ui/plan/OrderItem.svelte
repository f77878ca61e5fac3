<script lang="ts">
	import { clockTime, formatDuration } from '$lib/core/clock';
	import { PLAN_LIMITS, unitWord } from '$lib/core/plan';
	import type { OrderRow } from '$lib/core/view-models';
	import { modesOf, type FormId, type Mode } from '$lib/core/movement';
	import ChevronDown from 'carbon-icons-svelte/lib/ChevronDown.svelte';
	import Locked from 'carbon-icons-svelte/lib/Locked.svelte';
	import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Selection } from '$lib/client/plan/selection.svelte';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import type { Alternatives } from '$lib/client/plan/alternatives.svelte';
	import Figure from '../movement/Figure.svelte';
	import ItemDetail from './ItemDetail.svelte';
	import Why from '../chart/Why.svelte';

	/** One item of the running order, edited in place. */
	interface Props {
		row: OrderRow;
		doc: PlanDocument;
		selection: Selection;
		items: ItemCommands;
		blocks: BlockCommands;
		alternatives: Alternatives;
		startsAt: string;
	}
	let { row, doc, selection, items, blocks, alternatives, startsAt }: Props = $props();

	const VISIT: Record<number, string> = { 1: 'second visit', 2: 'third visit' };
	// each on its own: the drawing is worked out again only when its form is another one
	const { item, movement, form, range } = $derived(row);
	const open = $derived(selection.detail === item.id);
	const selected = $derived(selection.selected === item.id);
	// a class keeps what it was written with, also where the catalogue has come to say otherwise
	const modes = $derived([...new Set([...modesOf(movement, form), item.mode])]);
	let typed = $state<string | null>(null);
	const isAmount = (text: string) =>
		text !== '' && Number.isInteger(Number(text)) && Number(text) >= 1 && Number(text) <= PLAN_LIMITS.amount;
	const wrong = $derived(typed !== null && !isAmount(typed));
	const unusual = $derived(item.dose.amount < range.min || item.dose.amount > range.max);

	function type(value: string) {
		typed = value;
		if (isAmount(value)) items.setDose(item, { amount: Number(value) }, '', `dose ${item.id}`);
	}
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
	onfocusin={() => selection.select(item.id)}
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
	<Figure {movement} {form} leads={item.lead} width={46} height={34} />
	<span class="name">
		<b
			>{movement.english}{#if row.visitsBefore}<span class="visit">{VISIT[row.visitsBefore] ?? 'again'}</span
				>{/if}</b
		>
		<span class="quiet">
			<select
				aria-label="Form of {movement.english}"
				value={item.form}
				onchange={(event) => items.setForm(item, movement, { form: event.currentTarget.value as FormId })}
			>
				{#each movement.forms as f (f.id)}<option value={f.id}>{f.id}</option>{/each}
			</select>
			{#if modes.length > 1}
				<select
					aria-label="Mode of {movement.english}"
					value={item.mode}
					onchange={(event) => items.setForm(item, movement, { mode: event.currentTarget.value as Mode })}
				>
					{#each modes as mode, index (index)}<option value={mode}>{mode}</option>{/each}
				</select>
			{:else}{item.mode}{/if}
			{#each row.extras as extra, index (index)}<span class="extra">{extra}</span>{/each}
		</span>
	</span>
	<span class="dose">
		{#if item.passed}<span class="quiet">passed through</span>
		{:else}
			<input
				type="number"
				aria-label="Dose of {movement.english} in {unitWord(range.unit, 2)}{row.sides
					? `, ${row.sides}`
					: ''}"
				aria-invalid={wrong}
				min={1}
				max={PLAN_LIMITS.amount}
				value={typed ?? item.dose.amount}
				oninput={(event) => type(event.currentTarget.value)}
				onblur={() => (typed = null)}
			/>
			<span class="unit">
				<span>{item.dose.most === undefined ? '' : `–${item.dose.most} `}{row.unit}</span>
				{#if wrong}<span class="wrong" role="alert">1 to {PLAN_LIMITS.amount}</span>
				{:else if unusual}<span class="quiet">{range.min} to {range.max} is usual</span>
				{:else}<span class="quiet">{row.sides}</span>{/if}
			</span>
		{/if}
	</span>
	<span class="side">
		{#if row.byTurns}<span class="quiet">left, right, left</span>
		{:else if row.sided}
			<button type="button" title="Swap the leading side" onclick={() => items.swapLead(item)}>
				{item.lead === 'left' ? 'left first' : 'right first'}
			</button>
			{#if item.oneSided}<span class="quiet">one side</span>{/if}
			{#if item.link}<span class="quiet">{item.link}</span>{/if}
		{:else if movement.crosses}
			<button type="button" title="The other one in front" onclick={() => items.swapLead(item)}>
				{item.lead}
				{movement.crosses === 'shins' ? 'shin' : 'thumb'}
			</button>
		{/if}
	</span>
	<span class="length">
		<Why label="Time of {movement.english}" parts={() => row.parts} align="end"
			><b>{formatDuration(row.seconds)}</b></Why
		>
	</span>
	<span class="tools">
		<button
			type="button"
			class="icon"
			aria-expanded={open}
			aria-label="More of {movement.english}"
			title="Cues, cautions, swaps (D)"
			onclick={() => selection.toggleDetail(item.id)}
		>
			<span class:turned={open}><ChevronDown size={16} /></span>
		</button>
		<button
			type="button"
			class="icon"
			aria-pressed={Boolean(item.pinned)}
			aria-label="Keep the dose of {movement.english} when the class is fitted"
			title="Pin the dose"
			onclick={() =>
				items.change(item, { pinned: !item.pinned }, item.pinned ? 'Dose unpinned' : 'Dose pinned')}
		>
			<Locked size={16} />
		</button>
		<button
			type="button"
			class="icon"
			aria-label="Remove {movement.english}"
			title="Remove"
			onclick={() => blocks.remove(item.id)}
		>
			<TrashCan size={16} />
		</button>
	</span>
</div>
{#if open}
	<ItemDetail {row} {doc} {items} {blocks} {alternatives} />
{/if}

<style>
	.row {
		display: grid;
		grid-template-columns: 4.6rem 46px minmax(9rem, 1fr) 8.6rem 5.2rem 3.4rem 5.6rem;
		align-items: center;
		gap: 0.6rem;
		padding: 0.15rem 0.5rem;
		border-radius: 6px;
	}
	@media (max-width: 48rem) {
		.row {
			grid-template-columns: 3.4rem 46px minmax(0, 1fr) 3.6rem;
			row-gap: 0.2rem;
		}
		.dose {
			grid-column: 1 / 3;
		}
		.tools {
			grid-column: 3 / 5;
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
	select {
		border: 0;
		background: none;
		color: var(--ink-soft);
		font-size: var(--text-s);
		padding: 0;
		margin: 0 0.3rem 0 -0.25rem;
		field-sizing: content;
		min-height: 24px;
		cursor: pointer;
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
	.dose input {
		width: 3.6rem;
		height: 1.9rem;
		padding: 0 0.3rem;
		text-align: right;
		font-size: var(--text-m);
		font-weight: 600;
		color: var(--ink);
		background: var(--sheet);
		border: 1px solid var(--line-strong);
		border-radius: 6px;
	}
	.dose input[aria-invalid='true'] {
		border: 2px solid var(--stop);
	}
	.unit {
		display: grid;
		line-height: 1.15;
	}
	.wrong {
		color: var(--stop);
		font-weight: 600;
		white-space: nowrap;
	}
	.side button {
		border: 1px solid var(--line);
		border-radius: 999px;
		background: none;
		color: var(--ink);
		font-size: var(--text-xs);
		padding: 0.2rem 0.55rem;
		min-height: 24px;
		cursor: pointer;
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
	}
	.icon {
		display: grid;
		place-items: center;
		width: 28px;
		height: 28px;
		border: 0;
		border-radius: 6px;
		background: none;
		color: var(--ink-soft);
		cursor: pointer;
	}
	.icon span {
		display: grid;
		transition: transform 0.12s;
	}
	.icon .turned {
		transform: rotate(180deg);
	}
	.icon:hover {
		background: var(--line);
		color: var(--ink);
	}
	.icon[aria-pressed='true'] {
		background: var(--accent);
		color: #fff;
	}
</style>
