<script lang="ts">
	import { MINI_SCORE_BOX, type MiniScore } from '$lib/core/view-models';

	/** A score so small that only its shape is seen: the body's way up and down over the intensity. */
	interface Props {
		mini: MiniScore;
	}
	let { mini }: Props = $props();
</script>

<svg
	viewBox="0 0 {MINI_SCORE_BOX.width} {MINI_SCORE_BOX.height}"
	preserveAspectRatio="none"
	aria-hidden="true"
>
	{#each mini.bars as bar, i (i)}
		<rect x={bar.x} width={bar.width} y={MINI_SCORE_BOX.height - bar.height} height={bar.height} />
	{/each}
	<path d={mini.body} vector-effect="non-scaling-stroke" />
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		height: 30px;
	}
	rect {
		fill: var(--line-strong);
		opacity: 0.55;
	}
	path {
		fill: none;
		stroke: var(--accent);
		stroke-width: 1.3;
	}
</style>
