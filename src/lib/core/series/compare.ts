import { mean } from 'simple-statistics';
import { DIRECTION_NAME, DIRECTIONS } from '../anatomy';
import type { SeriesAnalysis } from './analysis';

/** One line of two series side by side. */
export interface SeriesLine {
	name: string;
	a: string;
	b: string;
}

const one = (value: number) => value.toFixed(1);
const meanOrZero = (values: readonly number[]) => (values.length ? mean([...values]) : 0);

/** Figures of two series, in the same words. */
export function compareSeries(a: SeriesAnalysis, b: SeriesAnalysis): SeriesLine[] {
	const line = (name: string, of: (analysis: SeriesAnalysis) => string): SeriesLine => ({
		name,
		a: of(a),
		b: of(b)
	});
	return [
		line('Weeks', ({ planned }) => String(planned.series.weeks)),
		line(
			'Classes, of them planned',
			({ classes }) => `${classes.length}, ${classes.filter((c) => c.plan).length}`
		),
		line('Minutes in all', ({ classes }) =>
			String(Math.round(classes.reduce((sum, { minutes }) => sum + minutes, 0)))
		),
		line('Load a week, mean', ({ weeks }) =>
			one(meanOrZero(weeks.filter((w) => w.load > 0).map((w) => w.load)))
		),
		line('Steepest rise', ({ weeks }) => {
			const rises = weeks.flatMap(({ changePercent }) => (changePercent === null ? [] : [changePercent]));
			return rises.length ? `${Math.round(Math.max(...rises))} %` : '';
		}),
		line('Movements in all', (analysis) => String(slugsTaught(analysis).size)),
		...DIRECTIONS.map((d) =>
			line(DIRECTION_NAME[d], ({ balance }) => `${one(100 * balance.directions[d].share)} %`)
		),
		line('Share of strength work', ({ balance }) => `${one(100 * balance.strength.share)} %`)
	];
}

function slugsTaught({ classes }: SeriesAnalysis): Set<string> {
	return new Set(
		classes.flatMap(({ analysis }) => analysis?.context.items.map(({ movement }) => movement.slug) ?? [])
	);
}
