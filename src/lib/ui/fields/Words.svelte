<script lang="ts">
	import { TextArea, TextInput } from 'carbon-components-svelte';

	/** Words in one line, or in a few where `rows` says so. */
	interface Props {
		label: string;
		hideLabel?: boolean;
		value: string;
		most?: number;
		rows?: number;
		placeholder?: string;
		/** For forms that are sent. */
		name?: string;
		/** What is wrong with it, in words. */
		wrong?: string;
		/** At each key; where the field is left, `onchange`. */
		oninput?: (text: string) => void;
		onchange?: (text: string) => void;
	}
	let {
		label,
		hideLabel = false,
		value,
		most,
		rows,
		placeholder = '',
		name,
		wrong = '',
		oninput,
		onchange
	}: Props = $props();

	const id = $props.id();
	const textIn = (event: Event) => (event.target as HTMLTextAreaElement).value;
</script>

{#if rows}
	<TextArea
		{id}
		{name}
		{rows}
		labelText={label}
		{hideLabel}
		{placeholder}
		{value}
		maxlength={most}
		invalid={Boolean(wrong)}
		invalidText={wrong}
		on:input={(event) => oninput?.(textIn(event))}
		on:change={(event) => onchange?.(textIn(event))}
	/>
{:else}
	<TextInput
		{id}
		{name}
		size="sm"
		labelText={label}
		{hideLabel}
		{placeholder}
		{value}
		maxlength={most}
		invalid={Boolean(wrong)}
		invalidText={wrong}
		on:input={(event) => oninput?.(String(event.detail ?? ''))}
		on:change={(event) => onchange?.(String(event.detail ?? ''))}
	/>
{/if}
