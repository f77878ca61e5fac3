<script lang="ts">
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { formatDuration } from '$lib/core/clock';
	import { breathsToEach, PLAN_LIMITS, unitWord, type FlowSides } from '$lib/core/plan';
	import type { OrderBlock } from '$lib/core/view-models';
	import { Button, Checkbox } from 'carbon-components-svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Choice from '../fields/Choice.svelte';

	/** Head of a chain or a flow, above its rows: how it repeats, and how to take it apart. */
	interface Props {
		block: OrderBlock;
		blocks: BlockCommands;
	}
	let { block, blocks }: Props = $props();

	const flow = $derived(block.block.kind === 'flow' ? block.block : null);

	const chain = $derived(block.block.kind === 'chain' ? block.block : null);
	/** Most breaths that can be set for all shapes of a flow at once; each item may still have its own dose. */
	const MOST_BREATHS = 12;
	/** The breaths that every movement of the flow gets; null where they differ. */
	const breathsEach = $derived(flow && breathsToEach(flow));
	const id = $props.id();
	let open = $state(false);

	const FLOW_SIDE_WORDS: readonly { value: FlowSides; text: string }[] = [
		{ value: 'alternate', text: 'the other side each round' },
		{ value: 'mirror', text: 'one side, then the other' }
	];
</script>

<div class="head">
	{#if flow}
		<b>Flow</b>
		<NumberField
			narrow
			hideLabel
			label="Rounds of the flow"
			least={1}
			most={PLAN_LIMITS.rounds}
			value={flow.rounds}
			onchange={(rounds) =>
				blocks.setFlow(flow, { rounds: rounds ?? 1 }, `${rounds} ${unitWord('rounds', rounds ?? 1)}`)}
		/>
		{unitWord('rounds', flow.rounds)}
		<Choice
			hideLabel
			label="How the flow serves both sides"
			value={flow.sides}
			options={FLOW_SIDE_WORDS}
			onpick={(sides) => blocks.setFlow(flow, { sides }, 'Sides of the flow changed')}
		/>
		<NumberField
			narrow
			hideLabel
			label="Breaths to each movement"
			least={1}
			most={MOST_BREATHS}
			empty="own"
			value={breathsEach}
			onchange={(breaths) => breaths !== null && blocks.breathsToEach(flow, breaths)}
		/>
		{unitWord('breaths', breathsEach ?? 2)} to each
	{:else}
		<span
			><b>Chain:</b> all of it on one side, then the other{chain?.noticeFirstSeconds
				? `, ${chain.noticeFirstSeconds} s to notice in between`
				: ''}{chain?.slowChange ? ', by a slow switch' : ''}</span
		>
	{/if}
	<b>{formatDuration(block.seconds)}</b>
	<Button kind="ghost" size="small" on:click={() => blocks.unchain(block.rows[0]?.item.id ?? '')}
		>Split</Button
	>
	{#if chain}
		<Button kind="ghost" size="small" aria-expanded={open} on:click={() => (open = !open)}
			>Change of sides</Button
		>
	{/if}
</div>
{#if chain && open}
	<div class="change">
		<div class="field">
			<NumberField
				label="Pause between sides (s)"
				least={0}
				most={PLAN_LIMITS.noticeSeconds}
				empty=""
				value={chain.noticeFirstSeconds ?? null}
				onchange={(seconds) =>
					blocks.setChain(chain, { noticeFirstSeconds: seconds || undefined }, 'Pause for noticing changed')}
			/>
		</div>
		<Checkbox
			id="{id}-slow"
			labelText="Change sides slowly"
			checked={Boolean(chain.slowChange)}
			on:check={(event) =>
				blocks.setChain(chain, { slowChange: event.detail || undefined }, 'Change of sides changed')}
		/>
	</div>
{/if}

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.75rem;
		align-items: center;
		padding: 0.1rem 0.5rem;
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
	.change {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 1.5rem;
		align-items: end;
		padding: 0.2rem 0.5rem 0.6rem;
	}
	b {
		color: var(--ink);
	}
</style>
