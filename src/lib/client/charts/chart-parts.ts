/** Shared parts of charts; colours are the names of our tokens, which the chart resolves. */

export const baseOptions = { animation: false, textStyle: { fontFamily: 'var(--font)' } };

/** An axis of days or weeks. */
export const axis = (data: string[]) => ({
	type: 'category' as const,
	data,
	axisTick: { show: false },
	axisLine: { lineStyle: { color: 'var(--line-strong)' } },
	axisLabel: { color: 'var(--ink-soft)', hideOverlap: true }
});

/** An axis of figures. */
export const valueAxis = (name: string) => ({
	type: 'value' as const,
	name,
	nameTextStyle: { color: 'var(--ink-soft)', align: 'left' as const },
	axisLabel: { color: 'var(--ink-soft)' },
	splitLine: { lineStyle: { color: 'var(--line)' } }
});

export const legend = {
	top: 0,
	left: 0,
	itemHeight: 10,
	itemWidth: 18,
	itemGap: 12,
	textStyle: { color: 'var(--ink)' }
};

/** Room for one chart by itself. */
export const grid = { left: 56, right: 24, top: 44, bottom: 28 };
