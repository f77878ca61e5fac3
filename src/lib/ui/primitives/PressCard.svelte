<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A whole card that is pressed to choose it, and may be dragged elsewhere. */
	interface Props {
		id: string;
		pressed: boolean;
		/** Name of the card while it is dragged; without a name it cannot be dragged. */
		dragText?: string;
		state?: string;
		onpress: () => void;
		ondrag?: (isUnderWay: boolean) => void;
		children: Snippet;
	}
	let { id, pressed, dragText, state, onpress, ondrag, children }: Props = $props();
</script>

<!-- Carbon's tiles are links, checkboxes or radio buttons: none is a toggle button that can be dragged -->
<button
	type="button"
	{id}
	class:pressed
	aria-pressed={pressed}
	data-state={state}
	draggable={dragText !== undefined}
	ondragstart={(event) => {
		ondrag?.(true);
		event.dataTransfer?.setData('text/plain', dragText ?? '');
	}}
	ondragend={() => ondrag?.(false)}
	onclick={onpress}
>
	{@render children()}
</button>

<style>
	button {
		display: grid;
		gap: 0.25rem;
		width: 100%;
		padding: 0.5rem 0.6rem;
		border: 1px solid var(--line);
		border-radius: var(--radius);
		background: var(--paper);
		color: var(--ink);
		font-size: var(--text-s);
		text-align: left;
		cursor: pointer;
	}
	button:hover {
		border-color: var(--line-strong);
	}
	.pressed {
		border-color: var(--accent);
		background: var(--accent-tint);
	}
</style>
