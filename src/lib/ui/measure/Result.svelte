<script lang="ts">
	import { sidesChart } from '$lib/client/measure/measure-charts';
	import { shortDay } from '$lib/core/calendar';
	import { type TestResult } from '$lib/core/measure';
	import { GRADINGS } from '$lib/core/hip-tests';
	import Chart from '$lib/ui/chart/Chart.svelte';
	import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from 'carbon-components-svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';

	/** Results of one test: in words, as a chart over time and as a table. */
	interface Props {
		/** Whose it is, before the name of the test: "Oda F.: "; empty for a whole group. */
		whose?: string;
		result: TestResult;
	}
	let { whose = '', result }: Props = $props();

	const { scale } = $derived(GRADINGS[result.test]);
</script>

<article aria-label="{whose}{result.name}">
	<h3>{whose}{result.name} <span class="quiet">{result.region}</span></h3>
	<ul>
		{#each result.words as words, i (i)}<li>{words}</li>{:else}<li class="quiet">
				One check-in of one side: nothing to compare yet.
			</li>{/each}
	</ul>
	{#if result.points.length > 1}
		<Chart
			title="{whose}{result.name}, {result.moment}"
			label="{result.unit} over {result.points.length} times: {result.words[0] ?? ''}"
			option={sidesChart(result, shortDay)}
			table={{
				head: result.table.head,
				rows: result.table.rows
			}}
			height="12rem"
		/>
	{:else}
		<Fold title="What was counted">
			<Table size="compact">
				<TableHead>
					<TableRow>
						{#each result.table.head as cell, i (i)}<TableHeader>{cell}</TableHeader>{/each}
					</TableRow>
				</TableHead>
				<TableBody>
					{#each result.table.rows as row, r (r)}
						<TableRow
							>{#each row as cell, i (i)}<TableCell>{cell}</TableCell>{/each}</TableRow
						>
					{/each}
				</TableBody>
			</Table>
		</Fold>
	{/if}
	{#if scale && result.unit === scale.unit}<p class="quiet">Published error: {scale.source}.</p>{/if}
</article>

<style>
	article {
		display: grid;
		gap: 0.5rem;
		min-width: 0;
	}
	ul {
		margin: 0;
		padding-left: 1.1rem;
		max-width: 68ch;
	}
	h3 span {
		font-weight: 400;
	}
</style>
