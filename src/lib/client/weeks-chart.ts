import type { weeksTable } from '$lib/core/run';
import { formatDuration } from '$lib/core/clock';
import type { Drift } from '$lib/core/teach';
import type { EChartsCoreOption } from 'echarts/core';

/** Minutes planned and real of class after class; colours by the names of our tokens, which the chart looks up. */
export function weeksChart({ days, planned, real }: ReturnType<typeof weeksTable>): EChartsCoreOption {
	return {
		animation: false,
		textStyle: { fontFamily: 'var(--font)' },
		grid: { left: 44, right: 24, top: 44, bottom: 28 },
		legend: { top: 0, left: 0, textStyle: { color: 'var(--ink)' } },
		tooltip: { trigger: 'axis' },
		xAxis: { type: 'category', data: days, axisLabel: { color: 'var(--ink-soft)', hideOverlap: true } },
		yAxis: {
			type: 'value',
			name: 'minutes',
			scale: true,
			nameTextStyle: { color: 'var(--ink-soft)', align: 'left' },
			axisLabel: { color: 'var(--ink-soft)' },
			splitLine: { lineStyle: { color: 'var(--line)' } }
		},
		series: [
			{ type: 'line', name: 'Real', data: real, symbol: 'circle', symbolSize: 9, color: 'var(--accent)' },
			{
				type: 'line',
				name: 'Planned',
				data: planned,
				step: 'middle',
				symbol: 'diamond',
				symbolSize: 8,
				color: 'var(--mend)'
			}
		]
	};
}

/** How far behind a class was along its planned time. */
export function driftChart(drift: readonly Drift[]): EChartsCoreOption {
	const time = (name: string) => ({
		type: 'value' as const,
		name,
		nameTextStyle: { color: 'var(--ink-soft)', align: 'left' as const },
		axisLabel: { color: 'var(--ink-soft)', formatter: (seconds: number) => formatDuration(seconds) },
		splitLine: { lineStyle: { color: 'var(--line)' } }
	});
	return {
		animation: false,
		textStyle: { fontFamily: 'var(--font)' },
		grid: { left: 56, right: 24, top: 34, bottom: 28 },
		xAxis: { ...time(''), interval: 300, min: 0, max: drift.at(-1)?.plannedTo ?? 0 },
		yAxis: { ...time('behind'), minInterval: 30 },
		series: [
			{
				type: 'line',
				name: 'Behind',
				step: 'end',
				data: [[0, 0], ...drift.map(({ plannedTo, behind }) => [plannedTo, behind])],
				symbol: 'circle',
				symbolSize: 6,
				color: 'var(--accent)',
				areaStyle: { opacity: 0.15 }
			}
		]
	};
}
