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
		/** At each key. */
		oninput?: (text: string) => void;
	}
	let { label, hideLabel = false, value, most, rows, placeholder = '', name, oninput }: Props = $props();

	const id = $props.id();
	const both = $derived({ id, name, labelText: label, hideLabel, placeholder, value, maxlength: most });
</script>

{#if rows}
	<TextArea {...both} {rows} on:input={(event) => oninput?.((event.target as HTMLTextAreaElement).value)} />
{:else}
	<TextInput {...both} size="sm" on:input={(event) => oninput?.(String(event.detail ?? ''))} />
{/if}
