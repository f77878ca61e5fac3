import type { TestResult } from '$lib/core/measure';
import type { EChartsCoreOption } from 'echarts/core';
import { axis, valueAxis, grid, legend, baseOptions } from '../charts/chart-parts';

/** Both sides of a test over time. */
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
	// grades end at 0 and 3: a little change shall look little
	const ends = unit === 'mean grade' || unit === 'grade' ? { min: 0, max: 3 } : { scale: true };
	return {
		...baseOptions,
		grid,
		legend,
		tooltip: { trigger: 'axis' },
		xAxis: axis(points.map(({ on }) => dayOf(on))),
		yAxis: { ...valueAxis(unit), ...ends },
		series: [
			line(hasSides ? 'Left' : 'Both', 'left', 'circle', 'var(--accent)'),
			...(hasSides ? [line('Right', 'right', 'diamond', 'var(--fix)')] : [])
		]
	};
}
