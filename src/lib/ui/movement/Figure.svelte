<script lang="ts">
	import type { Leg } from '$lib/core/anatomy';
	import { bestView, figure, type Figure as Drawn, type View } from '$lib/core/figure';
	import Drawing from './Drawing.svelte';
	import { onIdle } from '$lib/client/page/idle';
	import { onVisible } from '$lib/client/page/when-visible';
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
		/** Text for a screen reader; left out where the name stands beside it. */
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
			: { viewBox: [0, 0, width, height] as Drawn['viewBox'], room: [], strokes: [], feet: [] }
	);
	const drawSoon: Attachment = (node) => {
		if (untrack(() => isDue)) return;
		let giveUp = () => {};
		const leave = onVisible(() => (giveUp = onIdle(() => (isDue = true))))(node);
		return () => {
			giveUp();
			leave?.();
		};
	};
</script>

<Drawing {drawn} {width} {height} {feet} {label} attach={drawSoon} />
