<script lang="ts">
	import type { Snippet } from 'svelte';
	import Failed from './Failed.svelte';

	/** A part of a page whose fault leaves the rest of the page, with undo, alive. */
	interface Props {
		/** "The score", as the start of a sentence. */
		what: string;
		/** The content of the part: when this changes, it is tried again. */
		shows?: unknown;
		/** Takes the last change back, where the part that failed had the button for it. */
		onundo?: () => void;
		children: Snippet;
	}
	let { what, shows, onundo, children }: Props = $props();
</script>

<svelte:boundary onerror={(error) => console.error(error)}>
	{@render children()}
	{#snippet failed(_error, reset)}
		<Failed {what} {shows} {onundo} {reset} />
	{/snippet}
</svelte:boundary>
