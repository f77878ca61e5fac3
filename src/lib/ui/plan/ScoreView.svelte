<script lang="ts">
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import ZoomIn from 'carbon-icons-svelte/lib/ZoomIn.svelte';
	import ZoomOut from 'carbon-icons-svelte/lib/ZoomOut.svelte';
	import { DIRECTION_NAME, DIRECTION_SIGN } from '$lib/core/anatomy';
	import { formatDuration } from '$lib/core/clock';
	import { drawScore, LEVELS, takesEdge, type Score, type ScoreBlock } from '$lib/core/view-models';
	import { POSITION_NAME } from '$lib/core/movement';

	/**
	 * The class along time, one line per body position: standing at the top, lying at the bottom. At the desk a block is
	 * dragged to another place, its right edge to another dose; the keys do the same on the selected row.
	 */
	interface Props {
		score: Score;
		/** Name of the class that the score shows. */
		name?: string;
		selected?: string | null;
		marked?: readonly string[];
		/** Where it is absent the score is only looked at. */
		onselect?: (itemId: string, event: PointerEvent) => void;
		/** Dropped at a second of the class. */
		ondrop?: (itemId: string, second: number) => void;
		/** The right edge was dragged by a number of seconds. */
		onstretch?: (itemId: string, seconds: number) => void;
	}
	let {
		score,
		name: ofWhat = 'the class',
		selected = null,
		marked = [],
		onselect,
		ondrop,
		onstretch
	}: Props = $props();

	const MOST_ZOOM = 8;
	/** Pixels: less than this is a click, not a drag. */
	const DRAG = 4;

	let width = $state(1100);
	let zoom = $state(1);
	/** `by`: pixels. */
	let drag = $state.raw<{ block: ScoreBlock; edge: boolean; from: number; by: number } | null>(null);
	const drawing = $derived(drawScore(score, width, zoom));
	const shift = (block: ScoreBlock) =>
		drag && !drag.edge && drag.block.itemId === block.itemId ? drag.by : 0;
	const stretch = (block: ScoreBlock) => (drag?.edge && drag.block === block ? drag.by : 0);

	function down(event: PointerEvent, block: ScoreBlock) {
		if (event.button !== 0 || !onselect) return;
		onselect(block.itemId, event);
		const target = event.currentTarget as SVGGElement;
		const { right } = target.querySelector('.frame')!.getBoundingClientRect();
		target.setPointerCapture(event.pointerId);
		drag = { block, edge: takesEdge(right - event.clientX), from: event.clientX, by: 0 };
	}
	function move(event: PointerEvent) {
		if (drag) drag = { ...drag, by: event.clientX - drag.from };
	}
	function up() {
		const done = drag;
		drag = null;
		if (!done || Math.abs(done.by) < DRAG) return;
		const seconds = drawing.secondsOf(done.by);
		if (done.edge) onstretch?.(done.block.itemId, seconds);
		else ondrop?.(done.block.itemId, done.block.x + seconds);
	}
</script>

<div class="zoom" role="group" aria-label="Zoom of the score of {ofWhat}">
	<IconButton label="Zoom out" icon={ZoomOut} disabled={zoom === 1} onpress={() => (zoom /= 2)} />
	<IconButton label="Zoom in" icon={ZoomIn} disabled={zoom === MOST_ZOOM} onpress={() => (zoom *= 2)} />
</div>
<!-- wider than the page when zoomed in: then it is scrolled, also by keys -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<figure bind:clientWidth={width} tabindex={zoom > 1 ? 0 : undefined}>
	<svg
		width={drawing.width}
		height={drawing.height}
		role="img"
		aria-label="Score of {ofWhat}: {score.blocks.length} {score.blocks.length === 1
			? 'item'
			: 'items'} over {formatDuration(score.totalSeconds)}"
	>
		{#each drawing.sections as { id, name, ...box }, index (id)}
			<rect class="section" class:odd={index % 2} {...box} />
			{#if name}<text class="section-name" x={box.x} dx="4" y="13">{name}</text>{/if}
		{/each}
		{#each drawing.levels as level, index (index)}
			<text class="level" x={level.x} y={level.y}>{level.name}</text>
			<line class="rule" x1={level.rule.from} x2={level.rule.to} y1={level.rule.y} y2={level.rule.y} />
		{/each}
		<path class="body" d={drawing.body} />
		{#each drawing.blocks as { block, frame, fetch, work, edge } (block.key)}
			<!-- the running order below is the way in by keyboard; the score is one selection with it -->
			<!-- svelte-ignore a11y_no_static_element_interactions -->
			<g
				class="block"
				class:still={!onselect}
				class:selected={block.itemId === selected}
				class:marked={marked.includes(block.itemId)}
				class:dragged={drag?.block.itemId === block.itemId && Math.abs(drag.by) >= DRAG}
				data-item={block.itemId}
				transform={shift(block) ? `translate(${shift(block)} 0)` : undefined}
				onpointerdown={(event) => down(event, block)}
				onpointermove={move}
				onpointerup={up}
				onpointercancel={() => (drag = null)}
			>
				<title>{block.name}, {formatDuration(block.x)}–{formatDuration(block.x + block.width)}</title>
				<rect class="frame" {...frame} width={Math.max(2, frame.width + stretch(block))} rx="3" />
				{#if fetch}
					{@const { kit, ...box } = fetch}
					<rect class="fetch" {...box}><title>fetching {kit}</title></rect>
				{/if}
				{#each work as { direction, sign, ...box }, index (index)}
					<rect {...box} rx="1.5" fill={direction ? `var(--${direction})` : 'var(--line-strong)'} />
					{#if sign && direction}
						<text
							class="sign"
							class:small={sign.small}
							x={sign.x}
							y={sign.y}
							style="fill: var(--on-{direction})">{DIRECTION_SIGN[direction]}</text
						>
					{/if}
				{/each}
				<rect class="edge" {...edge} x={edge.x + stretch(block)} />
			</g>
		{/each}
		{#each drawing.tests as { blockId, name, atSeconds, label, ...box } (blockId)}
			<g class="test" class:selected={blockId === selected}>
				<title>Test: {name}, {formatDuration(atSeconds)}</title>
				<rect class="frame" {...box} rx="3" />
				{#if label}<text class="sign" x={label.x} y={label.y}>test</text>{/if}
			</g>
		{/each}
		<text class="level" x={drawing.intensityLabel.x} y={drawing.intensityLabel.y}>Intensity</text>
		{#each drawing.intensity as box, index (index)}
			<rect class="intensity" {...box} />
		{/each}
		{#if drawing.peak}<text class="peak" x={drawing.peak.x} y={drawing.peak.y}>peak</text>{/if}
		{#each drawing.ticks as tick, index (index)}
			<line class="tick" x1={tick.x} x2={tick.x} y1={tick.from} y2={tick.to} />
			<text class="tick-label" x={tick.x} y={tick.labelY}>{formatDuration(tick.seconds)}</text>
		{/each}
		<line class="end" x1={drawing.end.x} x2={drawing.end.x} y1="0" y2={drawing.end.to} />
		{#each drawing.marks as mark, index (index)}
			<g transform="translate({mark.x} {mark.y})">
				<title>{mark.message}</title>
				{#if mark.severity === 'stop'}<rect width="11" height="11" rx="2" fill="var(--stop)" />
				{:else if mark.severity === 'fix'}<path d="M6 0 12 11H0Z" fill="var(--fix)" />
				{:else}<circle cx="6" cy="6" r="4.5" fill="var(--sheet)" stroke="var(--note)" stroke-width="2" />{/if}
			</g>
		{/each}
	</svg>
	<figcaption class="visually-hidden">
		{#each score.blocks as block (block.key)}
			{formatDuration(block.x)}
			{block.name}, {POSITION_NAME[LEVELS[block.level] ?? 'standing']}{block.work[0]?.direction
				? `, ${DIRECTION_NAME[block.work[0].direction]}`
				: ''};
		{/each}
	</figcaption>
</figure>

<style>
	figure {
		margin: 0;
		overflow-x: auto;
		overflow-y: hidden;
	}
	.zoom {
		position: absolute;
		right: 0.75rem;
		top: 0.35rem;
		display: flex;
		gap: 0.2rem;
	}
	.edge {
		fill: transparent;
		cursor: ew-resize;
	}
	.dragged {
		opacity: 0.75;
	}
	.marked .frame {
		stroke: var(--accent);
		stroke-width: 1.8;
		stroke-dasharray: 3 2;
	}
	svg {
		display: block;
	}
	.section {
		fill: transparent;
	}
	.section.odd {
		fill: var(--sunk);
		opacity: 0.55;
	}
	text {
		font-size: 11px;
		fill: var(--ink-soft);
	}
	.section-name {
		font-weight: 650;
		fill: var(--ink);
	}
	.level {
		text-anchor: end;
		dominant-baseline: central;
	}
	.rule {
		stroke: var(--line);
		stroke-width: 0.5;
	}
	.body {
		fill: none;
		stroke: var(--line-strong);
		stroke-width: 1;
	}
	.block {
		cursor: grab;
		touch-action: pan-x;
	}
	.still,
	.still .edge {
		cursor: default;
	}
	.frame {
		fill: var(--sheet);
		stroke: var(--line-strong);
		stroke-width: 0.8;
	}
	.block:hover .frame {
		stroke: var(--ink);
	}
	.selected .frame {
		stroke: var(--accent);
		stroke-width: 2.5;
	}
	.sign {
		font-size: 9.5px;
		font-weight: 700;
		text-anchor: middle;
		dominant-baseline: central;
		pointer-events: none;
	}
	.sign.small {
		font-size: 8px;
	}
	.intensity {
		fill: var(--accent);
		opacity: 0.5;
	}
	.fetch {
		fill: none;
		stroke: var(--ink-soft);
		stroke-dasharray: 2 1.5;
	}
	.test .frame {
		stroke-dasharray: 2 2;
	}
	.peak {
		text-anchor: middle;
		font-size: 10px;
		fill: var(--ink);
	}
	.tick {
		stroke: var(--line-strong);
	}
	.tick-label {
		text-anchor: middle;
	}
	.end {
		stroke: var(--accent);
		stroke-width: 1.5;
		stroke-dasharray: 4 3;
	}
</style>
