<script lang="ts">
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import { MOST_PEOPLE, TIERS, withCaution, type Attendance } from '$lib/core/people';
	import { NumberInput, Select, SelectItem } from 'carbon-components-svelte';

	/** How many people are here, by how open they are and by what they have: counted at the door, without a name. */
	interface Props {
		here: Attendance;
		oncount: (here: Attendance) => void;
	}
	let { here, oncount }: Props = $props();

	const rest = $derived(CAUTIONS.filter((caution) => !here.cautions.some((c) => c.caution === caution)));
	const id = $props.id();
	/** The caution just chosen; empty again once it is counted. */
	let more = $state('');

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
	<Select
		id="{id}-more"
		labelText="A person with"
		bind:selected={more}
		on:update={(event) => {
			if (event.detail) count(event.detail as Caution, 1);
			more = '';
		}}
	>
		<SelectItem value="" text="nothing more" />
		{#each rest as caution, index (index)}<SelectItem value={caution} text={caution} />{/each}
	</Select>
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
