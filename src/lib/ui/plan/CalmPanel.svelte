<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Ordering } from '$lib/client/plan/ordering.svelte';
	import { formatDuration } from '$lib/core/clock';

	/** Reduce transitions: under way, or found and waiting to be taken. */
	interface Props {
		ordering: Ordering;
	}
	let { ordering }: Props = $props();
	const found = $derived(ordering.found);
</script>

<div class="calm" role="group" aria-label="Reduce transitions">
	{#if ordering.work}
		<p role="status">Looking for an order with fewer transitions …</p>
		<Button kind="tertiary" size="small" on:click={() => ordering.work?.stop()}>Stop</Button>
	{:else if found}
		<p role="status">
			Time between blocks: {formatDuration(found.beforeSeconds)} →
			<b>{formatDuration(found.afterSeconds)}</b>. Same content, all ordering rules kept{found.exact
				? '; no order takes less time'
				: ''}.
		</p>
		<Button kind="tertiary" size="small" on:click={() => ordering.take()}>Apply</Button>
		<Button kind="tertiary" size="small" on:click={() => ordering.leave()}>Cancel</Button>
	{/if}
</div>

<style>
	.calm {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		border: 1px solid var(--accent);
		border-radius: 10px;
		padding: 0.4rem 0.75rem;
		margin: 0 0.25rem 0.5rem;
	}
	p {
		flex: 1;
	}
</style>
