<script lang="ts">
	import { cautionChoices, type Caution } from '$lib/core/movement';
	import { ComboBox } from 'carbon-components-svelte';

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
	let box = $state<ComboBox>();

	const holds = (item: { text: string }, typed: string) =>
		typed
			.toLowerCase()
			.split(/\s+/)
			.every((word) => item.text.toLowerCase().includes(word));
</script>

<ComboBox
	{id}
	bind:this={box}
	size="sm"
	labelText={label}
	{hideLabel}
	placeholder="Type or choose"
	{items}
	shouldFilterItem={holds}
	on:select={({ detail }) => {
		onpick(detail.selectedId as Caution);
		box?.clear({ focus: false });
	}}
/>
