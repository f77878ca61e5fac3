import chalk from '../../../examples/dropped-knee-in-eight-weeks.series.json';
import lamp from '../../../examples/out-of-the-chair-for-eight-weeks.series.json';
import { findMovement } from '../catalogue';
import { daysBetween } from '../core/calendar';
import { readSeriesFile } from '../core/formats';
import { faultLines } from '../core/validation';
import { shiftedBy, type PlannedSeries } from '../core/series';
import type { DemoGroupKey } from './groups';

/** The Monday of the week that is this week in the files. */
export const DEMO_MONDAY = '2026-11-23';

const SERIES_FILES: { group: DemoGroupKey; file: unknown }[] = [
	{ group: 'chalk', file: chalk },
	{ group: 'lamp', file: lamp }
];

/** The demo's series with their dates moved, so that they are partly taught in the week of a Monday. */
export function demoSeries(monday: string): { group: DemoGroupKey; planned: PlannedSeries }[] {
	const days = daysBetween(DEMO_MONDAY, monday);
	return SERIES_FILES.map(({ group, file }) => {
		const read = readSeriesFile(JSON.stringify(file), findMovement);
		if (!read.ok) throw new Error(`${group}: ${faultLines(read.faults).join('; ')}`);
		return { group, planned: shiftedBy(read.value.planned, days) };
	});
}

/** Titles of the classes in them that were put together by hand: the seed does not put them there twice. */
export const titlesInSeries: ReadonlySet<string> = new Set(
	SERIES_FILES.flatMap(({ file }) => Object.values((file as PlannedSeries).plans).map(({ title }) => title))
);
