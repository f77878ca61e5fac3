<script lang="ts">
	import { Button } from 'carbon-components-svelte';

	/** Offers the actions for the running order as a whole, each with its key. */
	let {
		isEmpty,
		isOrdering,
		onadd,
		onpropose,
		onchange,
		ontalk,
		ontest,
		onorder
	}: {
		isEmpty: boolean;
		isOrdering: boolean;
		onadd: () => void;
		onpropose: () => void;
		onchange: () => void;
		ontalk: () => void;
		ontest: () => void;
		onorder: () => void;
	} = $props();
</script>

<div class="actions">
	<Button kind="tertiary" size="small" on:click={onadd}>Add a movement <kbd>A</kbd></Button>
	<Button kind="tertiary" size="small" on:click={onpropose}>Propose <kbd>G</kbd></Button>
	{#if !isEmpty}
		<Button size="small" kind="tertiary" on:click={onchange}>Adjust whole class <kbd>W</kbd></Button>
	{/if}
	<Button kind="tertiary" size="small" on:click={ontalk}>Add talk <kbd>T</kbd></Button>
	<Button kind="tertiary" size="small" on:click={ontest}>Add a test <kbd>M</kbd></Button>
	<Button kind="tertiary" size="small" disabled={isOrdering} on:click={onorder}
		>Reduce transitions <kbd>O</kbd></Button
	>
</div>

<style>
	.actions {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 0.5rem;
	}
</style>
