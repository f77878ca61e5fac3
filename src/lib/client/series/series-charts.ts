import { axis, valueAxis, legend, baseOptions } from '../charts/chart-parts';
import { DIRECTION_SIGN } from '$lib/core/anatomy';
import type { BalanceBars, TissueCells, WeekLines } from '$lib/core/view-models';
import type { EChartsCoreOption } from 'echarts/core';

/** Options of the charts; colours by the names of our tokens, which the chart looks up. */

/** The weeks of all charts stand in the same columns, one under the other; a narrow screen leaves less room at the left. */
const gridFrom = (narrow: boolean) => ({ left: narrow ? 44 : 140, right: 48, top: 58, bottom: 28 });
export function loadChart(
	{ weeks, load, easier, strain, hasMonotony }: WeekLines,
	narrow: boolean
): EChartsCoreOption {
	return {
		...baseOptions,
		grid: gridFrom(narrow),
		legend,
		tooltip: { trigger: 'axis' },
		xAxis: axis(weeks),
		yAxis: [
			valueAxis('load, effort × minutes'),
			...(hasMonotony ? [{ ...valueAxis('strain'), splitLine: { show: false } }] : [])
		],
		series: [
			{
				type: 'bar',
				name: 'Load',
				barMaxWidth: 34,
				color: 'var(--accent)',
				data: load.map((value, i) => ({
					value,
					label: {
						show: easier[i],
						position: 'insideBottom',
						rotate: 90,
						align: 'left',
						verticalAlign: 'middle',
						formatter: 'easier',
						color: 'var(--ink)'
					},
					itemStyle: easier[i]
						? { color: 'var(--accent-tint)', borderColor: 'var(--accent)', borderWidth: 1.5 }
						: {}
				}))
			},
			...(hasMonotony
				? [
						{
							type: 'line',
							name: 'Strain',
							yAxisIndex: 1,
							data: strain.map((value) => (value === null ? null : Math.round(value))),
							symbol: 'diamond',
							symbolSize: 8,
							color: 'var(--fix)'
						}
					]
				: [])
		]
	};
}

export function monotonyChart({ weeks, monotony }: WeekLines, narrow: boolean): EChartsCoreOption {
	return {
		...baseOptions,
		grid: { ...gridFrom(narrow), top: 30 },
		tooltip: { trigger: 'axis' },
		xAxis: axis(weeks),
		yAxis: { ...valueAxis('monotony'), min: 0, max: (value: { max: number }) => Math.max(2.5, value.max) },
		series: [
			{
				type: 'line',
				name: 'Monotony',
				data: monotony.map((value) => (value === null ? null : Number(value.toFixed(2)))),
				symbol: 'circle',
				symbolSize: 8,
				color: 'var(--flexion)',
				markLine: {
					silent: true,
					symbol: 'none',
					data: [{ yAxis: 2 }],
					lineStyle: { color: 'var(--stop)', type: 'dashed' },
					label: { formatter: 'usual warning', position: 'insideEndTop', color: 'var(--stop)' }
				}
			}
		]
	};
}

/** Shares smaller than this have no room for their letter. */
const LETTER_PERCENT = 7;

export function balanceChart({ weeks, shares }: BalanceBars, narrow: boolean): EChartsCoreOption {
	return {
		...baseOptions,
		// six names take three lines on a narrow screen
		grid: { ...gridFrom(narrow), top: narrow ? 80 : 40 },
		legend,
		tooltip: { trigger: 'axis' },
		xAxis: axis(weeks),
		yAxis: { ...valueAxis(''), max: 100 },
		series: shares.map(({ direction, name, percent }) => ({
			type: 'bar',
			stack: 'all',
			name,
			barMaxWidth: 44,
			data: percent.map((value) => ({ value, label: { show: value >= LETTER_PERCENT } })),
			color: `var(--${direction})`,
			itemStyle: { borderColor: 'var(--sheet)', borderWidth: 1 },
			label: { color: `var(--on-${direction})`, formatter: DIRECTION_SIGN[direction], fontWeight: 600 }
		}))
	};
}

export function tissueChart(
	{ weeks, tissues, cells, most }: TissueCells,
	narrow: boolean
): EChartsCoreOption {
	return {
		...baseOptions,
		grid: { ...gridFrom(false), top: 8 },
		tooltip: {},
		xAxis: axis(weeks),
		yAxis: { ...axis(tissues), inverse: true },
		visualMap: {
			show: false,
			min: 0,
			max: most,
			inRange: { color: ['var(--sheet)', 'var(--internalRotation)'] }
		},
		series: [
			{
				type: 'heatmap',
				name: 'Minutes held long',
				data: cells.map((value) => ({
					value,
					label: { color: value[2] > most / 2 ? '#fff' : 'var(--ink)' }
				})),
				label: { show: true, fontSize: narrow ? 9 : 12 },
				itemStyle: { borderColor: 'var(--line)', borderWidth: 1 }
			}
		]
	};
}
