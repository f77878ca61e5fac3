<script lang="ts">
	import { Checkbox } from 'carbon-components-svelte';

	/** Something that is so or not. */
	interface Props {
		label: string;
		/** Comes before the label for screen readers only, where those who look see it in a heading. */
		under?: string;
		checked: boolean;
		onchange?: (checked: boolean) => void;
	}
	let { label, under, checked, onchange }: Props = $props();

	const id = $props.id();
</script>

<Checkbox
	{id}
	{checked}
	on:check={(event) => {
		if (event.detail !== checked) onchange?.(event.detail);
	}}
>
	<svelte:fragment slot="labelChildren"
		>{#if under}<span class="visually-hidden">{`${under} `}</span>{/if}{label}</svelte:fragment
	>
</Checkbox>
