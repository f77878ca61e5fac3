<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Proposals } from '$lib/client/plan/proposals.svelte';
	import { itemsOf } from '$lib/core/plan';
	import { Button, InlineLoading } from 'carbon-components-svelte';
	import { onMount } from 'svelte';
	import ProposalCards from './ProposalCards.svelte';
	import ProposeWishes from './ProposeWishes.svelte';

	/** Asks for a class and shows what is proposed; what is in the plan already is kept. */
	interface Props {
		doc: PlanDocument;
		proposals: Proposals;
		onleave: () => void;
	}
	let { doc, proposals, onleave }: Props = $props();

	let section = $state<HTMLElement | null>(null);
	// the first wish is at hand for whoever came by a key
	onMount(() => section?.querySelector('input')?.focus());
	let seed = $state(1);
	const kept = $derived(itemsOf(doc.plan).length);
	const movements = $derived([...doc.catalogue.offered].sort((a, b) => a.english.localeCompare(b.english)));
	const proposed = $derived(proposals.found);

	function ask(next: number) {
		seed = next;
		void proposals.propose(seed);
	}
</script>

<section class="propose" bind:this={section} aria-labelledby="propose-title">
	<header>
		<h3 id="propose-title">{kept ? `Finish this class around its ${kept} items` : 'Propose a class'}</h3>
		<Button size="small" kind="ghost" on:click={onleave}>Close</Button>
	</header>
	<ProposeWishes
		bind:fields={proposals.wishes}
		{movements}
		filled={kept ? doc.plan.sections.filter((section) => section.blocks.length) : []}
		hasLast={doc.context.lastMovements.length > 0}
	/>
	<div class="act">
		<Button size="small" disabled={proposals.work !== null} on:click={() => ask(seed)}>Propose three</Button>
		{#if proposed.length && !proposals.work}
			<Button size="small" kind="tertiary" on:click={() => ask(seed + 1)}>Propose three others</Button>
		{/if}
		{#if proposals.work}
			<Button size="small" kind="tertiary" on:click={() => proposals.stop()}>Stop</Button>
			<InlineLoading
				role="status"
				description="Looking, {proposed.filter((p) => p.done).length} of 3 ready …"
			/>
		{/if}
	</div>
	{#if proposals.conflict}
		<p class="conflict" role="alert">{proposals.conflict.message}.</p>
	{/if}
	{#if proposed.length}
		<ProposalCards
			{proposed}
			ontake={(proposal) => {
				proposals.take(proposal);
				onleave();
			}}
		/>
	{/if}
</section>

<style>
	.propose {
		border: 1px solid var(--accent);
		border-radius: var(--radius);
		padding: 0.75rem;
		margin: 0 0.25rem 0.75rem;
	}
	header,
	.act {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: center;
	}
	.act {
		margin-top: 0.75rem;
	}
	header > h3 {
		flex: 1;
	}
	.conflict {
		margin-top: 0.6rem;
		font-weight: 600;
	}
</style>
