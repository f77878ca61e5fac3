<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import type { Snippet } from 'svelte';

	/** Something that is folded away under its title until it is asked for. */
	interface Props {
		title: string;
		open?: boolean;
		children: Snippet;
	}
	let { title, open = $bindable(false), children }: Props = $props();

	/** True once opened: the content then stays mounted, with everything typed into it. */
	let opened = $state(false);
	$effect.pre(() => {
		if (open) opened = true;
	});
</script>

<div class="fold">
	<Disclosure summary={title} align="start" bind:open>
		{#if opened}{@render children()}{/if}
	</Disclosure>
</div>

<style>
	.fold :global(.bx--disclosure__control) {
		width: auto;
		min-height: 1.75rem;
		padding: 0.1rem 0.4rem 0.1rem 0;
		gap: 0.3rem;
		color: var(--accent);
		font-size: var(--text-s);
		font-weight: 600;
	}
	.fold :global(.bx--disclosure__arrow) {
		margin: 0.1rem 0 0;
		fill: var(--accent);
	}
	.fold :global(.bx--disclosure__summary) {
		margin: 0;
		font-size: var(--text-s);
		font-weight: 600;
	}
	.fold :global(.bx--disclosure__content) {
		margin: 0;
		padding: 0.2rem 0 0.4rem;
	}
</style>
