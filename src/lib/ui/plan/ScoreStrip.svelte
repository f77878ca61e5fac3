<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import { miniScore, type Score } from '$lib/core/view-models';
	import MiniScore from '../chart/MiniScore.svelte';

	/** The score and the total as a strip at the top, while the score itself is scrolled out of sight. */
	interface Props {
		/** The score on the page. */
		sheet: HTMLElement | undefined;
		score: Score;
	}
	let { sheet, score }: Props = $props();

	let hidden = $state(false);
	$effect(() => {
		if (!sheet) return;
		// only scrolling past it counts, not a page that has not come to it yet
		const watch = new IntersectionObserver(([seen]) => {
			hidden = seen !== undefined && !seen.isIntersecting && seen.boundingClientRect.top < 0;
		});
		watch.observe(sheet);
		return () => watch.disconnect();
	});
	const off = $derived(score.totalSeconds - score.lengthSeconds);
</script>

{#if hidden && score.totalSeconds > 0}
	<!-- for the eyes only: the score and the total stand above in full -->
	<div class="strip" aria-hidden="true">
		<MiniScore mini={miniScore(score)} />
		<b class:off={off !== 0}>{formatDuration(score.totalSeconds)}</b>
		<span class="quiet">of {formatDuration(score.lengthSeconds)}</span>
	</div>
{/if}

<style>
	.strip {
		position: fixed;
		top: 3rem;
		left: 0;
		right: 0;
		z-index: 10;
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto auto;
		align-items: center;
		gap: 0.75rem;
		padding: 0.3rem 1.5rem;
		background: var(--sheet);
		border-bottom: 1px solid var(--line);
	}
	b {
		font-size: var(--text-l);
		color: var(--good);
	}
	.off {
		color: var(--ink);
	}
</style>
