<script lang="ts">
	import { MOST_PIECES, type Kit } from '$lib/core/group';
	import { KIT_KINDS } from '$lib/core/movement';
	import NumberField from '$lib/ui/fields/NumberField.svelte';

	/** How many pieces there are of each kind of kit. */
	interface Props {
		kit: Kit;
		onchange: (kit: Kit) => void;
	}
	let { kit, onchange }: Props = $props();
</script>

<div class="kinds">
	{#each KIT_KINDS as kind (kind)}
		<NumberField
			label={kind}
			least={0}
			most={MOST_PIECES}
			value={kit[kind] ?? 0}
			onchange={(pieces) => onchange({ ...kit, [kind]: pieces ?? 0 })}
		/>
	{/each}
</div>

<style>
	.kinds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(6.5rem, 1fr));
		gap: 0.6rem 0.75rem;
		align-items: end;
	}
</style>
