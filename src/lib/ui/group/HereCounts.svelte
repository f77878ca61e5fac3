<script lang="ts">
	import type { Caution } from '$lib/core/movement';
	import { MOST_PEOPLE, TIERS, withCaution, type Attendance } from '$lib/core/people';
	import { NumberInput } from 'carbon-components-svelte';
	import CautionPicker from './CautionPicker.svelte';

	/** How many people are here, by how open they are and by what they have: counted at the door, without a name. */
	interface Props {
		here: Attendance;
		oncount: (here: Attendance) => void;
	}
	let { here, oncount }: Props = $props();

	const id = $props.id();

	const count = (caution: Caution, people: number | null) => oncount(withCaution(here, caution, people ?? 0));
</script>

<div class="counts">
	{#each TIERS as tier (tier)}
		<NumberInput
			id="{id}-{tier}"
			labelText={tier}
			min={0}
			max={MOST_PEOPLE}
			value={here.tiers[tier]}
			on:change={(event) => {
				if (event.detail !== here.tiers[tier])
					oncount({ ...here, tiers: { ...here.tiers, [tier]: event.detail ?? 0 } });
			}}
		/>
	{/each}
	{#each here.cautions as { caution, people }, index (index)}
		<NumberInput
			id="{id}-{caution.replaceAll(' ', '-')}"
			labelText={caution}
			min={0}
			max={MOST_PEOPLE}
			value={people}
			on:change={(event) => {
				if (event.detail !== people) count(caution, event.detail);
			}}
		/>
	{/each}
	<CautionPicker
		label="A person with"
		taken={here.cautions.map(({ caution }) => caution)}
		onpick={(caution) => count(caution, 1)}
	/>
</div>

<style>
	.counts {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
		gap: 0.75rem;
		align-items: end;
		margin: 0.5rem 0;
	}
</style>
