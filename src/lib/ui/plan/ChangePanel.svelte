<script lang="ts">
	import type { WholeClassChanges } from '$lib/client/plan/changes.svelte';
	import { CHANGE_WORDS, CHANGES } from '$lib/core/propose';
	import {
		Button,
		InlineLoading,
		StructuredList,
		StructuredListBody,
		StructuredListCell,
		StructuredListHead,
		StructuredListRow
	} from 'carbon-components-svelte';

	/** Changes the class that is there as a whole, with before and after. */
	interface Props {
		changes: WholeClassChanges;
		onleave: () => void;
	}
	let { changes, onleave }: Props = $props();
	const found = $derived(changes.found);
</script>

<section class="change" aria-labelledby="change-title">
	<header>
		<h3 id="change-title">Change this class</h3>
		<Button size="small" kind="ghost" on:click={onleave}>Close</Button>
	</header>
	<p class="asks">
		{#each CHANGES as change (change)}
			<Button
				size="small"
				kind={found?.change === change ? 'primary' : 'tertiary'}
				disabled={changes.work !== null}
				on:click={() => void changes.look(change)}>{CHANGE_WORDS[change]}</Button
			>
		{/each}
	</p>
	{#if changes.work}
		<InlineLoading description="Looking …" />
	{:else if found}
		<p>
			{found.totalBefore} → <b>{found.totalAfter}</b>{#each found.shifts as shift, index (index)}, {shift.sign ||
					shift.name}
				{shift.before} → {shift.after}{/each}
		</p>
		{#if found.changed.became.length}
			<StructuredList condensed aria-label="What would change">
				<StructuredListHead>
					<StructuredListRow head>
						<StructuredListCell head>Now</StructuredListCell>
						<StructuredListCell head>Then</StructuredListCell>
					</StructuredListRow>
				</StructuredListHead>
				<StructuredListBody>
					{#each found.changed.became as { itemId, was, now } (itemId)}
						<StructuredListRow>
							<StructuredListCell>{was}</StructuredListCell>
							<StructuredListCell>{now ?? 'left out'}</StructuredListCell>
						</StructuredListRow>
					{/each}
				</StructuredListBody>
			</StructuredList>
		{:else}
			<p>The same items, shorter.</p>
		{/if}
		<p class="asks">
			<Button size="small" on:click={() => changes.take()}>Apply</Button>
			<Button size="small" kind="tertiary" on:click={() => changes.leave()}>Cancel</Button>
		</p>
	{/if}
</section>

<style>
	.change {
		border: 1px solid var(--accent);
		border-radius: 10px;
		padding: 0.75rem;
		margin: 0 0.25rem 0.75rem;
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: center;
	}
	.asks {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		margin: 0.5rem 0;
	}
	.change :global(.bx--structured-list) {
		margin: 0.5rem 0;
	}
</style>
