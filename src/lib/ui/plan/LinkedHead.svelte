<script lang="ts">
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { formatDuration } from '$lib/core/clock';
	import { breathsToEach, PLAN_LIMITS, unitWord, type FlowSides } from '$lib/core/plan';
	import type { OrderBlock } from '$lib/core/view-models';
	import { Checkbox, NumberInput } from 'carbon-components-svelte';

	/** What stands above the rows of a chain or a flow: how it goes round, and how it is taken apart. */
	interface Props {
		block: OrderBlock;
		blocks: BlockCommands;
	}
	let { block, blocks }: Props = $props();

	const flow = $derived(block.block.kind === 'flow' ? block.block : null);

	const chain = $derived(block.block.kind === 'chain' ? block.block : null);
	/** What can be asked of one shape in a flow at once; each item may still have its own dose. */
	const MOST_BREATHS = 12;
	/** The breaths that every movement of the flow gets; null where they differ. */
	const breathsEach = $derived(flow && breathsToEach(flow));
	const id = $props.id();
	let open = $state(false);

	/** Nothing typed (or nothing that counts) leaves what was there. */
	function count(
		input: HTMLInputElement,
		most: number,
		before: number | null,
		take: (value: number) => void
	) {
		const value = input.valueAsNumber;
		if (Number.isInteger(value) && value >= 1 && value <= most) take(value);
		else input.value = before === null ? '' : String(before);
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
		<label>
			<input
				type="number"
				aria-label="Breaths to each movement"
				min="1"
				max={MOST_BREATHS}
				placeholder="own"
				value={breathsEach}
				onchange={(event) =>
					count(event.currentTarget, MOST_BREATHS, breathsEach, (breaths) =>
						blocks.breathsToEach(flow, breaths)
					)}
			/>
			{unitWord('breaths', breathsEach ?? 2)} to each
		</label>
	{:else}
		<span
			><b>Chain:</b> all of it on one side, then the other{chain?.noticeFirstSeconds
				? `, ${chain.noticeFirstSeconds} s to notice in between`
				: ''}{chain?.slowChange ? ', by a slow switch' : ''}</span
		>
	{/if}
	<b>{formatDuration(block.seconds)}</b>
	<button type="button" onclick={() => blocks.unchain(block.rows[0]?.item.id ?? '')}>Take apart</button>
	{#if chain}
		<button type="button" aria-expanded={open} onclick={() => (open = !open)}>Change of sides</button>
	{/if}
</div>
{#if chain && open}
	<div class="change">
		<span class="field">
			<NumberInput
				id="{id}-notice"
				size="sm"
				hideSteppers
				allowEmpty
				labelText="Pause to notice in between, seconds"
				min={0}
				max={PLAN_LIMITS.noticeSeconds}
				value={chain.noticeFirstSeconds ?? null}
				on:change={(event) =>
					blocks.setChain(
						chain,
						{ noticeFirstSeconds: event.detail || undefined },
						'Pause for noticing changed'
					)}
			/>
		</span>
		<Checkbox
			id="{id}-slow"
			labelText="A slow switch changes the sides"
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
