<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import type { ClassCard } from '$lib/core/view-models';
	import { effortsToSay, type RunNotes } from '$lib/core/run';
	import { draftOfRun, type ClassAnalysis } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';
	import Ring from '../chart/Ring.svelte';

	/** The selected class: what it gives, how it went, and where it goes. */
	interface Props {
		card: ClassCard;
		read: ClassAnalysis;
		/** What is in it, for the list of what was left out. */
		movements: { slug: string; english: string }[];
		busy: boolean;
		onlog: (notes: RunNotes | null) => void;
		onmove: (on: string, startsAt: string) => void;
		onfallout: (why: string) => void;
		onrenew: () => void;
	}
	let { card, read, movements, busy, onlog, onmove, onfallout, onrenew }: Props = $props();

	const run = $derived(read.run);
	let on = $derived(card.on);
	let startsAt = $derived(card.startsAt);
	let why = $state('');
	const draft = $derived(draftOfRun(read));
	let effort = $derived(draft.effort);
	let minutes = $derived(draft.minutes);
	let leftOut = $derived(draft.leftOut);
	let note = $derived(draft.note);

	const toggled = (slug: string) =>
		leftOut.includes(slug) ? leftOut.filter((other) => other !== slug) : [...leftOut, slug];
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
	{#if card.rungs.length}
		<h3>Its rungs</h3>
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

	{#if card.state === 'proposed' || card.state === 'behind' || card.state === 'unplanned'}
		<Button size="small" kind="tertiary" disabled={busy} on:click={onrenew}>
			{card.planned ? 'Propose this class anew' : 'Propose this class'}
		</Button>
	{:else if card.state === 'edited'}
		<p class="quiet">Changed by hand: it stays as it is when the series is proposed anew.</p>
	{/if}

	{#if card.planned}
		<form
			onsubmit={(event) => {
				event.preventDefault();
				onlog({ effort, minutes, attendance: draft.attendance, leftOut, note });
			}}
		>
			<fieldset>
				<legend>How it went</legend>
				<div class="row">
					<Choice
						label="Effort, 0 to 10"
						value={effort ?? ''}
						options={[{ value: '', text: 'not said' }, ...effortsToSay(effort)]}
						onpick={(picked) => (effort = picked === '' ? null : picked)}
					/>
					<NumberField
						label="Minutes"
						least={0}
						most={600}
						live
						value={minutes}
						onchange={(typed) => (minutes = typed ?? minutes)}
					/>
				</div>
				<Fold title="What was left out ({leftOut.length})">
					<div class="checks">
						{#each movements as { slug, english } (slug)}
							<Tick
								label={english}
								checked={leftOut.includes(slug)}
								onchange={() => (leftOut = toggled(slug))}
							/>
						{/each}
					</div>
				</Fold>
				<Words label="Notes" rows={2} most={1000} value={note} oninput={(typed) => (note = typed)} />
				<div class="buttons">
					<Button size="small" type="submit">{run ? 'Write it down again' : 'Write it down'}</Button>
					{#if run}
						<Button size="small" kind="ghost" on:click={() => onlog(null)}>Take it back</Button>
					{/if}
				</div>
			</fieldset>
		</form>
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
				onfallout(why);
			}}
		>
			<fieldset>
				<legend>This date falls out</legend>
				<Words label="Why" most={200} value={why} oninput={(typed) => (why = typed)} />
				<div class="buttons">
					<Button size="small" kind="tertiary" type="submit">See what follows</Button>
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
