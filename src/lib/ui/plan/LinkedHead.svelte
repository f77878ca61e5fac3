<script lang="ts">
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { formatDuration } from '$lib/core/clock';
	import { unitWord, type OrderBlock } from '$lib/core/view-models';
	import { PLAN_LIMITS, type FlowSides } from '$lib/core/plan';

	/** What stands above the rows of a chain or a flow: how it goes round, and how it is taken apart. */
	interface Props {
		block: OrderBlock;
		blocks: BlockCommands;
	}
	let { block, blocks }: Props = $props();

	const flow = $derived(block.block.kind === 'flow' ? block.block : null);

	/** Nothing typed (or nothing that counts) leaves what was there. */
	function count(input: HTMLInputElement, most: number, before: number, take: (value: number) => void) {
		const value = input.valueAsNumber;
		if (Number.isInteger(value) && value >= 1 && value <= most) take(value);
		else input.valueAsNumber = before;
	}
</script>

<div class="head">
	{#if flow}
		<b>Flow</b>
		<label>
			<input
				type="number"
				aria-label="Rounds of the flow"
				min="1"
				max={PLAN_LIMITS.rounds}
				value={flow.rounds}
				onchange={(event) =>
					count(event.currentTarget, PLAN_LIMITS.rounds, flow.rounds, (rounds) =>
						blocks.setFlow(flow, { rounds }, `${rounds} ${unitWord('rounds', rounds)}`)
					)}
			/>
			{unitWord('rounds', flow.rounds)}
		</label>
		<select
			aria-label="How the flow serves both sides"
			value={flow.sides}
			onchange={(event) =>
				blocks.setFlow(flow, { sides: event.currentTarget.value as FlowSides }, 'Sides of the flow changed')}
		>
			<option value="alternate">the other side each round</option>
			<option value="mirror">one side, then the other</option>
		</select>
		<select
			aria-label="What times the flow"
			value={flow.breathsEach ? 'breath' : 'dose'}
			onchange={(event) =>
				blocks.setFlow(
					flow,
					{ breathsEach: event.currentTarget.value === 'breath' ? 1 : undefined },
					'What times the flow changed'
				)}
		>
			<option value="breath">by the breath</option>
			<option value="dose">each its own dose</option>
		</select>
		{#if flow.breathsEach}
			<label>
				<input
					type="number"
					aria-label="Breaths to each movement"
					min="1"
					max={PLAN_LIMITS.breathsEach}
					value={flow.breathsEach}
					onchange={(event) =>
						count(event.currentTarget, PLAN_LIMITS.breathsEach, flow.breathsEach ?? 1, (breathsEach) =>
							blocks.setFlow(flow, { breathsEach }, `${breathsEach} to each movement`)
						)}
				/>
				{unitWord('breaths', flow.breathsEach)} each
			</label>
		{/if}
	{:else}
		<span><b>Chain:</b> all of it on one side, then the other</span>
	{/if}
	<b>{formatDuration(block.seconds)}</b>
	<button type="button" onclick={() => blocks.unchain(block.rows[0]?.item.id ?? '')}>Take apart</button>
</div>

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
	b {
		color: var(--ink);
	}
	input,
	select {
		height: 1.7rem;
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
		font-size: var(--text-s);
		padding: 0 0.25rem;
	}
	input {
		width: 3rem;
		text-align: right;
	}
	button {
		border: 0;
		background: none;
		color: var(--accent);
		font-size: var(--text-s);
		text-decoration: underline;
		cursor: pointer;
		min-height: 24px;
	}
</style>
