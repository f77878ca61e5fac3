<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { formatDuration } from '$lib/core/clock';
	import { Button } from 'carbon-components-svelte';

	/** Quiet notices while a class is led, each with an action. */
	interface Props {
		run: TeachingSession;
	}
	let { run }: Props = $props();

	/** Two records of one class, on purpose. */
	let isSecond = $state(false);
	const others = $derived(run.received?.others ?? []);
</script>

{#if run.slept > 0}
	<div class="notice" role="alert">
		<p>
			This device slept for <b>{formatDuration(Math.round(run.slept / 1000))}</b>. Were you away, or did you
			teach on?
		</p>
		<Button kind="tertiary" size="field" on:click={() => run.whileAsleep(true)}>I taught on</Button>
		<Button kind="tertiary" size="field" on:click={() => run.whileAsleep(false)}>I was away</Button>
	</div>
{/if}
{#if run.skipped}
	<div class="notice" role="status">
		<p>Skipped: {run.skipped}.</p>
		<Button kind="tertiary" size="small" on:click={() => run.back()}>Go back to it</Button>
	</div>
{/if}
{#if others.length && !isSecond}
	<div class="notice" role="alert">
		<p>
			{others.length === 1 ? 'Another device leads' : `${others.length} other devices lead`} this class too, since
			{others[0]}.
		</p>
		<Button kind="tertiary" size="small" on:click={() => run.does({ do: 'hand over' })}
			>Hand over to it, and end here</Button
		>
		<Button kind="ghost" size="small" on:click={() => (isSecond = true)}>Keep a second record</Button>
	</div>
{/if}
{#if run.refused}<p class="quiet" role="status">The server did not take everything: {run.refused}.</p>{/if}
{#if run.received?.clock}
	<p class="quiet" role="status">
		The clock of this device is wrong. The class is recorded as begun on {run.received.clock}.
	</p>
{/if}

<style>
	.notice {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem 0.6rem;
		padding: 0.4rem 0.6rem;
		border: 1px solid var(--line);
		background: var(--sheet);
	}
</style>
