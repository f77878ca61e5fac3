<script lang="ts">
	import { page } from '$app/state';
	import { getPack } from '$lib/client/api';
	import { DeviceStore } from '$lib/client/teach/device-store';
	import { formatDuration } from '$lib/core/clock';
	import { SAYING_WORDS, stepLine, type TeachPack } from '$lib/core/teach';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';
	import { onMount } from 'svelte';

	/** All that a class says and does, to be read beforehand or taken along on paper; also without a network. */
	let pack = $state.raw<TeachPack | null>(null);
	let isLooking = $state(true);
	const planId = page.url.searchParams.get('plan') ?? '';

	onMount(async () => {
		const store = await DeviceStore.open().catch(() => null);
		pack = (await getPack(planId)) ?? (await store?.pack(planId))?.pack ?? null;
		store?.close();
		isLooking = false;
	});
	const script = $derived(pack?.script);
</script>

<main>
	<PrintPage
		title="Script of {script?.title || 'a class'}"
		back={{ href: `/teach?plan=${planId}`, words: 'Back to the class' }}
	>
		{#if script && pack}
			<h1>{script.title || 'Untitled class'}</h1>
			<p>
				{[pack.group, pack.day, script.startsAt, formatDuration(script.lengthSeconds)]
					.filter(Boolean)
					.join(', ')}
			</p>
			<ol>
				{#each script.steps as step (step.id)}
					<li>
						<p class="step"><b>{stepLine(step)}</b> <span>{formatDuration(step.seconds)}</span></p>
						{#if step.kit.length}<p><i>Kit</i> {step.kit.join('; ')}</p>{/if}
						{#each step.say as { about, words }, index (index)}<p>
								<i>{SAYING_WORDS[about]}</i>
								{words}
							</p>{/each}
						{#if step.people.length && step.kind !== 'work'}<p class="people">
								{step.people.join('; ')}
							</p>{/if}
					</li>
				{/each}
			</ol>
		{:else if isLooking}
			<p role="status">Looking for the class ...</p>
		{:else}
			<p>This class is not on this device, and the server cannot be reached or does not have it.</p>
		{/if}
	</PrintPage>
</main>

<style>
	main {
		max-width: 46rem;
		margin: 0 auto;
		padding: 1rem;
	}
	ol {
		list-style: none;
		margin: 1rem 0 0;
		padding: 0;
	}
	li {
		padding: 0.4rem 0;
		border-top: 1px solid var(--line);
		break-inside: avoid;
	}
	.step {
		display: flex;
		justify-content: space-between;
		gap: 1rem;
	}
	.step span {
		white-space: nowrap;
	}
	i {
		font-style: normal;
		font-size: var(--text-s);
		color: var(--accent);
	}
	.people {
		padding-left: 0.6rem;
		border-left: 3px solid var(--fix);
	}
</style>
