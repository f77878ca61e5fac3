<script lang="ts">
	import type { Kit } from '$lib/core/group';
	import { KIT_KINDS } from '$lib/core/movement';
	import NumberField from '$lib/ui/fields/NumberField.svelte';

	/** How many pieces there are of each kind of kit. */
	interface Props {
		kit: Kit;
		/** The most pieces of a kind. */
		most: number;
		/** Comes after the kind: "each". */
		after?: string;
		onchange: (kit: Kit) => void;
	}
	let { kit, most, after = '', onchange }: Props = $props();
</script>

<div class="kinds">
	{#each KIT_KINDS as kind (kind)}
		<NumberField
			label="{kind}{after && ` ${after}`}"
			least={0}
			{most}
			value={kit[kind] ?? 0}
			onchange={(pieces) => onchange({ ...kit, [kind]: pieces ?? 0 })}
		/>
	{/each}
</div>

<style>
	.kinds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(7rem, 1fr));
		gap: 0.6rem 0.75rem;
		align-items: end;
	}
</style>
