<script lang="ts">
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Selection } from '$lib/client/plan/selection.svelte';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { clockTime, formatDuration } from '$lib/core/clock';
	import { HIP_TESTS, TEST_IDS } from '$lib/core/hip-tests';
	import { PLAN_LIMITS, type Talk, type TestBlock } from '$lib/core/plan';
	import { TextInput } from 'carbon-components-svelte';
	import TrashCan from 'carbon-icons-svelte/lib/TrashCan.svelte';

	import NumberField from '../fields/NumberField.svelte';
	import Choice from '../fields/Choice.svelte';

	/** A row of the running order in which nothing is done by the dose: words to the group, or a test. */
	interface Props {
		block: Talk | TestBlock;
		fromSeconds: number;
		doc: PlanDocument;
		selection: Selection;
		blocks: BlockCommands;
	}
	let { block, fromSeconds, doc, selection, blocks }: Props = $props();

	const id = $props.id();
	const name = $derived(
		block.kind === 'talk' ? `Talk: ${block.label}` : `Test: ${HIP_TESTS[block.test].name}`
	);
	const limits = $derived(
		block.kind === 'talk'
			? { min: 1, max: PLAN_LIMITS.talkSeconds }
			: { min: 5, max: PLAN_LIMITS.testSeconds }
	);

	function setSeconds(seconds: number) {
		if (block.kind === 'talk') doc.edit({ do: 'setTalk', blockId: block.id, seconds });
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
		<div class="words">
			<TextInput
				id="{id}-words"
				size="sm"
				hideLabel
				labelText="What is said"
				value={block.label}
				maxlength={PLAN_LIMITS.titleCharacters}
				on:input={(event) =>
					doc.edit(
						{ do: 'setTalk', blockId: block.id, label: String(event.detail ?? '') },
						'',
						`talk ${block.id}`
					)}
			/>
		</div>
	{:else}
		<div class="words">
			<Choice
				hideLabel
				label="Which test"
				value={block.test}
				options={TEST_IDS.map((test) => ({ value: test, text: `Test: ${HIP_TESTS[test].name}` }))}
				onpick={(test) => blocks.setTest(block, { test })}
			/>
			<span class="quiet">{HIP_TESTS[block.test].how} <b>{HIP_TESTS[block.test].look}</b></span>
		</div>
	{/if}
	<NumberField
		narrow
		hideLabel
		label="Seconds of {block.kind === 'talk' ? 'talk' : 'the test'}"
		least={limits.min}
		most={limits.max}
		value={block.seconds}
		onchange={(seconds) => setSeconds(seconds ?? block.seconds)}
	/>
	<span class="quiet"
		>{block.kind === 'talk'
			? 'seconds of talk'
			: HIP_TESTS[block.test].sided
				? 'seconds, both legs'
				: 'seconds'}</span
	>
	<IconButton
		label={block.kind === 'talk' ? 'Remove this talk' : 'Remove this test'}
		icon={TrashCan}
		onpress={() => blocks.remove(block.id)}
	/>
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
	.words {
		flex: 1;
		min-width: 6rem;
		display: grid;
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
			flex-basis: 55%;
			min-width: 0;
		}
	}
</style>
