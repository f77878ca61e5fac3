<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import type { ClassCard } from '$lib/core/view-models';
	import type { ClassNotes } from '$lib/core/record';
	import { draftOfRecord, type ClassAnalysis } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';
	import Ring from '../chart/Ring.svelte';
	import RecordForm from '../record/RecordForm.svelte';

	/** The selected class: what it gives, how it went, and where it goes. */
	interface Props {
		card: ClassCard;
		read: ClassAnalysis;
		/** Movements of the class, for the list of those left out. */
		movements: { slug: string; english: string }[];
		busy: boolean;
		onlog: (notes: ClassNotes | null) => void;
		onmove: (on: string, startsAt: string) => void;
		oncanceldate: (why: string) => void;
		onrenew: () => void;
		onfit: () => void;
	}
	let { card, read, movements, busy, onlog, onmove, oncanceldate, onrenew, onfit }: Props = $props();

	const run = $derived(read.run);
	let on = $derived(card.on);
	let startsAt = $derived(card.startsAt);
	let why = $state('');
	const draft = $derived(draftOfRecord(read));
</script>

<section class="sheet form-fields" aria-labelledby="class-title">
	<div class="head">
		<div>
			<h2 id="class-title">Class {card.number}</h2>
			<p class="quiet">{card.day}, {card.startsAt} · {card.stateWords}</p>
		</div>
		{#if card.planned}<Ring sectors={card.ring} size={64} label="Balance of class {card.number}" />{/if}
	</div>
	{#if card.planned}
		<p><a href="/plan/{card.id}">{card.title || 'Untitled class'}</a></p>
		<p class="quiet">
			{[card.figures, card.toFix ? `${card.toFix} to fix` : ''].filter(Boolean).join(' · ')}
		</p>
	{/if}
	{#if card.line}<p>{card.line.now} {card.line.next}</p>{/if}
	{#if card.rungs.length}
		<h3>Rungs</h3>
		<ul>
			{#each card.rungs as rung, index (index)}
				<li>
					{rung.words}{rung.isNew ? ', new' : rung.again ? `, ${rung.again}` : ''}<br /><span class="quiet"
						>{rung.tiers}</span
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if card.comesBack.length}<p>Comes back: {card.comesBack.join(', ')}</p>{/if}

	{#if card.state === 'proposed' || card.state === 'outdated' || card.state === 'unplanned'}
		<Button size="small" kind="tertiary" disabled={busy} on:click={onrenew}>
			{card.planned ? 'Propose this class again' : 'Propose this class'}
		</Button>
	{:else if card.state === 'edited'}
		<p class="quiet">Changed by hand: it stays as it is when the series is proposed again.</p>
	{/if}

	{#if card.fitWords}
		<Button size="small" kind="tertiary" disabled={busy} on:click={onfit}>
			{card.fitWords}
		</Button>
	{/if}

	{#if card.planned}
		<RecordForm {draft} {movements} isWritten={Boolean(run)} {onlog} />
	{/if}

	{#if !run}
		<form
			onsubmit={(event) => {
				event.preventDefault();
				onmove(on, startsAt);
			}}
		>
			<fieldset>
				<legend>Move it</legend>
				<div class="row">
					<DayField label="To" value={on} onpick={(day) => (on = day)} />
					<TimeField label="At" value={startsAt} onpick={(time) => (startsAt = time)} />
				</div>
				<div class="buttons"><Button size="small" kind="tertiary" type="submit">Move</Button></div>
			</fieldset>
		</form>
		<form
			onsubmit={(event) => {
				event.preventDefault();
				oncanceldate(why);
			}}
		>
			<fieldset>
				<legend>Cancel this date</legend>
				<Words label="Why" most={200} value={why} oninput={(typed) => (why = typed)} />
				<div class="buttons">
					<Button size="small" kind="tertiary" type="submit">Preview changes</Button>
				</div>
			</fieldset>
		</form>
	{/if}
</section>

<style>
	section {
		display: grid;
		gap: 0.6rem;
		align-content: start;
	}
	.head {
		display: flex;
		justify-content: space-between;
	}
	ul {
		margin: 0;
		padding: 0;
		list-style: none;
		display: grid;
		gap: 0.3rem;
		font-size: var(--text-s);
	}
</style>
