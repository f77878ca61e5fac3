<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import type { Part } from '$lib/core/view-models';
	import type { Snippet } from 'svelte';

	/** A number that can be asked "why?": it opens to the parts that it is made of. */
	interface Props {
		/** The number's name, e.g. "Total time". */
		label: string;
		/** Worked out only when it is asked for. */
		parts: () => Part[];
		children: Snippet;
		/** Where the parts open, seen from the number. */
		align?: 'start' | 'end';
	}
	let { label, parts, children, align = 'start' }: Props = $props();

	let open = $state(false);
	let root = $state<HTMLElement>();
	const id = $props.id();
</script>

<svelte:window
	onclick={(event) => {
		if (open && !root?.contains(event.target as Node)) open = false;
	}}
/>

<span
	class="why"
	bind:this={root}
	onfocusout={(event) => {
		if (!root?.contains(event.relatedTarget as Node | null)) open = false;
	}}
>
	<button
		type="button"
		aria-expanded={open}
		aria-controls={id}
		title="Why? {label} in its parts"
		onclick={() => (open = !open)}
		onkeydown={(event) => {
			if (event.key === 'Escape' && open) {
				open = false;
				event.stopPropagation();
			}
		}}
	>
		{@render children()}
	</button>
	{#if open}
		<span class="parts {align}" {id} role="region" aria-label="{label}: parts">
			{#each parts() as part, index (index)}
				<span class="part"><span>{part.label}</span><b>{formatDuration(part.seconds)}</b></span>
			{/each}
		</span>
	{/if}
</span>

<style>
	.why {
		position: relative;
		display: inline-block;
	}
	button {
		border: 0;
		background: none;
		padding: 0;
		font-size: inherit;
		font-weight: inherit;
		color: inherit;
		cursor: pointer;
		text-decoration: underline dotted var(--line-strong) 1px;
		text-underline-offset: 0.2em;
	}
	.parts {
		position: absolute;
		top: calc(100% + 6px);
		z-index: 20;
		display: grid;
		min-width: 15rem;
		padding: 0.6rem 0.8rem;
		background: var(--sheet);
		border: 1px solid var(--line-strong);
		border-radius: var(--radius);
		box-shadow: 0 6px 18px rgb(36 31 26 / 15%);
		font-size: var(--text-s);
		font-weight: 400;
		line-height: 1.5;
		color: var(--ink);
		text-align: left;
	}
	.start {
		left: 0;
	}
	.end {
		right: 0;
	}
	.part {
		display: flex;
		justify-content: space-between;
		gap: 1.5rem;
	}
</style>
