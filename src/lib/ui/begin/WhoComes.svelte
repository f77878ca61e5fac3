<script lang="ts">
	import type { Onboarding } from '$lib/client/begin/onboarding.svelte';
	import type { PresetId } from '$lib/core/group';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import GroupCautions from '$lib/ui/group/GroupCautions.svelte';
	import { RadioTile, TileGroup } from 'carbon-components-svelte';

	/** The people of the first group: a kind, a name, how many, and what to mind. */
	interface Props {
		beginning: Onboarding;
		presets: readonly { id: PresetId; label: string; serves: string }[];
	}
	let { beginning, presets }: Props = $props();

	const group = $derived(beginning.group);
</script>

<div class="kinds">
	<TileGroup
		legendText="Each kind fills in what such people usually need; all of it can be changed later."
		name="kind"
		selected={group.preset}
		on:select={(event) => beginning.usePreset(event.detail as PresetId)}
	>
		{#each presets as { id, label, serves } (id)}
			<RadioTile value={id}>
				<b>{label}</b>
				<span class="quiet">{serves || 'something of everything'}</span>
			</RadioTile>
		{/each}
	</TileGroup>
</div>
<div class="fields">
	<Words
		label="What you call them"
		most={80}
		value={group.name}
		oninput={(name) => beginning.change({ name })}
	/>
	<NumberField
		label="How many come"
		least={1}
		most={200}
		value={group.size}
		onchange={(size) => beginning.setSize(size ?? group.size)}
	/>
</div>
<Fold title="Sore knees, a new hip, a pregnancy: anything to mind?">
	<GroupCautions cautions={group.cautions} onchange={(cautions) => beginning.change({ cautions })} />
</Fold>

<style>
	.kinds :global(fieldset > div) {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(16.5rem, 100%), 1fr));
		gap: 0.6rem;
	}
	.kinds :global(.bx--tile) {
		min-height: 5rem;
		padding: 0.8rem 2.2rem 0.8rem 0.9rem;
		margin: 0;
		border: 1px solid var(--line);
		border-radius: var(--radius);
	}
	.kinds b,
	.kinds span {
		display: block;
	}
	.fields {
		display: grid;
		grid-template-columns: minmax(12rem, 22rem) 8rem;
		gap: 0.75rem;
	}
</style>
