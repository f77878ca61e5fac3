<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import { hereWords } from '$lib/core/people';
	import { driftChart } from '$lib/client/charts/weeks-chart';
	import { driftOf, driftWords, KIND_WORDS, lateWords, type Tally } from '$lib/core/teach';
	import type { LedScores } from '$lib/core/view-models';
	import ScoreView from '../plan/ScoreView.svelte';
	import Chart from '../chart/Chart.svelte';
	import { DataTable } from 'carbon-components-svelte';

	/** A class that was led: planned and real side by side, line by line, where the time went, and side against side. */
	interface Props {
		/** "Tuesday 24 November, 19:16". */
		title: string;
		tally: Tally;
		scores: LedScores;
	}
	let { title, tally, scores }: Props = $props();

	const SCORES = [
		{ of: 'planned', name: 'As planned' },
		{ of: 'real', name: 'As it went' }
	] as const;
	const PLANNED_AND_REAL = [
		{ key: 'planned', value: 'Planned' },
		{ key: 'real', value: 'Real' }
	] as const;
	const LINES = [
		{ key: 'what', value: 'What' },
		...PLANNED_AND_REAL,
		{ key: 'standing', empty: true }
	] as const;
	const LINE_KINDS = [{ key: 'what', value: 'Where the time went' }, ...PLANNED_AND_REAL] as const;
	const SIDES = [
		{ key: 'what', value: 'Side against side' },
		{ key: 'first', value: 'First' },
		{ key: 'second', value: 'Second' },
		{ key: 'drift', empty: true }
	] as const;
	const lines = $derived(
		tally.lines.map(({ id, title: what, leg, planned, real, standing }) => ({
			id,
			what: [what, leg].filter(Boolean).join(', ') || 'Words',
			planned: formatDuration(planned),
			real: real ? formatDuration(real) : '',
			standing: standing === 'given' ? '' : standing
		}))
	);
	const drift = $derived(driftOf(tally));
	const kinds = $derived(
		tally.kinds.map(({ kind, planned, real }) => ({
			id: kind,
			what: KIND_WORDS[kind],
			planned: formatDuration(planned),
			real: formatDuration(real)
		}))
	);
	const sides = $derived(
		tally.sides.map((side, index) => ({
			id: String(index),
			what: side.title,
			first: formatDuration(side.first),
			second: formatDuration(side.second),
			drift: driftWords(side)
		}))
	);
</script>

<section class="sheet" aria-label={title}>
	<h2>{title}</h2>
	<p class="took">
		<b>{formatDuration(tally.real)}</b> of {formatDuration(tally.planned)} planned{tally.isOver
			? `, ended ${lateWords(tally.behind * 1000)}`
			: '; it was not ended'}{tally.paused ? `; paused for ${formatDuration(tally.paused)}` : ''}
	</p>
	{#if tally.here}<p>{hereWords(tally.here)}</p>{/if}
	{#each tally.counted as words, index (index)}<p>{words}</p>{/each}
	{#each tally.notes as { title: at, words }, index (index)}<p><b>{at}</b> {words}</p>{/each}
	{#each SCORES as { of, name } (of)}
		<div class="score">
			<h3>{name}</h3>
			<ScoreView score={scores[of]} name="the class {name.toLowerCase()}" />
		</div>
	{/each}
	<div class="tables">
		<DataTable size="compact" headers={LINE_KINDS} rows={kinds} />
		{#if sides.length}<DataTable size="compact" headers={SIDES} rows={sides} />{/if}
	</div>
	{#if drift.length > 1}
		<Chart
			title="Behind and ahead, line by line"
			label="How far the class was behind after each line; below the middle line it was ahead"
			option={driftChart(drift)}
			table={{
				head: ['After', 'Planned to', 'Behind'],
				rows: drift.map(({ title: after, plannedTo, behind }) => [
					after || 'words',
					formatDuration(plannedTo),
					formatDuration(behind)
				])
			}}
			height="12rem"
		/>
	{/if}
	<DataTable size="compact" headers={LINES} rows={lines} />
</section>

<style>
	section {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 0.75rem;
		overflow-x: auto;
	}
	.took b {
		font-size: var(--text-xl);
	}
	.score {
		position: relative;
	}
	.score h3 {
		/* its zoom stands beside it */
		min-height: 2.25rem;
	}
	.tables {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(22rem, 100%), 1fr));
		gap: 1rem;
		align-items: start;
	}
</style>
