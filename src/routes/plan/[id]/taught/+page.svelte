<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { change } from '$lib/client/api';
	import { writeDown } from '$lib/client/saving/write-down';
	import { momentWords } from '$lib/core/calendar';
	import { draftNotes, withFeltEffort, type ClassNotes } from '$lib/core/record';
	import RecordForm from '$lib/ui/record/RecordForm.svelte';
	import Tally from '$lib/ui/record/Tally.svelte';
	import { Button } from 'carbon-components-svelte';

	let { data } = $props();

	let isBusy = $state(false);
	let said = $state('');
	const draft = $derived(draftNotes(data.run?.notes, data.asLed ?? data.asPlanned));
	/** As it was planned, with the effort that the plan has: the teacher who presses it says so. */
	const asPlanned = $derived({ ...draft, effort: data.asPlanned.effort });

	async function taughtOn(on: string) {
		isBusy = true;
		const answer = await change(`/api/plans/${data.id}/record`, data.run?.version ?? 0, { on });
		said = answer.ok ? 'Recorded' : answer.messages.join(' ');
		if (answer.ok) await invalidateAll();
		isBusy = false;
	}

	async function log(notes: ClassNotes | null) {
		isBusy = true;
		said = '';
		const written = await writeDown(data.id, data.run?.version ?? 0, notes);
		if (written.ok) await invalidateAll();
		said = written.said;
		isBusy = false;
	}
</script>

<svelte:head><title>How it went: {data.title || 'a class'} · Humble Orbit</title></svelte:head>

<p>
	<a href="/plan/{data.id}">Back to the class</a> ·
	<a href="/group/{data.groupId}/taught">All classes of {data.group}</a>
</p>
<h1>How it went: {data.title || 'Untitled class'}</h1>
<p class="quiet">{[data.group, data.day, data.startsAt].filter(Boolean).join(', ')}</p>

<section class="sheet form-fields" aria-labelledby="written-title">
	<h2 id="written-title">{data.run ? 'Record' : 'Not recorded yet'}</h2>
	{#if data.otherDay}
		{@const { on, ledOn, words, ledWords } = data.otherDay}
		<div role="group" aria-label="On which day was it?">
			<p>It was taught on {ledWords}, but planned for {words}. Which day was it?</p>
			<p class="buttons">
				<Button size="small" kind="tertiary" disabled={isBusy} on:click={() => taughtOn(ledOn)}
					>{ledWords}</Button
				>
				<Button size="small" kind="tertiary" disabled={isBusy} on:click={() => taughtOn(on)}>{words}</Button>
			</p>
		</div>
	{/if}
	{#if data.isMinutesUnknown}
		<p>It was started on a device but not taught to the end. Enter how many minutes it took.</p>
	{:else if !data.run}
		<p class="buttons">
			<Button size="field" disabled={isBusy} on:click={() => log(data.asLed ? draft : asPlanned)}
				>{data.asLed ? 'Record it as it was led' : 'It went as planned'}</Button
			>
			<Button
				size="field"
				kind="tertiary"
				disabled={isBusy}
				on:click={() => log(withFeltEffort(asPlanned, 'harder'))}>It was harder</Button
			>
			<Button
				size="field"
				kind="tertiary"
				disabled={isBusy}
				on:click={() => log(withFeltEffort(asPlanned, 'easier'))}>It was easier</Button
			>
		</p>
	{/if}
	{#each data.sat as words, i (i)}<p>{words}</p>{/each}
	<RecordForm
		{draft}
		movements={data.movements}
		people={data.people}
		asksMinutes={data.isMinutesUnknown}
		isWritten={data.run !== null}
		onlog={log}
	/>
	<p role="status">{said}</p>
</section>
{#each data.led as { id, startedAt, isClockPutRight, tally, scores } (id)}
	<Tally title={momentWords(startedAt, data.timeZone)} {tally} {scores} />
	{#if isClockPutRight}
		<p class="quiet">The clock of that device was wrong. This start comes from the server’s clock.</p>
	{/if}
{:else}
	<p class="quiet">
		This class was not taught with <a href="/teach?plan={data.id}">Teach</a>, so there are no times for it.
	</p>
{/each}

<style>
	section {
		display: grid;
		gap: 0.75rem;
		margin: 1rem 0;
		max-width: 44rem;
	}
</style>
