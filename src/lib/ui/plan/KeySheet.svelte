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
		['V', 'add a second visit to the same movement'],
		['Alt ↑, Alt ↓', 'move it, or all that is marked, earlier or later'],
		['+ −', 'longer or shorter'],
		['S', 'the other side first'],
		['C', 'chain it with the next'],
		['R', 'make the marked rows a flow'],
		['L', 'how the leg changes before it in a chain or flow'],
		['Shift C', 'split its chain or flow'],
		['P', 'pin its dose'],
		['D', 'its cues, cautions and alternatives'],
		['X', 'swap it for the best substitute'],
		['Delete', 'remove it'],
		['G', 'propose a class, or finish this one'],
		['W', 'adjust the whole class: harder, quieter, shorter and so on'],
		['F', 'fit the class to its length'],
		['O', 'reduce transitions'],
		['Ctrl Z, Ctrl Y', 'undo, redo'],
		['?', 'this list of keys']
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
