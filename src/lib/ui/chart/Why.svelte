<script lang="ts">
	import { Toggletip } from 'carbon-components-svelte';
	import { formatDuration } from '$lib/core/clock';
	import type { RowSegment } from '$lib/core/view-models';
	import type { Snippet } from 'svelte';

	/** A number that can be asked "why?": it opens to the parts that it is made of. */
	interface Props {
		/** The number's name, e.g. "Total time". */
		label: string;
		/** Worked out only when it is asked for. */
		parts: () => RowSegment[];
		children: Snippet;
		/** Where the parts open, seen from the number. */
		align?: 'start' | 'end';
	}
	let { label, parts, children, align = 'start' }: Props = $props();

	let open = $state(false);
</script>

<span class="why">
	<Toggletip {align} iconDescription="Why? {label} in its parts" bind:open>
		<svelte:fragment slot="labelText">{@render children()}</svelte:fragment>
		{#if open}
			<span class="parts" role="region" aria-label="{label}: parts">
				{#each parts() as part, index (index)}
					<span class="part"><span>{part.label}</span><b>{formatDuration(part.seconds)}</b></span>
				{/each}
			</span>
		{/if}
	</Toggletip>
</span>

<style>
	.why {
		display: inline-block;
		white-space: nowrap;
	}
	.why :global(.bx--toggletip-label) {
		margin-right: 0.2rem;
		font: inherit;
		color: inherit;
	}
	.parts {
		display: grid;
		min-width: 13rem;
		font-size: var(--text-s);
		font-weight: 400;
		line-height: 1.5;
		text-align: left;
		white-space: normal;
	}
	.part {
		display: flex;
		justify-content: space-between;
		gap: 1.5rem;
	}
</style>
