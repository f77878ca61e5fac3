<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Selection } from '$lib/client/plan/selection.svelte';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { clockTime, formatDuration } from '$lib/core/clock';
	import { HIP_TESTS, TEST_IDS, type TestId } from '$lib/core/measure';
	import { PLAN_LIMITS, type Talk, type TestBlock } from '$lib/core/plan';
	import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';

	/** A row of the running order in which nothing is done by the dose: words to the group, or a test. */
	interface Props {
		block: Talk | TestBlock;
		fromSeconds: number;
		doc: PlanDocument;
		selection: Selection;
		blocks: BlockCommands;
	}
	let { block, fromSeconds, doc, selection, blocks }: Props = $props();

	const name = $derived(
		block.kind === 'talk' ? `Talk: ${block.label}` : `Test: ${HIP_TESTS[block.test].name}`
	);
	const limits = $derived(
		block.kind === 'talk'
			? { min: 1, max: PLAN_LIMITS.talkSeconds }
			: { min: 5, max: PLAN_LIMITS.testSeconds }
	);

	function setSeconds(input: HTMLInputElement) {
		const seconds = input.valueAsNumber;
		if (!(Number.isInteger(seconds) && seconds >= limits.min && seconds <= limits.max))
			input.valueAsNumber = block.seconds;
		else if (block.kind === 'talk') doc.edit({ do: 'setTalk', blockId: block.id, seconds });
		else blocks.setTest(block, { seconds });
	}
</script>

<!-- The row takes the focus so that the desk's keys act on it; what is inside has its own stops. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class="row"
	role="group"
	tabindex="0"
	id="row-{block.id}"
	aria-label={name}
	class:selected={selection.selected === block.id}
	class:marked={selection.marked.includes(block.id)}
	onfocusin={() => selection.select(block.id)}
	onpointerdown={(event) => {
		if (!event.shiftKey && !event.ctrlKey && !event.metaKey) return;
		event.preventDefault();
		selection.mark(block.id, event.shiftKey ? 'to here' : 'this too');
	}}
>
	<span class="time">
		<b>{formatDuration(fromSeconds)}</b>
		<span class="quiet">{clockTime(doc.plan.startsAt, fromSeconds)}</span>
	</span>
	{#if block.kind === 'talk'}
		<input
			class="words"
			aria-label="What is said"
			value={block.label}
			maxlength={PLAN_LIMITS.titleCharacters}
			oninput={(event) =>
				doc.edit(
					{ do: 'setTalk', blockId: block.id, label: event.currentTarget.value },
					'',
					`talk ${block.id}`
				)}
		/>
	{:else}
		<span class="words">
			<select
				aria-label="Which test"
				value={block.test}
				onchange={(event) => blocks.setTest(block, { test: event.currentTarget.value as TestId })}
			>
				{#each TEST_IDS as id (id)}<option value={id}>Test: {HIP_TESTS[id].name}</option>{/each}
			</select>
			<span class="quiet">{HIP_TESTS[block.test].how} <b>{HIP_TESTS[block.test].look}</b></span>
		</span>
	{/if}
	<input
		type="number"
		aria-label="Seconds of {block.kind === 'talk' ? 'talk' : 'the test'}"
		min={limits.min}
		max={limits.max}
		value={block.seconds}
		onchange={(event) => setSeconds(event.currentTarget)}
	/>
	<span class="quiet"
		>{block.kind === 'talk'
			? 'seconds of talk'
			: HIP_TESTS[block.test].sided
				? 'seconds, both legs'
				: 'seconds'}</span
	>
	<button
		type="button"
		class="icon"
		aria-label={block.kind === 'talk' ? 'Remove this talk' : 'Remove this test'}
		onclick={() => blocks.remove(block.id)}
	>
		<TrashCan size={16} />
	</button>
</div>

<style>
	.row {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		padding: 0.3rem 0.5rem;
		border-radius: 6px;
		font-size: var(--text-m);
	}
	.row.selected {
		background: var(--accent-tint);
	}
	.row.marked {
		box-shadow: inset 3px 0 0 var(--accent);
		background: var(--accent-tint);
	}
	.row:focus-visible {
		outline-offset: -2px;
	}
	.time {
		display: grid;
		line-height: 1.2;
		width: 3.6rem;
		flex: none;
	}
	input,
	select {
		height: 1.9rem;
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
		padding: 0 0.4rem;
		font-size: var(--text-s);
		max-width: 100%;
	}
	input[type='number'] {
		width: 4rem;
		text-align: right;
	}
	.words {
		flex: 1;
		min-width: 6rem;
	}
	span.words {
		display: grid;
		justify-items: start;
		gap: 0.15rem;
	}
	.quiet b {
		font-weight: 600;
	}
	@media (max-width: 48rem) {
		.row {
			flex-wrap: wrap;
		}
		.words {
			flex-basis: 70%;
			min-width: 0;
		}
		select {
			width: 100%;
		}
	}
	.icon {
		display: grid;
		place-items: center;
		width: 28px;
		height: 28px;
		border: 0;
		background: none;
		color: var(--ink-soft);
		cursor: pointer;
	}
</style>
