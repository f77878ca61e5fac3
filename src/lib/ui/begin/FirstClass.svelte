<script lang="ts">
	import type { Onboarding } from '$lib/client/begin/onboarding.svelte';
	import { dayName } from '$lib/core/calendar';
	import { startOn } from '$lib/core/group';
	import ProposalCards from '$lib/ui/plan/ProposalCards.svelte';
	import { Button, InlineLoading } from 'carbon-components-svelte';

	/** A class that is proposed for the first day: to keep, to print, or to be replaced by another. */
	interface Props {
		beginning: Onboarding;
		onkeep: (wanted: 'class', print?: boolean) => void;
	}
	let { beginning, onkeep }: Props = $props();

	const group = $derived(beginning.group);
	const proposal = $derived(beginning.proposal);
	const ready = $derived(proposal?.done === true && !beginning.keeping);
</script>

<p>
	For {group.name} on {dayName(beginning.day)} at {startOn(group, beginning.day)}. Everything in it can be
	changed once it is yours.
</p>
<div class="act">
	<Button size="small" disabled={!ready} on:click={() => onkeep('class')}>Keep this class</Button>
	<Button size="small" kind="tertiary" disabled={!ready} on:click={() => onkeep('class', true)}
		>Keep and print</Button
	>
	<Button size="small" kind="tertiary" disabled={beginning.work !== null} on:click={() => beginning.propose()}
		>Another one</Button
	>
	{#if beginning.work}<InlineLoading role="status" description="Looking for a good one …" />{/if}
</div>
{#if proposal}
	<div class="card"><ProposalCards proposed={[proposal]} level={3} /></div>
{/if}

<style>
	.act {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: center;
	}
	.card {
		max-width: 62rem;
	}
</style>
