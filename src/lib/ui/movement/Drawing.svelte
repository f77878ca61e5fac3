<script lang="ts">
	import type { Figure } from '$lib/core/figure';
	import type { Attachment } from 'svelte/attachments';

	/** A figure that was worked out, as it is drawn: the left leg light, the right leg dark. */
	interface Props {
		drawn: Pick<Figure, 'viewBox' | 'strokes' | 'room' | 'feet'>;
		/** CSS pixels; undefined: as wide or high as there is room. */
		width?: number;
		height?: number;
		/** Says L and R at the feet; from about 120 px on. */
		feet?: boolean;
		/** Seen as in a mirror, its letters not. */
		mirrored?: boolean;
		/** Text for a screen reader; left out where the name stands beside it. */
		label?: string;
		attach?: Attachment;
	}
	let { drawn, width, height, feet = false, mirrored = false, label, attach = () => {} }: Props = $props();

	/** Drawing units in a CSS pixel, so that the letters have one size whatever is drawn. */
	const perPixel = $derived(Math.max(drawn.viewBox[2] / (width ?? 240), drawn.viewBox[3] / (height ?? 180)));
	const line = (points: [number, number][]) => points.map((p) => p.join(',')).join(' ');
	/** The drawing turned round its own middle. */
	const turned = $derived(
		mirrored ? `matrix(-1 0 0 1 ${2 * drawn.viewBox[0] + drawn.viewBox[2]} 0)` : undefined
	);
	const across = (x: number) => (mirrored ? 2 * drawn.viewBox[0] + drawn.viewBox[2] - x : x);
</script>

<svg
	viewBox={drawn.viewBox.join(' ')}
	{width}
	{height}
	{@attach attach}
	role={label ? 'img' : undefined}
	aria-label={label}
	aria-hidden={label ? undefined : true}
>
	<g transform={turned}>
		{#each drawn.room as points, index (index)}<polyline class="room" points={line(points)} />{/each}
		{#each drawn.strokes as stroke, index (index)}
			<polyline
				class={stroke.part.replace(' ', '-')}
				points={line(stroke.points)}
				stroke-width={stroke.width}
			/>
		{/each}
	</g>
	{#if feet}
		{#each drawn.feet as foot, index (index)}
			<text x={across(foot.x)} y={foot.y} font-size={11 * perPixel} stroke-width={3 * perPixel}
				>{foot.leg === 'left' ? 'L' : 'R'}</text
			>
		{/each}
	{/if}
</svg>

<style>
	svg {
		display: block;
		flex: none;
	}
	polyline {
		fill: none;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.room {
		stroke: var(--line);
		stroke-width: 1;
	}
	.trunk,
	.head {
		stroke: var(--figure-trunk);
	}
	.arm {
		stroke: var(--figure-trunk-behind);
	}
	.right-leg {
		stroke: var(--accent);
	}
	.left-leg {
		stroke: var(--figure-other-leg);
	}
	.kit {
		stroke: var(--figure-kit);
	}
	text {
		font-weight: 700;
		fill: var(--ink);
		text-anchor: middle;
		paint-order: stroke;
		stroke: var(--sheet);
	}
</style>
