<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import type { TeachPack } from '$lib/core/teach';
	import { hereWords, type Attendance } from '$lib/core/people';
	import { usuallyHere } from '$lib/core/group';
	import { Button } from 'carbon-components-svelte';
	import Lazy from '../frame/Lazy.svelte';
	import { TEACH_PANELS } from './panels';
	import Fold from '../fields/Fold.svelte';
	import Choice from '../fields/Choice.svelte';

	/** Before the class: what it needs, who does something else, and the two ways in: teach it or rehearse it. */
	interface Props {
		pack: TeachPack;
		/** Whether this device keeps what happens. */
		isKept: boolean;
		/** Whether it lies on this device, to be taught without a network. */
		isReady: boolean;
		/** False where the browser forbids what needs a secure page. */
		isSecure: boolean;
		/** Counted on this page; null: as the plan has it. */
		here: Attendance | null;
		oncount: (here: Attendance | null, pack: TeachPack) => void;
		onbegin: () => void;
		onrehearse: (speed: number) => void;
	}
	let { pack, here, oncount, isKept, isReady, isSecure, onbegin, onrehearse }: Props = $props();

	const SPEEDS = [1, 2, 4, 8];
	let speed = $state(4);
	const { script } = $derived(pack);
	const kit = $derived([...new Set(script.steps.flatMap((step) => step.kit))]);
	const usual = $derived(pack.source && (pack.source.plan.here ?? usuallyHere(pack.source.group)));
	const people = $derived(
		script.steps
			.filter(({ kind, side, people }) => kind === 'in' && side !== 2 && people.length)
			.map(({ id, title, people }) => ({ id, title, people }))
	);
</script>

<div class="before">
	<header class="sheet">
		<p class="quiet">{pack.group}{pack.room ? `, ${pack.room}` : ''}</p>
		<h1>{script.title || 'Untitled class'}</h1>
		<p class="when">
			<b>{script.startsAt}</b>
			{pack.day} <span class="quiet">{formatDuration(script.lengthSeconds)}</span>
		</p>
		<div class="go"><Button on:click={onbegin}>Begin the class</Button></div>
		<p class="quiet">
			{isReady && isKept
				? 'Stored on this device: from here on it works without a network.'
				: 'Not stored on this device: stay connected, and do not close the page.'}
			{isSecure
				? ''
				: 'This page does not use https: it will not open without a network, and the screen may go dark.'}
		</p>
	</header>
	<section class="sheet" aria-labelledby="people-title">
		<h2 id="people-title">Who is here today</h2>
		{#if usual}
			<p role="status">{hereWords(here ?? usual)}</p>
			<Fold title="Count them">
				<Lazy load={TEACH_PANELS.here} props={{ pack, here, oncount }} />
			</Fold>
		{/if}
		<Fold title="Who does something else: {people.length} movements">
			<ul>
				{#each people as { id, title, people: lines } (id)}
					<li><b>{title}</b> {lines.join('; ')}</li>
				{/each}
			</ul>
		</Fold>
	</section>
	<section class="sheet" aria-labelledby="kit-title">
		<h2 id="kit-title">Kit</h2>
		{#if kit.length}
			<ul>
				{#each kit as line, index (index)}<li>{line}</li>{/each}
			</ul>
		{:else}<p>None.</p>{/if}
		<div role="status">
			{#each pack.shortages ?? [] as line, index (index)}<p class="short">{line}</p>{/each}
		</div>
	</section>
	<section class="sheet" aria-labelledby="rehearse-title">
		<h2 id="rehearse-title">Rehearse</h2>
		<p class="quiet">The same screen, faster, by the clock. Nothing of it is recorded.</p>
		<div class="rehearse">
			<Choice
				label="Speed"
				value={speed}
				options={SPEEDS.map((value) => ({ value, text: `${value} times` }))}
				onpick={(picked) => (speed = picked)}
			/>
			<Button kind="tertiary" size="small" on:click={() => onrehearse(speed)}>Rehearse</Button>
		</div>
	</section>
	<p><a href="/teach/script?plan={pack.planId}">Full script, to read or print</a></p>
	<p><a href="/">Back to the week</a></p>
</div>

<style>
	.before {
		display: grid;
		gap: 1rem;
		max-width: 44rem;
		margin: 0 auto;
		padding: 1rem;
	}
	.when {
		font-size: var(--text-xl);
	}
	.go :global(.bx--btn) {
		width: 100%;
		max-width: none;
		min-height: 4.5rem;
		margin: 0.5rem 0;
		font-size: var(--text-l);
		font-weight: 650;
	}
	.short {
		padding-left: 0.6rem;
		border-left: 4px solid var(--fix);
	}
	.rehearse {
		display: flex;
		align-items: end;
		gap: 0.75rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.35rem;
	}
</style>
