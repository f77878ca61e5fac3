<script lang="ts">
	import {
		balanceChart,
		ladderChart,
		loadChart,
		monotonyChart,
		tissueChart
	} from '$lib/client/series/series-charts';
	import type { BalanceBars, LadderLines, TissueCells, WeekLines } from '$lib/core/view-models';
	import Chart from '../chart/Chart.svelte';

	/** Ladders, load, monotony, balance and tissues over the weeks. */
	interface Props {
		ladders: LadderLines;
		load: WeekLines;
		balance: BalanceBars;
		tissues: TissueCells;
	}
	let { ladders, load, balance, tissues }: Props = $props();
</script>

<div class="charts">
	{#if ladders.lines.length}
		<Chart
			title="Ladders"
			label="Each ladder as a line that climbs from rung to rung through the classes"
			option={ladderChart(ladders)}
			table={ladders.table}
		/>
	{/if}
	<Chart
		title="Load and strain of the weeks"
		label="Load of each week as a bar, strain as a line"
		option={loadChart(load)}
		table={load.table}
	/>
	<Chart
		title="Balance of the weeks, in percent"
		label="Share of each direction in each week, in percent"
		option={balanceChart(balance)}
		table={balance.table}
		height="17rem"
	/>
	<Chart
		title="Monotony"
		label="Monotony of each week against the usual warning at 2"
		option={monotonyChart(load)}
		table={load.table}
	/>
	{#if tissues.tissues.length}
		<div class="wide">
			<Chart
				title="Minutes held long, by tissue and week (one leg; five are the weekly dose)"
				label="Minutes in which each tissue is held long in each week"
				option={tissueChart(tissues)}
				table={tissues.table}
				height="calc(2rem + {tissues.tissues.length} * 1.6rem)"
			/>
		</div>
	{/if}
</div>

<style>
	.charts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 24rem), 1fr));
		gap: 1rem;
		margin-top: 1rem;
	}
	.wide {
		grid-column: 1 / -1;
	}
</style>
