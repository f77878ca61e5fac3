<script lang="ts">
	import { DIRECTION_NAME, DIRECTION_SIGN } from '$lib/core/anatomy';
	import { formatDuration } from '$lib/core/clock';
	import { LEVELS, scoreScale, ticksOf, type Score, type ScoreBlock } from '$lib/core/view-models';
	import { POSITION_NAME, POSITION_SHORT } from '$lib/core/movement';

	/**
	 * The class along time, one line per body position: standing at the top, lying at the bottom. A block is dragged to
	 * another place, its right edge to another dose; the keys of the desk do the same on the selected row.
	 */
	interface Props {
		score: Score;
		selected?: string | null;
		marked?: readonly string[];
		onselect?: (itemId: string, event: PointerEvent) => void;
		/** Dropped at a second of the class. */
		ondrop?: (itemId: string, second: number) => void;
		/** The right edge dragged by so many seconds. */
		onstretch?: (itemId: string, seconds: number) => void;
	}
	let { score, selected = null, marked = [], onselect, ondrop, onstretch }: Props = $props();

	const LEFT = 104;
	/** Half of the widest label of a tick, an hour with its seconds. */
	const RIGHT = 22;
	const TOP = 22;
	const LINE = 19;
	const INTENSITY = 40;
	const BOTTOM = TOP + LEVELS.length * LINE;
	const HEIGHT = BOTTOM + INTENSITY + 22;
	const EDGE = 7;
	const MOST_ZOOM = 8;
	/** Less than this is a click, not a drag. */
	const DRAG = 4;

	let width = $state(1100);
	let zoom = $state(1);
	let drag = $state.raw<{ block: ScoreBlock; edge: boolean; from: number; by: number } | null>(null);
	const { pixels, perSecond: scale } = $derived(scoreScale(score, width - LEFT - RIGHT, zoom));
	const ticks = $derived(ticksOf(score.spanSeconds, pixels / 44));
	const x = (seconds: number) => LEFT + seconds * scale;
	const y = (level: number) => TOP + level * LINE;
	const bodyLine = $derived(
		score.body
			.map(([seconds, level], i) => `${i ? `H${x(seconds)}V` : `M${x(seconds)} `}${y(level) + LINE / 2}`)
			.join('')
	);
	const workY = { upper: 2, lower: LINE / 2, whole: 2 };
	const workHeight = { upper: LINE / 2 - 2, lower: LINE / 2 - 2, whole: LINE - 4 };
	const shift = (block: ScoreBlock) =>
		drag && !drag.edge && drag.block.itemId === block.itemId ? drag.by : 0;
	const stretch = (block: ScoreBlock) => (drag?.edge && drag.block === block ? drag.by : 0);

	function down(event: PointerEvent, block: ScoreBlock) {
		if (event.button !== 0) return;
		onselect?.(block.itemId, event);
		const target = event.currentTarget as SVGGElement;
		const right = target.querySelector('.frame')!.getBoundingClientRect().right;
		target.setPointerCapture(event.pointerId);
		drag = { block, edge: right - event.clientX <= EDGE, from: event.clientX, by: 0 };
	}
	function move(event: PointerEvent) {
		if (drag) drag = { ...drag, by: event.clientX - drag.from };
	}
	function up() {
		const done = drag;
		drag = null;
		if (!done || Math.abs(done.by) < DRAG) return;
		const seconds = done.by / scale;
		if (done.edge) onstretch?.(done.block.itemId, seconds);
		else ondrop?.(done.block.itemId, done.block.x + seconds);
	}
</script>

<div class="zoom" role="group" aria-label="Zoom of the score">
	<button type="button" aria-label="Zoom out" disabled={zoom === 1} onclick={() => (zoom /= 2)}>−</button>
	<button type="button" aria-label="Zoom in" disabled={zoom === MOST_ZOOM} onclick={() => (zoom *= 2)}
		>+</button
	>
</div>
<!-- wider than the page when zoomed in: then it is scrolled, also by keys -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<figure bind:clientWidth={width} tabindex={zoom > 1 ? 0 : undefined}>
	<svg
		width={LEFT + pixels + RIGHT}
		height={HEIGHT}
		role="img"
		aria-label="Score of the class: {score.blocks.length} items over {formatDuration(score.totalSeconds)}"
	>
		{#each score.sections as section, index (section.id)}
			<rect
				class="section"
				class:odd={index % 2}
				x={x(section.x)}
				y="0"
				width={section.width * scale}
				height={BOTTOM + INTENSITY}
			/>
			{#if section.width * scale > 34}
				<text class="section-name" x={x(section.x) + 4} y="13">{section.name}</text>
			{/if}
		{/each}
		{#each LEVELS as level, index (level)}
			<text class="level" x={LEFT - 8} y={y(index) + LINE / 2}>{POSITION_SHORT[level]}</text>
			<line class="rule" x1={LEFT} x2={LEFT + pixels} y1={y(index) + LINE} y2={y(index) + LINE} />
		{/each}
		<path class="body" d={bodyLine} />
		{#each score.blocks as block (block.key)}
			<!-- the running order below is the way in by keyboard; the score is one selection with it -->
			<!-- svelte-ignore a11y_no_static_element_interactions -->
			<g
				class="block"
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
				<rect
					class="frame"
					x={x(block.x)}
					y={y(block.level) + 1}
					width={Math.max(2, block.width * scale - 1 + stretch(block))}
					height={LINE - 2}
					rx="3"
				/>
				{#if block.fetch}
					<rect
						class="fetch"
						x={x(block.fetch.x)}
						y={y(block.level) + LINE / 2 - 2}
						width={Math.max(2, block.fetch.width * scale)}
						height="4"
					>
						<title>fetching {block.fetch.kit}</title>
					</rect>
				{/if}
				{#each block.work as work, index (index)}
					<rect
						x={x(work.x)}
						y={y(block.level) + workY[work.half]}
						width={Math.max(1, work.width * scale - 1)}
						height={workHeight[work.half]}
						rx="1.5"
						fill={work.direction ? `var(--${work.direction})` : 'var(--line-strong)'}
					/>
					{#if work.direction && work.half !== 'lower' && work.width * scale > 15}
						<text
							class="sign"
							class:small={work.half !== 'whole'}
							x={x(work.x) + (work.width * scale) / 2}
							y={y(block.level) + workY[work.half] + workHeight[work.half] / 2 + 0.5}
							style="fill: var(--on-{work.direction})">{DIRECTION_SIGN[work.direction]}</text
						>
					{/if}
				{/each}
				<rect
					class="edge"
					x={x(block.x + block.width) - EDGE + stretch(block)}
					y={y(block.level) + 1}
					width={EDGE}
					height={LINE - 2}
				/>
			</g>
		{/each}
		{#each score.tests as test (test.blockId)}
			<g class="test" class:selected={test.blockId === selected}>
				<title>Test: {test.name}, {formatDuration(test.x)}</title>
				<rect
					class="frame"
					x={x(test.x)}
					y={y(test.level) + 1}
					width={Math.max(2, test.width * scale - 1)}
					height={LINE - 2}
					rx="3"
				/>
				{#if test.width * scale > 22}<text
						class="sign"
						x={x(test.x) + (test.width * scale) / 2}
						y={y(test.level) + LINE / 2}>test</text
					>{/if}
			</g>
		{/each}
		<text class="level" x={LEFT - 8} y={BOTTOM + INTENSITY / 2 + 4}>Intensity</text>
		{#each score.intensity as step, index (index)}
			<rect
				class="intensity"
				x={x(step.x)}
				y={BOTTOM + INTENSITY - step.value * 6}
				width={Math.max(1, step.width * scale)}
				height={step.value * 6}
			/>
		{/each}
		{#if score.peak}
			<text class="peak" x={x(score.peak.atSeconds)} y={BOTTOM + INTENSITY - score.peak.intensity * 6 - 2}
				>peak</text
			>
		{/if}
		{#each ticks as tick, index (index)}
			<line class="tick" x1={x(tick)} x2={x(tick)} y1={BOTTOM + INTENSITY} y2={BOTTOM + INTENSITY + 4} />
			<text class="tick-label" x={x(tick)} y={BOTTOM + INTENSITY + 15}>{formatDuration(tick)}</text>
		{/each}
		<line
			class="end"
			x1={x(score.lengthSeconds)}
			x2={x(score.lengthSeconds)}
			y1="0"
			y2={BOTTOM + INTENSITY + 4}
		/>
		{#each score.marks as mark, index (index)}
			<g transform="translate({x(mark.x) - 6} {BOTTOM + 1})">
				<title>{mark.message}</title>
				{#if mark.severity === 'stop'}<rect width="11" height="11" rx="2" fill="var(--stop)" />
				{:else if mark.severity === 'mend'}<path d="M6 0 12 11H0Z" fill="var(--mend)" />
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
	.zoom button {
		width: 26px;
		height: 24px;
		border: 1px solid var(--line);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
		cursor: pointer;
	}
	.zoom button:disabled {
		color: var(--line-strong);
		cursor: default;
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
