<script lang="ts">
	import type { Group } from '$lib/core/group';
	import { PURPOSES, toggled, type Purpose } from '$lib/core/movement';
	import { Checkbox } from 'carbon-components-svelte';

	/** Purposes of the classes of a group: the shapes of its sport, or of its day. */
	interface Props {
		group: Group;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, onchange }: Props = $props();
	const id = $props.id();
</script>

<section class="sheet" aria-labelledby="{id}-title">
	<h2 id="{id}-title">Purposes</h2>
	<p class="quiet">
		Build and peak of their classes should serve these. They start with the usual ones for this kind of group.
	</p>
	<div class="boxes">
		{#each PURPOSES as purpose, index (index)}
			<Checkbox
				labelText={purpose}
				checked={group.purposes.includes(purpose)}
				on:check={(event) => onchange({ purposes: toggled<Purpose>(group.purposes, purpose, event.detail) })}
			/>
		{/each}
	</div>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
	.boxes {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
		column-gap: 0.75rem;
	}
	/* the first of several would stand lower than the one beside it */
	.boxes :global(.bx--checkbox-wrapper) {
		margin: 0;
	}
</style>
