<script lang="ts">
	import { balanceChart, loadChart, monotonyChart, tissueChart } from '$lib/client/series/series-charts';
	import type { BalanceBars, LadderLines, TissueCells, WeekLines } from '$lib/core/view-models';
	import type { LadderOffer } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import SeriesLadders from './SeriesLadders.svelte';
	import Chart from '../chart/Chart.svelte';

	/** Ladders, load, monotony, balance and tissues over the weeks. */
	interface Props {
		ladders: LadderLines;
		load: WeekLines;
		balance: BalanceBars;
		tissues: TissueCells;
		/** Counts of the check-ins of these weeks, in words. */
		tests: { id: string; name: string; words: string[] }[];
		/** Suggestions that they support. */
		offers: readonly LadderOffer[];
		ontake: (offer: LadderOffer) => void;
		groupId: string;
		/** The test of the series. */
		test: string;
	}
	let { ladders, load, balance, tissues, tests, offers, ontake, groupId, test }: Props = $props();

	const narrow = new MediaQuery('(max-width: 40rem)');
</script>

<div class="charts">
	{#if ladders.lines.some(({ steps }) => steps.length)}<SeriesLadders {ladders} />{/if}
	<section class="sheet" aria-labelledby="tests-title">
		<h3 id="tests-title">Check-ins of these weeks</h3>
		{#each tests as { id, name, words } (id)}
			<p><b>{name}</b> {words.join(' ')}</p>
		{:else}
			<p class="quiet">None yet.</p>
		{/each}
		{#each offers as offer, index (index)}
			<p>
				<b>{ladders.lines[offer.ladder]?.name}</b>
				{offer.words}
				<Button kind="tertiary" size="small" on:click={() => ontake(offer)}
					>Apply to ladder<span class="visually-hidden">: {ladders.lines[offer.ladder]?.name}</span></Button
				>
			</p>
		{/each}
		<p><a href="/group/{groupId}/check-in?test={test}">Count the group in the test of this series</a></p>
	</section>
	<Chart
		title={load.hasMonotony ? 'Load and strain of the weeks' : 'Load of the weeks'}
		label={load.hasMonotony ? 'Load of each week as a bar, strain as a line' : 'Load of each week as a bar'}
		option={loadChart(load, narrow.current)}
		table={load.table}
	/>
	<Chart
		title="Balance of the weeks, in percent"
		label="Share of each direction in each week, in percent"
		option={balanceChart(balance, narrow.current)}
		table={balance.table}
		height="16rem"
	/>
	{#if load.hasMonotony}
		<Chart
			title="Monotony"
			label="Monotony of each week against the usual warning at 2"
			option={monotonyChart(load, narrow.current)}
			table={load.table}
			height="11rem"
		/>
	{/if}
	{#if tissues.tissues.length}
		<Chart
			title="Minutes held long, by tissue and week (one leg; five are the weekly dose)"
			label="Minutes in which each tissue is held long in each week"
			option={tissueChart(tissues, narrow.current)}
			table={tissues.table}
			height="calc(2rem + {tissues.tissues.length} * 1.6rem)"
		/>
	{/if}
</div>

<style>
	.charts {
		display: grid;
		gap: 1rem;
		margin-top: 1rem;
	}
</style>
