<script lang="ts">
	import { DIRECTION_SIGN } from '$lib/core/anatomy';
	import type { RingSector } from '$lib/core/view-models';

	interface Props {
		sectors: RingSector[];
		/** Text for a screen reader; left out where the words beside it say the same. */
		label?: string;
		/** Side length in CSS pixels. */
		size?: number;
		/** Signs of the directions round the rim; only legible from about 140 px on. */
		signs?: boolean;
	}
	let { sectors, label, size = 40, signs = false }: Props = $props();
</script>

<svg
	viewBox={signs ? '-6 -6 212 212' : '10 10 180 180'}
	width={size}
	height={size}
	role={label ? 'img' : undefined}
	aria-label={label}
	aria-hidden={label ? undefined : true}
>
	{#each sectors as s, index (index)}
		<path class="track" d={s.track} />
		{#if s.band}<path class="band" d={s.band} />{/if}
		{#if s.range}<path d={s.range} fill="var(--{s.direction})" />{/if}
		{#if s.strength}<path d={s.strength} class="strength" fill="var(--{s.direction})" />{/if}
	{/each}
	{#if signs}
		{#each sectors as s, index (index)}
			{#if s.band}<path class="edge" d={s.band} />{/if}
			<text x={s.label.x} y={s.label.y}>{DIRECTION_SIGN[s.direction]}</text>
		{/each}
		<text class="leg" x="4" y="10">L</text>
		<text class="leg" x="196" y="10">R</text>
	{/if}
</svg>

<style>
	svg {
		display: block;
		flex: none;
	}
	.track {
		fill: var(--sunk);
	}
	.band {
		fill: var(--line);
	}
	.edge {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.9;
		stroke-dasharray: 2.5 2;
	}
	.strength {
		stroke: var(--sheet);
		stroke-width: 0.8;
	}
	text {
		font-size: 9.5px;
		font-weight: 650;
		fill: var(--ink);
		text-anchor: middle;
		dominant-baseline: central;
	}
	.leg {
		font-size: 12px;
		fill: var(--ink-soft);
	}
</style>
