<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import { effortsToSay, type ClassNotes } from '$lib/core/record';
	import { Button } from 'carbon-components-svelte';

	/** How a class went, as it is written down: filled in as it was planned, or as it was written before. */
	interface Props {
		draft: ClassNotes;
		/** Movements of the class, for the list of those left out. */
		movements: { slug: string; english: string }[];
		/** Whom notes can mention, by name. */
		people?: readonly string[];
		/** It is not known how long it took: the teacher has to say. */
		asksMinutes?: boolean;
		isWritten: boolean;
		onlog: (notes: ClassNotes | null) => void;
	}
	let { draft, movements, people = [], asksMinutes = false, isWritten, onlog }: Props = $props();

	let effort = $derived(draft.effort);
	let minutes = $derived<number | null>(asksMinutes ? null : draft.minutes);
	let isAsked = $state(false);
	let attendance = $derived(draft.attendance);
	let leftOut = $derived(draft.leftOut);
	let note = $derived(draft.note);

	const toggled = (slug: string) =>
		leftOut.includes(slug) ? leftOut.filter((other) => other !== slug) : [...leftOut, slug];
</script>

<form
	onsubmit={(event) => {
		event.preventDefault();
		isAsked = minutes === null;
		if (minutes !== null) onlog({ ...draft, effort, minutes, attendance, leftOut, note });
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
				empty={asksMinutes ? 'not said' : undefined}
				onchange={(typed) => (minutes = typed ?? (asksMinutes ? null : minutes))}
			/>
			<NumberField
				label="People"
				least={0}
				most={200}
				empty="not counted"
				live
				value={attendance}
				onchange={(typed) => (attendance = typed)}
			/>
		</div>
		<Fold title="What was left out ({leftOut.length})">
			<div class="checks">
				{#each movements as { slug, english } (slug)}
					<Tick label={english} checked={leftOut.includes(slug)} onchange={() => (leftOut = toggled(slug))} />
				{/each}
			</div>
		</Fold>
		{#if isAsked}<p role="alert">Enter how many minutes it took.</p>{/if}
		<Words label="Notes" rows={2} most={1000} value={note} oninput={(typed) => (note = typed)} />
		{#if people.length}
			<Choice
				label="Mention a person in the notes"
				value=""
				options={[{ value: '', text: 'choose' }, ...people.map((name) => ({ value: name, text: name }))]}
				onpick={(name) => name && (note = `${note}${note && !/\s$/.test(note) ? ' ' : ''}@${name} `)}
			/>
		{/if}
		<div class="buttons">
			<Button size="small" type="submit">{isWritten ? 'Save changes' : 'Record it'}</Button>
			{#if isWritten}
				<Button size="small" kind="ghost" on:click={() => onlog(null)}>Delete record</Button>
			{/if}
		</div>
	</fieldset>
</form>
