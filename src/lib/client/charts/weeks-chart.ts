import { formatDuration } from '$lib/core/clock';
import type { weeksTable } from '$lib/core/record';
import type { Drift } from '$lib/core/teach';
import type { EChartsCoreOption } from 'echarts/core';
import { axis, valueAxis, grid, legend, baseOptions } from './chart-parts';

/** Minutes planned and real of class after class. */
export function weeksChart({ days, planned, real }: ReturnType<typeof weeksTable>): EChartsCoreOption {
	const line = (name: string, data: (number | null)[], symbol: string, color: string) => ({
		type: 'line' as const,
		name,
		data,
		symbol,
		symbolSize: 9,
		color
	});
	return {
		...baseOptions,
		grid,
		legend,
		tooltip: { trigger: 'axis' },
		xAxis: axis(days),
		yAxis: { ...valueAxis('minutes'), scale: true },
		series: [line('Real', real, 'circle', 'var(--accent)'), line('Planned', planned, 'diamond', 'var(--fix)')]
	};
}

/** Between the marks of the axis of time. */
const MARKS_SECONDS = 300;
const LEAST_MARK_SECONDS = 30;

/** How far behind a class was along its planned time. */
export function driftChart(drift: readonly Drift[]): EChartsCoreOption {
	const time = (name: string) => {
		const plain = valueAxis(name);
		const formatter = (seconds: number) => formatDuration(seconds);
		return { ...plain, axisLabel: { ...plain.axisLabel, formatter, hideOverlap: true } };
	};
	return {
		...baseOptions,
		grid,
		xAxis: { ...time(''), interval: MARKS_SECONDS, min: 0, max: drift.at(-1)?.plannedTo ?? 0 },
		yAxis: { ...time('behind'), minInterval: LEAST_MARK_SECONDS },
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
