<script lang="ts">
	import { cautionChoices, type Caution } from '$lib/core/movement';
	import { ComboBox } from 'carbon-components-svelte';
	import { tick } from 'svelte';

	/** Offers the cautions that are not chosen yet, searched by any part of their words. */
	interface Props {
		label: string;
		taken: readonly Caution[];
		onpick: (caution: Caution) => void;
		hideLabel?: boolean;
	}
	let { label, taken, onpick, hideLabel = false }: Props = $props();

	const id = $props.id();
	const items = $derived(cautionChoices(taken));

	/** A fresh field after each choice, with the focus where it was. */
	async function pick(caution: Caution) {
		onpick(caution);
		await tick();
		document.getElementById(id)?.focus();
	}

	const holds = (item: { text: string }, typed: string) =>
		typed
			.toLowerCase()
			.split(/\s+/)
			.every((word) => item.text.toLowerCase().includes(word));
</script>

{#key taken.length}
	<ComboBox
		{id}
		size="sm"
		labelText={label}
		{hideLabel}
		placeholder="Type or choose"
		{items}
		shouldFilterItem={holds}
		on:select={({ detail }) => void pick(detail.selectedId as Caution)}
	/>
{/key}
