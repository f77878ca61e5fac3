<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { swapsHere } from '$lib/client/teach/on-device';
	import { POSITION_NAME } from '$lib/core/movement';
	import { EVENT_LIMITS } from '$lib/core/teach';
	import { Button, Modal, TextArea } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import Drawing from '../movement/Drawing.svelte';

	/** Changes of the present item: one more set, another movement in its place, a note. */
	interface Props {
		run: TeachingSession;
		onclose: () => void;
	}
	let { run, onclose }: Props = $props();

	// as it stood when it was opened, wherever the clock goes meanwhile
	const { step, itemId, swapped } = untrack(() => ({
		step: run.now.step,
		itemId: run.now.step.itemId,
		swapped: run.state.swapped.has(run.now.id)
	}));
	const choices = untrack(() =>
		itemId === null ? [] : swapsHere(run.pack, run.state.here ?? run.pack.source?.plan.here, itemId)
	);
	let note = $state('');

	function then(act: () => void) {
		act();
		onclose();
	}
</script>

<!-- the cross has the focus at first: on a phone a field would bring its keyboard up -->
<Modal
	open
	passiveModal
	hasScrollingContent
	selectorPrimaryFocus=".bx--modal-close"
	modalHeading="Change: {step.title || 'this'}"
	on:close={onclose}
>
	<div class="parts">
		{#if step.kind === 'work'}
			<div>
				<Button kind="tertiary" size="field" on:click={() => then(() => run.does({ do: 'one more set' }))}
					>One more set</Button
				>
				{#if step.side === 1}<span class="quiet">The second side gets it too.</span>{/if}
			</div>
		{/if}
		{#if itemId !== null}
			<section aria-labelledby="instead-title">
				<h2 id="instead-title">Another movement in its place</h2>
				<p class="quiet">It takes the same time, on both sides.</p>
				{#if swapped}
					<Button kind="tertiary" size="field" on:click={() => then(() => run.swap(itemId, null))}
						>Back to what was planned</Button
					>
				{/if}
				<ul>
					{#each choices as choice, index (index)}
						{@const drawn = Object.values(choice.figures)[0]}
						<li>
							<span class="picture"
								>{#if drawn}<Drawing {drawn} label={choice.to.title} />{/if}</span
							>
							<span class="words"
								><b>{choice.to.title}</b>
								<span class="quiet">{[POSITION_NAME[choice.to.position], ...choice.to.kit].join('; ')}</span
								></span
							>
							<Button
								kind="ghost"
								size="field"
								aria-label="Give {choice.to.title}"
								on:click={() => then(() => run.swap(itemId, choice))}>Give this</Button
							>
						</li>
					{:else}
						<li>The catalogue has no similar movement that suits everybody here.</li>
					{/each}
				</ul>
			</section>
		{/if}
		<form
			onsubmit={(event) => {
				event.preventDefault();
				if (note.trim()) then(() => run.does({ do: 'note', words: note.trim() }));
			}}
		>
			<TextArea
				labelText="Note for afterwards"
				rows={2}
				maxCount={EVENT_LIMITS.noteCharacters}
				bind:value={note}
			/>
			<Button type="submit" kind="tertiary" size="field" disabled={!note.trim()}>Record it</Button>
		</form>
	</div>
</Modal>

<style>
	.parts,
	section,
	form {
		display: grid;
		gap: 0.6rem;
		justify-items: start;
	}
	form {
		width: 100%;
	}
	form :global(.bx--form-item),
	form :global(.bx--text-area__wrapper) {
		width: 100%;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		width: 100%;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		border-top: 1px solid var(--line);
		min-height: 4rem;
	}
	.picture {
		width: 5rem;
		height: 3.6rem;
		flex: none;
	}
	.picture :global(svg) {
		width: 100%;
		height: 100%;
	}
	.words {
		flex: 1;
		display: grid;
	}
</style>
