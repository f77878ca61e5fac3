<script lang="ts">
	import { canWholeScreen, toggleWholeScreen } from '$lib/client/teach/whole-screen';
	import IconButton from '../fields/IconButton.svelte';
	import { isOnTime, lateWords } from '$lib/core/teach';
	import { Button } from 'carbon-components-svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';
	import ListBoxes from 'carbon-icons-svelte/lib/ListBoxes.svelte';
	import Maximize from 'carbon-icons-svelte/lib/Maximize.svelte';
	import Settings from 'carbon-icons-svelte/lib/Settings.svelte';

	/** When the class ends as it looks now, and the ways to its list and settings. */
	interface Props {
		/** "19:58". */
		ends: string;
		behindMs: number;
		/** "×4" in a rehearsal. */
		speed: string;
		onlate: () => void;
		onlist: () => void;
		onsettings: () => void;
		onleave: () => void;
	}
	let { ends, behindMs, speed, onlate, onlist, onsettings, onleave }: Props = $props();
</script>

<header>
	<IconButton size="field" label="Leave" icon={Close} onpress={onleave} />
	<p>ends <b>{ends}</b></p>
	<Button kind={isOnTime(behindMs) ? 'ghost' : 'tertiary'} size="small" on:click={onlate}
		>{lateWords(behindMs)}</Button
	>
	{#if speed}<span class="speed">{speed}</span>{/if}
	<span class="grow"></span>
	{#if canWholeScreen()}
		<span class="wide"
			><IconButton
				size="field"
				label="Whole screen"
				icon={Maximize}
				onpress={() => void toggleWholeScreen()}
			/></span
		>
	{/if}
	<IconButton size="field" label="The whole class" icon={ListBoxes} onpress={onlist} />
	<IconButton size="field" label="How I teach" icon={Settings} onpress={onsettings} />
</header>

<style>
	header {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		padding: 0.2rem 0.4rem;
		border-bottom: 1px solid var(--line);
		background: var(--sheet);
	}
	p {
		font-size: var(--text-l);
		white-space: nowrap;
	}
	.grow {
		flex: 1;
	}
	@media (max-width: 40rem) {
		.wide {
			display: none;
		}
	}
	.speed {
		font-weight: 650;
		color: var(--fix);
	}
</style>
