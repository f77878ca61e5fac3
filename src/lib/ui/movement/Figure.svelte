<script lang="ts">
	import type { Leg } from '$lib/core/anatomy';
	import { bestView, figure, type View } from '$lib/core/figure';
	import { atIdle } from '$lib/client/idle';
	import { whenSeen } from '$lib/client/when-seen';
	import { untrack } from 'svelte';
	import type { Attachment } from 'svelte/attachments';
	import { usualForm, type Form, type Movement } from '$lib/core/movement';

	/** A movement as a drawing, worked out from its angles. The left leg is light, the right leg dark. */
	interface Props {
		movement: Movement;
		form?: Form;
		view?: View;
		leads?: Leg;
		/** CSS pixels. */
		width?: number;
		height?: number;
		/** Says L and R at the feet; from about 120 px on. */
		feet?: boolean;
		/** What it says to those who do not see it; left out where the name stands beside it. */
		label?: string;
	}
	let {
		movement,
		form,
		view,
		leads = 'right',
		width = 56,
		height = 44,
		feet = false,
		label
	}: Props = $props();

	/** One beside a name is drawn when it is seen, in an idle moment: a figure takes longer than the rest of its row. */
	let isDue = $state(untrack(() => Boolean(label) || feet));
	const drawn = $derived(
		isDue
			? figure(movement, view ?? bestView(movement), form ?? usualForm(movement), leads)
			: { viewBox: [0, 0, width, height] as const, room: [], strokes: [], feet: [] }
	);
	const drawSoon: Attachment = (node) => {
		if (untrack(() => isDue)) return;
		let giveUp = () => {};
		const leave = whenSeen(() => (giveUp = atIdle(() => (isDue = true))))(node);
		return () => {
			giveUp();
			leave?.();
		};
	};
	/** Drawing units in a CSS pixel, so that the letters have one size whatever is drawn. */
	const perPixel = $derived(Math.max(drawn.viewBox[2] / width, drawn.viewBox[3] / height));
	const line = (points: [number, number][]) => points.map((p) => p.join(',')).join(' ');
</script>

<svg
	viewBox={drawn.viewBox.join(' ')}
	{width}
	{height}
	{@attach drawSoon}
	role={label ? 'img' : undefined}
	aria-label={label}
	aria-hidden={label ? undefined : true}
>
	{#each drawn.room as points, index (index)}<polyline class="room" points={line(points)} />{/each}
	{#each drawn.strokes as stroke, index (index)}
		<polyline
			class={stroke.part.replace(' ', '-')}
			points={line(stroke.points)}
			stroke-width={stroke.width}
		/>
	{/each}
	{#if feet}
		{#each drawn.feet as foot, index (index)}
			<text x={foot.x} y={foot.y} font-size={11 * perPixel} stroke-width={3 * perPixel}
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
