<script lang="ts">
	import { POSITION_NAME } from '$lib/core/movement';
	import { bigNumber, legCall, SAYING_WORDS, stepWords, type Now } from '$lib/core/teach';
	import type { Figure } from '$lib/core/figure';
	import Drawing from '../movement/Drawing.svelte';

	/** The present step, to be read from two metres: the movement, the leg, the count, the words. */
	interface Props {
		now: Now;
		figures: Record<string, Figure>;
		isFacing: boolean;
		isPaused: boolean;
		/** Only what the people in the room need: no word about persons, and nothing that is said. */
		forRoom?: boolean;
	}
	let { now, figures, isFacing, isPaused, forRoom = false }: Props = $props();

	const step = $derived(now.step);
	const number = $derived(bigNumber(now));
	const call = $derived(step.leg ? legCall(step.leg, isFacing) : null);
	const drawn = $derived(step.figure ? figures[step.figure] : undefined);
	/** A breath goes in for half of its time and out for the other. */
	const breathSeconds = $derived(
		step.kind === 'work' && step.count?.unit === 'breaths' ? (now.count?.eachSeconds ?? 0) : 0
	);
</script>

<section class="stage" class:room={forRoom} aria-label="Now">
	<div class="picture">
		{#if drawn}<Drawing
				{drawn}
				feet
				mirrored={isFacing}
				label="{step.title}{step.leg ? `, ${step.leg} leg` : ''}"
			/>{/if}
	</div>
	<div class="words">
		<p class="kind">{isPaused ? 'Paused' : stepWords(step)} <span>{POSITION_NAME[step.position]}</span></p>
		<h1>{step.title}</h1>
		{#if call}
			<p class="leg">
				<span class="sign" class:left={step.leg === 'left'} aria-hidden="true">{call.word[0]}</span>
				<b>{call.word} leg</b>
				{#if call.own && !forRoom}<span class="own">{call.own}</span>{/if}
			</p>
		{/if}
		<p class="number" role="timer" aria-label="{number.big} {number.of} {number.over}">
			{#if breathSeconds}
				{#key now.id}
					<span class="pacer" class:still={isPaused} style:--breath="{breathSeconds}s" aria-hidden="true"
					></span>
				{/key}
			{/if}
			<b class:long={number.big.length > 2}>{number.big}</b>
			<span class="of"
				>{number.of}
				{#if number.over}<em>{number.over}</em>{/if}</span
			>
		</p>
		{#if now.firstSideMs !== null && !forRoom}<p class="quiet">As long as the first side</p>{/if}
		{#if step.shapes.length}
			<ol class="shapes">
				{#each step.shapes as shape, index (index)}<li>
						{shape.title}{shape.leg ? `, ${shape.leg}` : ''}
					</li>{/each}
			</ol>
		{/if}
	</div>
	{#if !forRoom}
		<div class="script">
			<h2 class="bx--visually-hidden">What is said, and who needs what</h2>
			{#if step.kit.length}<p class="kit"><b>Kit</b> {step.kit.join('; ')}</p>{/if}
			<ul>
				{#each step.say as { about, words }, index (index)}<li>
						<b>{SAYING_WORDS[about]}</b>
						{words}
					</li>{/each}
			</ul>
			{#if step.people.length}
				<ul class="people" aria-label="Who does something else">
					{#each step.people as line, index (index)}<li>{line}</li>{/each}
				</ul>
			{/if}
		</div>
	{/if}
</section>

<style>
	.stage {
		display: grid;
		grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
		grid-template-areas: 'picture words' 'script script';
		gap: 0.5rem 1rem;
		align-content: start;
	}
	/* changes here move nothing elsewhere: a tap is answered sooner on a slow device */
	.picture {
		contain: strict;
		grid-area: picture;
		height: min(30vh, 18rem);
	}
	.picture :global(svg) {
		width: 100%;
		height: 100%;
	}
	.words {
		grid-area: words;
		min-width: 0;
	}
	.script {
		grid-area: script;
	}
	.kind {
		font-size: var(--text-m);
		font-weight: 650;
		color: var(--accent);
	}
	.kind span {
		color: var(--ink-soft);
		font-weight: 400;
	}
	h1 {
		font-size: clamp(1.5rem, 5.2vw, 3.2rem);
		line-height: 1.1;
	}
	.leg {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		margin-top: 0.3rem;
		font-size: clamp(1.4rem, 5vw, 2.8rem);
		line-height: 1.15;
	}
	.sign {
		display: inline-grid;
		place-items: center;
		width: 1.5em;
		height: 1.5em;
		border-radius: 50%;
		border: 3px solid var(--accent);
		font-weight: 700;
		color: var(--accent);
	}
	/* the left leg is filled, as a second sign beside the letter */
	.sign.left {
		background: var(--accent);
		color: var(--on-accent);
	}
	.own {
		font-size: var(--text-l);
		color: var(--ink-soft);
	}
	.number {
		display: flex;
		align-items: baseline;
		gap: 0.6rem;
		margin-top: 0.3rem;
	}
	.number b {
		font-size: clamp(4rem, 17vw, 9rem);
		line-height: 1;
		font-weight: 700;
	}
	.of {
		font-size: clamp(1.1rem, 3vw, 1.8rem);
		color: var(--ink-soft);
	}
	.of em {
		font-style: normal;
		font-weight: 650;
		color: var(--fix);
	}
	.pacer {
		align-self: center;
		width: 2.2rem;
		height: 2.2rem;
		border-radius: 50%;
		border: 4px solid var(--accent);
		background: var(--accent-tint);
		animation: breathe var(--breath) ease-in-out infinite;
	}
	.pacer.still {
		animation-play-state: paused;
	}
	@keyframes breathe {
		0%,
		100% {
			transform: scale(0.45);
		}
		50% {
			transform: scale(1);
		}
	}
	@media (prefers-reduced-motion: reduce) {
		.pacer {
			display: none;
		}
	}
	ul,
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.2rem;
	}
	.script {
		display: grid;
		gap: 0.5rem;
		align-content: start;
		font-size: clamp(1.05rem, 2.6vw, 1.5rem);
		line-height: 1.3;
	}
	.script b {
		font-size: var(--text-s);
		color: var(--accent);
		margin-right: 0.3rem;
	}
	.people {
		padding: 0.4rem 0.7rem;
		border-left: 4px solid var(--fix);
		background: var(--sunk);
	}
	.shapes {
		font-size: clamp(1.05rem, 2.6vw, 1.5rem);
		margin-top: 0.4rem;
	}
	.room {
		grid-template-columns: 1fr;
		grid-template-areas: 'picture' 'words';
		text-align: center;
	}
	.room .picture {
		height: 50vh;
	}
	.room :is(.leg, .number) {
		justify-content: center;
	}
	@media (max-width: 40rem) and (orientation: portrait) {
		.stage {
			grid-template-columns: minmax(0, 1fr) minmax(0, 1.7fr);
		}
		.picture {
			height: 11.5rem;
		}
		.number {
			flex-wrap: wrap;
		}
		.number b {
			font-size: 7.5rem;
		}
		.number .long {
			font-size: 5.5rem;
		}
	}
	@media (min-width: 60rem) {
		.room {
			grid-template-columns: 1fr 1fr;
			grid-template-areas: 'picture words';
			align-items: center;
			text-align: left;
		}
		.room .picture {
			height: 70vh;
		}
		.room :is(.leg, .number) {
			justify-content: start;
		}
		.stage:not(.room) {
			grid-template-columns: minmax(0, 2fr) minmax(0, 3fr) minmax(0, 2.4fr);
			grid-template-areas: 'picture words script';
		}
		.stage:not(.room) .picture {
			height: 50vh;
		}
	}
</style>
