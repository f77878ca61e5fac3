<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Snippet } from 'svelte';

	/** A page that is made to be printed: the way back and the button stay on the screen. */
	interface Props {
		/** Of the browser's tab. */
		title: string;
		back: { href: string; words: string };
		children: Snippet;
	}
	let { title, back, children }: Props = $props();
</script>

<svelte:head><title>{title} · Humble Orbit</title></svelte:head>

<p class="no-print">
	<a href={back.href}>{back.words}</a>
	<Button kind="tertiary" size="small" on:click={() => window.print()}>Print</Button>
</p>
{@render children()}

<style>
	.no-print {
		display: flex;
		gap: 1rem;
		align-items: center;
		margin-bottom: 1rem;
	}
	@media print {
		.no-print {
			display: none;
		}
	}
</style>
