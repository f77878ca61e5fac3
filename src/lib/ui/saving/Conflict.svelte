<script lang="ts">
	import { Button } from 'carbon-components-svelte';

	/** Two versions of one document: both are shown in short, and whichever is not taken is kept. */
	interface Version {
		name: string;
		lines: string[];
	}
	interface Props {
		what: string;
		mine: Version;
		theirs: Version;
		/** Sentence on the version that is not chosen. */
		kept: string;
		busy: boolean;
		onmine: () => void;
		ontheirs: () => void;
	}
	let { what, mine, theirs, kept, busy, onmine, ontheirs }: Props = $props();
</script>

<section class="sheet" role="alert" aria-labelledby="conflict-title">
	<h2 id="conflict-title">{what} was changed in another window too</h2>
	<div class="two">
		{#each [{ v: mine, act: onmine, word: 'Keep this version' }, { v: theirs, act: ontheirs, word: 'Use the other version' }] as side, index (index)}
			<div>
				<h3>{side.v.name}</h3>
				{#each side.v.lines as line, index (index)}<p>{line}</p>{/each}
				<Button
					size="small"
					kind={side.v === mine ? 'primary' : 'tertiary'}
					disabled={busy}
					on:click={side.act}>{side.word}</Button
				>
			</div>
		{/each}
	</div>
	<p class="quiet">{kept}</p>
</section>

<style>
	section {
		border: 2px solid var(--fix);
		display: grid;
		gap: 0.75rem;
		margin-bottom: 1rem;
	}
	.two {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 1.5rem;
	}
	.two div {
		display: grid;
		gap: 0.3rem;
		justify-items: start;
	}
</style>
