<script lang="ts">
	import type { CautionCount } from '$lib/core/group';
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';

	/** Cautions of the people of a group, with the number of people for each. */
	interface Props {
		cautions: readonly CautionCount[];
		onchange: (cautions: CautionCount[]) => void;
	}
	let { cautions, onchange }: Props = $props();

	const id = $props.id();
	const free = $derived(CAUTIONS.filter((c) => !cautions.some((known) => known.caution === c)));
	let next = $state<Caution | ''>('');

	function add() {
		if (next) onchange([...cautions, { caution: next, people: 1 }]);
		next = '';
	}
</script>

<p class="quiet">
	What and how many; no name, no diagnosis. After surgery or with leg symptoms the treating clinician decides.
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
<div class="add">
	<Select {id} labelText="Another caution" size="sm" bind:selected={next}>
		<SelectItem value="" text="Choose" />
		{#each free as caution, index (index)}<SelectItem value={caution} text={caution} />{/each}
	</Select>
	<Button kind="tertiary" size="small" disabled={!next} on:click={add}>Add</Button>
</div>

<style>
	.add {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0.75rem;
		align-items: end;
	}
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
