<script lang="ts">
	import LetterKeysToggle from '$lib/ui/fields/LetterKeysToggle.svelte';
	import { Modal } from 'carbon-components-svelte';

	/** The keys of the desk. */
	interface Props {
		onleave: () => void;
	}
	let { onleave }: Props = $props();

	const KEYS: [keys: string, what: string][] = [
		['↑ ↓', 'go through the running order'],
		['Shift ↑ ↓, Ctrl A', 'mark several'],
		['Ctrl C, X, V', 'copy, cut, paste: also into another class'],
		['A', 'add a movement after the selected one'],
		['T, M', 'add a few words to the group, or a test'],
		['V', 'visit the same movement again, further'],
		['Alt ↑, Alt ↓', 'move it, or all that is marked, earlier or later'],
		['+ −', 'longer or shorter'],
		['S', 'the other side first'],
		['C', 'chain it with the next'],
		['R', 'let the marked rows flow in rounds'],
		['L', 'how the leg changes before it in a chain or flow'],
		['Shift C', 'take its chain or flow apart'],
		['P', 'pin its dose'],
		['D', 'its cues, cautions and swaps'],
		['X', 'put the best substitute in its place'],
		['Delete', 'remove it'],
		['G', 'let a class be proposed, or this one finished'],
		['W', 'change the whole class: harder, quieter, shorter and so on'],
		['F', 'fit the class to its length'],
		['O', 'calm the order'],
		['Ctrl Z, Ctrl Y', 'undo, do again'],
		['?', 'this sheet']
	];
</script>

<Modal open on:close={onleave} passiveModal hasScrollingContent modalHeading="Keys at the desk" size="sm">
	<dl>
		{#each KEYS as [keys, what] (keys)}
			<div>
				<dt><kbd>{keys}</kbd></dt>
				<dd>{what}</dd>
			</div>
		{/each}
	</dl>
	<LetterKeysToggle />
</Modal>

<style>
	dl {
		display: grid;
		gap: 0.35rem;
		margin: 0;
	}
	div {
		display: grid;
		grid-template-columns: 9rem 1fr;
	}
	dd {
		margin: 0;
	}
	kbd {
		font-weight: 650;
	}
</style>
