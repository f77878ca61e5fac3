<script lang="ts">
	import type { PendingChange } from '$lib/client/series/series-desk.svelte';
	import type { PlannedSeries } from '$lib/core/series';
	import {
		Button,
		RadioButton,
		RadioButtonGroup,
		Table,
		TableBody,
		TableCell,
		TableHead,
		TableHeader,
		TableRow
	} from 'carbon-components-svelte';
	import { onMount } from 'svelte';

	/** A change of the series, shown class by class before it is taken. */
	interface Props {
		pending: PendingChange;
		ontake: (after: PlannedSeries) => void;
		onleave: () => void;
	}
	let { pending, ontake, onleave }: Props = $props();

	// it opens above what was being looked at
	onMount(() => {
		heading?.scrollIntoView({ block: 'center' });
		heading?.focus();
	});

	const id = $props.id();
	let heading = $state<HTMLElement>();
	let chosen = $state(0);
	const choice = $derived(pending.choices[Math.min(chosen, pending.choices.length - 1)]!);
</script>

<section class="sheet" aria-labelledby="pending-title">
	<h2 id="pending-title" tabindex="-1" bind:this={heading}>{pending.title}: before and after</h2>
	{#if pending.choices.length > 1}
		<RadioButtonGroup
			orientation="vertical"
			hideLegend
			legendText="How it ends"
			selected={String(chosen)}
			on:change={(event) => (chosen = Number(event.detail))}
		>
			{#each pending.choices as { label }, i (i)}
				<RadioButton id="{id}-{i}" value={String(i)} labelText={label} />
			{/each}
		</RadioButtonGroup>
	{/if}
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" tabindex="0" role="region" aria-label="What changes">
		<Table size="compact">
			<TableHead
				><TableRow
					><TableHeader>Class</TableHeader><TableHeader>Before</TableHeader><TableHeader>After</TableHeader
					></TableRow
				></TableHead
			>
			<TableBody>
				{#each choice.shifts as shift (shift.key)}
					<TableRow
						><TableHeader scope="row">{shift.name}</TableHeader><TableCell>{shift.before}</TableCell
						><TableCell>{shift.after}</TableCell></TableRow
					>
				{:else}
					<TableRow><TableCell colspan={3}>Nothing changes</TableCell></TableRow>
				{/each}
			</TableBody>
		</Table>
	</div>
	<div class="buttons">
		<Button size="small" on:click={() => ontake(choice.after)}>
			{pending.choices.length > 1 ? 'Apply' : choice.label}
		</Button>
		<Button size="small" kind="ghost" on:click={onleave}>Cancel</Button>
	</div>
</section>

<style>
	section {
		display: grid;
		gap: 0.6rem;
		border: 2px solid var(--accent);
		margin-bottom: 1rem;
	}
	.scroll {
		overflow-x: auto;
		max-height: 20rem;
		overflow-y: auto;
	}
	.buttons {
		display: flex;
		gap: 0.5rem;
	}
</style>
