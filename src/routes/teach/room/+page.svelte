<script lang="ts">
	import { listenInRoom } from '$lib/client/teach/room-channel';
	import type { RoomNow } from '$lib/core/teach';
	import TeachStage from '$lib/ui/teach/TeachStage.svelte';
	import { onMount } from 'svelte';

	let shown = $state.raw<RoomNow | null>(null);
	let isLost = $state(false);

	onMount(() =>
		listenInRoom((now) => {
			isLost = now === null;
			if (now) shown = now;
		})
	);
</script>

<svelte:head><title>The room · Humble Orbit</title></svelte:head>

<main>
	{#if isLost}
		<p class="said" role="alert">The teacher’s page is not heard just now. Watch the teacher.</p>
	{/if}
	{#if shown && shown.mode !== 'ended'}
		<TeachStage now={shown.now} figures={shown.figures} isFacing isPaused={shown.mode === 'paused'} forRoom />
		{#if shown.now.nextShape}<p class="next">Next: {shown.now.nextShape.title}</p>{/if}
	{:else if shown}
		<p class="said">Thank you for today.</p>
	{:else}
		<p class="said" role="status">
			Waiting for the class. Begin it in another window of this browser; this one follows it.
		</p>
	{/if}
</main>

<style>
	main {
		min-height: 100dvh;
		padding: 1rem;
		display: grid;
		align-content: center;
		gap: 0.75rem;
	}
	.said {
		text-align: center;
		font-size: var(--text-xl);
	}
	.next {
		text-align: center;
		font-size: var(--text-hero);
		color: var(--ink-soft);
	}
</style>
