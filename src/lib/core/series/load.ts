import type { SeriesAnalysis } from './analysis';
import { isEasier } from './schedule';
import type { Series } from './types';

/**
 * How the load of a series goes: each ordinary week a little more than the one before, easier weeks less by volume and not
 * by range, and after an easier week on from where it was. Common practice, no source.
 */
export const LOAD = {
	/** Rise of an ordinary week over the last one, percent, where the series allows it. */
	upPercent: 6,
	/** Load of an easier week as a share of the last ordinary one. */
	easier: 0.72,
	/** A load within this share of its target is on target. */
	slack: 0.1,
	/** Ordinary weeks that rise by less than this stay where they are, percent. */
	leastUpPercent: 3
} as const;

/**
 * Returns the load factor of a week (from 1), relative to the first week: 1, 1.06, 1.12 and so on; the first
 * ordinary week after an easier one continues from the last ordinary one.
 */
export function loadFactor(series: Series, week: number): number {
	const step = 1 + Math.min(LOAD.upPercent, series.mostUpPercent) / 100;
	let level = 1;
	let began = false;
	for (let w = 1; w <= week; w++) {
		if (isEasier(series, w)) {
			if (w === week) return level * LOAD.easier;
			continue;
		}
		if (began && !isEasier(series, w - 1)) level *= step;
		began = true;
	}
	return level;
}

/**
 * The load that a class of a week is to have: of the first ordinary week, as far as it is planned, times the factor of its
 * own week. What was cut by hand or cancelled says nothing. Null where nothing is there to go by.
 */
export function targetLoad({ planned: { series }, classes }: SeriesAnalysis, week: number): number | null {
	const ordinary = classes.filter(
		({ plan, state, class: c }) => plan && state !== 'edited' && c.week < week && !isEasier(series, c.week)
	);
	const first = Math.min(...ordinary.map(({ class: c }) => c.week));
	const loads = ordinary.filter(({ class: c }) => c.week === first).map(({ plannedLoad }) => plannedLoad);
	if (loads.length === 0) return null;
	const mean = loads.reduce((sum, load) => sum + load, 0) / loads.length;
	return (mean * loadFactor(series, week)) / loadFactor(series, first);
}

/**
 * The most load that a class of an ordinary week may have: as much above the mean of the last ordinary week as the series
 * allows. Infinity where nothing is there to go by.
 */
export function mostLoad({ planned: { series }, classes }: SeriesAnalysis, week: number): number {
	const before = classes.filter(
		({ plan, easier, state, class: c }) => plan && !easier && state !== 'edited' && c.week < week
	);
	const last = Math.max(...before.map(({ class: c }) => c.week));
	const loads = before.filter(({ class: c }) => c.week === last).map(({ plannedLoad }) => plannedLoad);
	if (loads.length === 0) return Infinity;
	return (loads.reduce((sum, load) => sum + load, 0) / loads.length) * (1 + series.mostUpPercent / 100);
}
