<script lang="ts" generics="T">
	import { Button } from 'carbon-components-svelte';
	import { beforeNavigate } from '$app/navigation';
	import type { Autosave } from '$lib/client/saving/autosave.svelte';
	import { onMount } from 'svelte';
	import Conflict from './Conflict.svelte';
	import Gone from './Gone.svelte';

	/** Keeps the document of a page saved for as long as the page is open, and settles what two windows made of it. */
	interface Props {
		autosave: Autosave<T>;
		/** The document as it stands here. */
		mine: T;
		/** "This group", "Your style". */
		what: string;
		/** A version in a few lines. */
		inShort: (document: T) => string[];
		/** Another version takes the place of this one. */
		ontake: (document: T) => void;
		/** Keeps the document as a new one, when this one was removed in another window; its page, or null. */
		onkeep?: (document: T) => Promise<string | null>;
	}
	let { autosave, mine, what, inShort, ontake, onkeep }: Props = $props();

	const take = (document: T | null) => {
		if (document !== null) ontake(document);
	};

	onMount(async () => take(await autosave.recover()));
	beforeNavigate(() => autosave.flush());
</script>

<svelte:window
	ononline={() => autosave.flush()}
	onfocus={() => autosave.flush()}
	onbeforeunload={() => autosave.flush()}
/>

{#if autosave.said}<p class="quiet" role="status">{autosave.said}</p>{/if}
{#if autosave.state === 'conflict' && autosave.theirs}
	<Conflict
		{what}
		mine={{ name: 'In this window', lines: inShort(mine) }}
		theirs={{ name: 'From the other window', lines: inShort(autosave.theirs.document) }}
		kept="The version that you do not choose stays in this window until you leave it."
		busy={false}
		onmine={() => autosave.keepMine(mine)}
		ontheirs={() => take(autosave.takeTheirs(mine))}
	/>
{:else if autosave.state === 'gone'}
	<Gone {what} keep={onkeep && (() => onkeep(mine))} onkept={() => autosave.settled()} />
{:else if autosave.aside !== null}
	<p class="aside" role="status">
		<span>The other version is still available: {inShort(autosave.aside).join(', ')}.</span>
		<Button kind="tertiary" size="small" on:click={() => take(autosave.swapAside(mine))}>Switch to it</Button>
	</p>
{/if}

<style>
	.aside {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem 1rem;
		margin: 0.5rem 0;
		font-size: var(--text-s);
	}
</style>
