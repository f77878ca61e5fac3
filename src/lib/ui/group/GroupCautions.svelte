<script lang="ts">
	import type { CautionCount } from '$lib/core/group';
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import CautionPicker from './CautionPicker.svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';

	/** Cautions of the people of a group, with the number of people for each. */
	interface Props {
		cautions: readonly CautionCount[];
		onchange: (cautions: CautionCount[]) => void;
	}
	let { cautions, onchange }: Props = $props();
</script>

<p class="quiet">
	What and how many; no name, no diagnosis. In the first months after an operation and with leg symptoms the
	treating clinician decides.
</p>
<ul>
	{#each cautions as known, index (index)}
		<li>
			<span>{known.caution}</span>
			<NumberField
				narrow
				hideLabel
				label="People with {known.caution}"
				least={1}
				most={200}
				value={known.people}
				onchange={(people) =>
					onchange(cautions.map((c) => (c === known ? { ...c, people: people ?? c.people } : c)))}
			/>
			<IconButton
				label="Remove {known.caution}"
				icon={Close}
				onpress={() => onchange(cautions.filter((c) => c !== known))}
			/>
		</li>
	{:else}
		<li class="quiet">None known</li>
	{/each}
</ul>
<CautionPicker
	label="Another caution"
	taken={cautions.map(({ caution }) => caution)}
	onpick={(caution) => onchange([...cautions, { caution, people: 1 }])}
/>

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.4rem;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.75rem;
	}
	li span {
		flex: 1;
	}
</style>
