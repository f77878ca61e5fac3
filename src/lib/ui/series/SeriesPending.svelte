<script lang="ts">
	import type { PendingChange } from '$lib/client/series/series-desk.svelte';
	import type { PlannedSeries } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';
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

	let heading = $state<HTMLElement>();
	let chosen = $state(0);
	const choice = $derived(pending.choices[Math.min(chosen, pending.choices.length - 1)]!);
</script>

<section class="sheet" aria-labelledby="pending-title">
	<h2 id="pending-title" tabindex="-1" bind:this={heading}>{pending.title}: before and after</h2>
	{#if pending.choices.length > 1}
		<fieldset>
			<legend class="visually-hidden">How it ends</legend>
			{#each pending.choices as { label }, i (i)}
				<label><input type="radio" name="choice" value={i} bind:group={chosen} /> {label}</label>
			{/each}
		</fieldset>
	{/if}
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" tabindex="0" role="region" aria-label="What changes">
		<table class="figures">
			<thead><tr><th scope="col">Class</th><th scope="col">Before</th><th scope="col">After</th></tr></thead>
			<tbody>
				{#each choice.shifts as shift (shift.key)}
					<tr><th scope="row">{shift.name}</th><td>{shift.before}</td><td>{shift.after}</td></tr>
				{:else}
					<tr><td colspan="3">Nothing changes</td></tr>
				{/each}
			</tbody>
		</table>
	</div>
	<div class="buttons">
		<Button size="small" on:click={() => ontake(choice.after)}>
			{pending.choices.length > 1 ? 'Take it' : choice.label}
		</Button>
		<Button size="small" kind="ghost" on:click={onleave}>Leave it as it was</Button>
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
	th,
	td {
		border-top: 1px solid var(--line);
		vertical-align: top;
	}
	tbody th {
		white-space: nowrap;
	}
	thead th {
		border: 0;
		font-weight: 650;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		display: grid;
		gap: 0.2rem;
		font-size: var(--text-s);
	}
	label {
		display: flex;
		gap: 0.4rem;
		align-items: center;
		min-height: 26px;
	}
	input {
		accent-color: var(--accent);
	}
	.buttons {
		display: flex;
		gap: 0.5rem;
	}
</style>
