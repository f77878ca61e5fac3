import type { TestResult } from '$lib/core/measure';
import type { EChartsCoreOption } from 'echarts/core';

/** Both sides of a test over time; colours by the names of our tokens, which the chart looks up. */
export function sidesChart({ points, unit }: TestResult, dayOf: (on: string) => string): EChartsCoreOption {
	const line = (name: string, leg: 'left' | 'right', symbol: string, color: string) => ({
		type: 'line' as const,
		name,
		data: points.map((point) => point[leg]),
		connectNulls: true,
		symbol,
		symbolSize: 9,
		color
	});
	const hasSides = points.some(({ right }) => right !== null);
	return {
		animation: false,
		textStyle: { fontFamily: 'var(--font)' },
		grid: { left: 44, right: 24, top: 44, bottom: 28 },
		legend: { top: 0, left: 0, textStyle: { color: 'var(--ink)' } },
		tooltip: { trigger: 'axis' },
		xAxis: {
			type: 'category',
			data: points.map(({ on }) => dayOf(on)),
			axisLabel: { color: 'var(--ink-soft)', hideOverlap: true }
		},
		yAxis: {
			type: 'value',
			name: unit,
			// grades end at 0 and 3: a little change shall look little
			...(unit === 'mean grade' || unit === 'grade' ? { min: 0, max: 3 } : { scale: true }),
			nameTextStyle: { color: 'var(--ink-soft)', align: 'left' },
			axisLabel: { color: 'var(--ink-soft)' },
			splitLine: { lineStyle: { color: 'var(--line)' } }
		},
		series: [
			line(hasSides ? 'Left' : 'Both', 'left', 'circle', 'var(--accent)'),
			...(hasSides ? [line('Right', 'right', 'diamond', 'var(--mend)')] : [])
		]
	};
}
