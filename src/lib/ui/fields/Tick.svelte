<script lang="ts">
	import { Checkbox } from 'carbon-components-svelte';

	/** Something that is so or not. */
	interface Props {
		label: string;
		hideLabel?: boolean;
		checked: boolean;
		/** For forms that are sent. */
		name?: string;
		value?: string;
		disabled?: boolean;
		onchange?: (checked: boolean) => void;
	}
	let { label, hideLabel = false, checked, name, value, disabled = false, onchange }: Props = $props();

	const id = $props.id();
</script>

<Checkbox
	{id}
	{name}
	{value}
	{disabled}
	{hideLabel}
	labelText={label}
	{checked}
	on:check={(event) => {
		if (event.detail !== checked) onchange?.(event.detail);
	}}
/>
