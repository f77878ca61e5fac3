<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { formatDuration } from '$lib/core/clock';
	import { lateWords, owedWords } from '$lib/core/teach';
	import { Button } from 'carbon-components-svelte';

	/** After the class: how long it really took, what was left out and owed, and whether the server has it. */
	interface Props {
		run: TeachingSession;
		onback: () => void;
	}
	let { run, onback }: Props = $props();

	const UPLOAD_WORDS = {
		'all sent': 'Everything is saved on the server.',
		waits: 'The record is on this device and goes to the server when it is reachable.',
		'signed out': 'The record is on this device. Sign in again to send it to the server.',
		refused: 'The server refuses the record. It stays on this device.'
	} as const;
	const seconds = $derived(Math.round(run.state.elapsedMs / 1000));
	const titles = $derived([
		...new Set(
			[...run.state.leftOut, ...run.state.adjustments.flatMap(({ leftOut }) => leftOut)].map(
				(id) => run.steps.shown(run.state, id).title
			)
		)
	]);
</script>

<section class="sheet after" aria-labelledby="after-title">
	<h1 id="after-title">{run.isRehearsal ? 'The rehearsal is over' : 'The class is over'}</h1>
	<p class="took">
		<b>{formatDuration(seconds)}</b>
		<span class="quiet"
			>of {formatDuration(run.pack.script.lengthSeconds)} planned, {lateWords(run.behindMs)}</span
		>
	</p>
	{#if run.state.pausedMs >= 1000}
		<p>Paused for {formatDuration(Math.round(run.state.pausedMs / 1000))}.</p>
	{/if}
	{#if titles.length}<p>Left out: {titles.join(', ')}.</p>{/if}
	{#each run.now.owed as side, index (index)}<p>Owed: {owedWords(side)}.</p>{/each}
	{#if run.isRehearsal}<p class="quiet">Nothing of it is recorded.</p>
	{:else if run.state.wasHandedOver}
		<p role="status">Another device continues this class. This record ends here.</p>
	{:else}<p role="status">{UPLOAD_WORDS[run.upload]}</p>
		{#if run.refused}<p class="quiet">{run.refused}</p>{/if}
		{#if run.upload === 'signed out'}<p><a href="/sign-in?next=/">Sign in again</a></p>{/if}
	{/if}
	<div class="buttons">
		<Button href="/plan/{run.pack.planId}{run.isRehearsal ? '' : '/taught'}" kind="tertiary" size="field"
			>{run.isRehearsal ? 'Back to the class' : 'How it went'}</Button
		>
		<Button href="/" kind="tertiary" size="field">Back to the week</Button>
		<Button kind="ghost" size="field" on:click={onback}>Resume class</Button>
	</div>
</section>

<style>
	.after {
		max-width: 40rem;
		margin: 2rem auto;
		width: calc(100% - 2rem);
		display: grid;
		gap: 0.75rem;
	}
	.took b {
		font-size: var(--text-hero);
	}
	.buttons {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
	}
</style>
