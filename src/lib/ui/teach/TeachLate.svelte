<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { isOnTime, lateWords, offersToEndOnTime, type CatchUpMethod } from '$lib/core/teach';
	import { Button, Modal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';

	/** Suggestions for ending on time. Nothing changes unasked; one press takes a change back. */
	interface Props {
		run: TeachingSession;
		ways: readonly CatchUpMethod[];
		onclose: () => void;
	}
	let { run, ways, onclose }: Props = $props();

	// as it stood when it was opened: what is read does not change under the eye
	const behind = untrack(() => run.behindMs);
	const offers = untrack(() => offersToEndOnTime(run.state, run.steps, ways));
</script>

<Modal open passiveModal modalHeading="The time: {lateWords(behind)}" on:close={onclose}>
	{#if run.state.adjustments.length}
		<p class="taken">
			The class was changed to end on time.
			<Button
				kind="tertiary"
				size="small"
				on:click={() => {
					run.takeBack();
					onclose();
				}}>Undo</Button
			>
		</p>
	{/if}
	{#each offers as offer, index (index)}
		<section aria-label={offer.words}>
			<h2>{offer.words}</h2>
			<p>
				{isOnTime(offer.stillBehindMs) ? 'Ends on time.' : `Still ${lateWords(offer.stillBehindMs)}.`}
			</p>
			<ul>
				{#each offer.changes.slice(0, 6) as change, at (at)}<li>{change}</li>{/each}
				{#if offer.changes.length > 6}<li class="quiet">and {offer.changes.length - 6} more</li>{/if}
			</ul>
			<Button
				size="field"
				on:click={() => {
					run.does(offer.act);
					onclose();
				}}>Do this</Button
			>
		</section>
	{:else}
		<p>
			{isOnTime(behind)
				? 'The class ends on time as it is.'
				: 'There is nothing left to shorten or leave out.'}
		</p>
	{/each}
</Modal>

<style>
	section {
		display: grid;
		gap: 0.4rem;
		padding: 0.75rem 0;
		border-top: 1px solid var(--line);
	}
	ul {
		margin: 0;
		padding-left: 1.1rem;
		list-style: disc;
		font-size: var(--text-m);
	}
	.taken {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: center;
		padding-bottom: 0.75rem;
	}
</style>
