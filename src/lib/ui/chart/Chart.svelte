<script lang="ts">
	import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from 'carbon-components-svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import type { ChartTable } from '$lib/core/view-models';
	import type { EChartsCoreOption } from 'echarts/core';
	import type { Attachment } from 'svelte/attachments';

	/** A chart, and behind it a table of the same for those who read instead of look. */
	interface Props {
		title: string;
		/** One sentence that describes the chart. */
		label: string;
		option: EChartsCoreOption;
		table: ChartTable;
		height?: string;
	}
	let { title, label, option, table, height = '15rem' }: Props = $props();

	/** ECharts draws with plain colours: names of our tokens are looked up first. */
	function resolved(value: unknown, style: CSSStyleDeclaration): unknown {
		if (typeof value === 'string')
			return value.replace(/var\((--[\w-]+)\)/g, (_, name) => style.getPropertyValue(name).trim());
		if (Array.isArray(value)) return value.map((part) => resolved(part, style));
		if (typeof value !== 'object' || value === null) return value;
		return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, resolved(part, style)]));
	}

	// an attachment runs in the browser only, so ECharts never loads on the server; it runs once, and an effect inside it
	// hands the same chart another option when it changes
	const chart: Attachment<HTMLElement> = (node) => {
		let gone = false;
		let instance = $state.raw<import('echarts/core').ECharts>();
		const watch = new ResizeObserver(() => instance?.resize());
		void import('$lib/client/charts/echarts').then(({ init }) => {
			if (gone) return;
			instance = init(node, undefined, { renderer: 'svg' });
			watch.observe(node);
		});
		$effect(() => {
			if (!instance) return;
			// series missing from the option are removed; the others move to their new place
			instance.setOption(resolved(option, getComputedStyle(node)) as EChartsCoreOption, {
				replaceMerge: ['series', 'xAxis', 'yAxis', 'visualMap']
			});
			node.dataset.ready = 'true';
		});
		return () => {
			gone = true;
			watch.disconnect();
			instance?.dispose();
		};
	};
	const id = $props.id();
</script>

<section class="sheet" aria-labelledby={id}>
	<h3 {id}>{title}</h3>
	<div class="chart" style:height role="img" aria-label={label} {@attach chart}></div>
	<Fold title="The same as a table">
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div class="scroll" tabindex="0" role="region" aria-label="{title}, as a table">
			<Table size="compact">
				<TableHead>
					<TableRow>
						{#each table.head as cell, i (i)}<TableHeader>{cell}</TableHeader>{/each}
					</TableRow>
				</TableHead>
				<TableBody>
					{#each table.rows as row, r (r)}
						<TableRow>
							{#each row as cell, i (i)}
								{#if i === 0}<TableHeader scope="row">{cell}</TableHeader>{:else}<TableCell>{cell}</TableCell
									>{/if}
							{/each}
						</TableRow>
					{/each}
				</TableBody>
			</Table>
		</div>
	</Fold>
</section>

<style>
	section {
		min-width: 0;
	}
	.chart {
		width: 100%;
	}
	.scroll {
		overflow-x: auto;
	}
</style>
