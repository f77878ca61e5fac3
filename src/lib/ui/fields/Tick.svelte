<script lang="ts">
	import { Checkbox } from 'carbon-components-svelte';

	/** Something that is so or not. */
	interface Props {
		label: string;
		checked: boolean;
		onchange?: (checked: boolean) => void;
	}
	let { label, checked, onchange }: Props = $props();

	const id = $props.id();
</script>

<Checkbox
	{id}
	labelText={label}
	{checked}
	on:check={(event) => {
		if (event.detail !== checked) onchange?.(event.detail);
	}}
/>
