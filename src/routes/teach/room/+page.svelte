<script lang="ts">
	import { page } from '$app/state';
	import { listenInRoom } from '$lib/client/teach/room-channel';
	import { followRoom, type FarRoom } from '$lib/client/teach/room-feed';
	import type { RoomNow } from '$lib/core/teach';
	import TeachStage from '$lib/ui/teach/TeachStage.svelte';
	import { onMount } from 'svelte';

	let { data } = $props();

	/** From a window of this browser; it goes before what comes over the server. */
	let near = $state.raw<RoomNow | null>(null);
	let isNearLost = $state(false);
	let far = $state.raw<FarRoom | null>(null);
	const wanted = page.url.searchParams.get('run');

	onMount(() => {
		const endNear = listenInRoom((now) => {
			isNearLost = now === null;
			if (now) near = now;
		});
		const endFar = data.owner ? followRoom(wanted, (room) => (far = room)) : () => undefined;
		return () => {
			endNear();
			endFar();
		};
	});
	const useNear = $derived(near !== null && (!isNearLost || !far?.now));
	const shown = $derived(useNear ? near : (far?.now ?? null));
	const isLost = $derived(useNear ? isNearLost : (far?.isLost ?? false));
	const others = $derived(useNear ? [] : (far?.classes ?? []).filter(({ id }) => id !== far?.following));
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
			Waiting for the class. Begin it in another window of this browser{data.owner
				? ', or on another device of the studio'
				: ''}; this one follows it.
		</p>
		{#if !data.owner}
			<p class="said">
				<a href="/sign-in?next=/teach/room">Sign in</a> to follow a class that another device leads.
			</p>
		{/if}
	{/if}
	{#if others.length}
		<p class="others">
			Also going on:
			{#each others as { id, title, group } (id)}
				<a href="/teach/room?run={id}" data-sveltekit-reload>{title || 'Untitled class'}, {group}</a>
			{/each}
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
	.others {
		text-align: center;
	}
	.others a {
		margin-left: 0.75rem;
	}
</style>
