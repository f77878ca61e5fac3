<script lang="ts">
	import type { SaveState } from '$lib/client/saving/autosave.svelte';
	import type { Fault } from '$lib/core/validation';

	/** Says whether what is on the screen is kept, in words and by shape. */
	interface Props {
		state: SaveState;
		faults: Fault[];
		/** Whether this browser has room for what waits. */
		kept?: boolean;
	}
	let { state, faults, kept = true }: Props = $props();

	const WORDS: Record<SaveState, string> = {
		saved: 'Saved',
		waiting: 'Saving …',
		saving: 'Saving …',
		offline: 'No connection: kept in this browser',
		conflict: 'Changed elsewhere too',
		refused: 'Not saved',
		'signed-out': 'Signed out: kept in this browser',
		gone: 'Removed in another window'
	};
	const good = $derived(state === 'saved');
	const busy = $derived(state === 'waiting' || state === 'saving');
</script>

<span class="mark" class:good class:busy role="status" data-state={state}>
	<svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
		{#if good}<path d="M1.5 6.5 4.7 9.5 10.5 2.5" fill="none" stroke="currentColor" stroke-width="2" />
		{:else if busy}<circle
				cx="6"
				cy="6"
				r="4"
				fill="none"
				stroke="currentColor"
				stroke-width="2"
				stroke-dasharray="4 2"
			/>
		{:else}<path d="M6 1 11.5 11H.5Z" fill="currentColor" />{/if}
	</svg>
	{state === 'offline' && !kept
		? 'No connection, and no room in this browser: keep this window open'
		: WORDS[state]}{#if state === 'refused' && faults[0]}: {faults[0].message}{/if}
	{#if state === 'signed-out'}<a href="/sign-in" target="_blank" rel="noreferrer">Sign in</a>{/if}
</span>

<style>
	.mark {
		display: inline-flex;
		align-items: center;
		gap: 0.35rem;
		font-size: var(--text-s);
		color: var(--fix);
		font-weight: 600;
	}
	.good,
	.busy {
		color: var(--ink-soft);
		font-weight: 400;
	}
</style>
