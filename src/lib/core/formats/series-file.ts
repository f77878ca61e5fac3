import { groupFaults, type Group } from '../group';
import type { FindMovement, Movement } from '../movement';
import type { ClassPlan } from '../plan';
import type { Fault } from '../validation';
import { seriesFaults, type PlannedSeries } from '../series';
import { readEnvelope, unknownKeys, type Read } from './envelope';
import { readMovements } from './plan-file';

export const SERIES_FORMAT = 'humble-orbit/series';
export const SERIES_FORMAT_VERSION = 1;
export const SERIES_SCHEMA_PATH = '/schemas/series-1.schema.json';

/** What a series file holds: the series with its plans, the group, and movements that do not come with Humble Orbit. */
export interface SeriesFile {
	planned: PlannedSeries;
	group: Group;
	movements: Movement[];
}

export function writeSeriesFile({ planned, group, movements }: SeriesFile): string {
	const plans = Object.fromEntries(
		Object.entries(planned.plans).map(([id, { madeWith: _states, ...plan }]) => [id, plan])
	);
	const file = {
		$schema: SERIES_SCHEMA_PATH,
		format: SERIES_FORMAT,
		version: SERIES_FORMAT_VERSION,
		series: planned.series,
		plans,
		group,
		...(movements.length ? { movements } : {})
	};
	return `${JSON.stringify(file, null, 1)}\n`;
}

/** Reads a series file. A wrong one gives everything that is wrong and where. */
export function readSeriesFile(text: string, find: FindMovement): Read<SeriesFile> {
	const envelope = readEnvelope(text, SERIES_FORMAT, SERIES_FORMAT_VERSION);
	if (!envelope.ok) return envelope;
	const { series, plans, group, movements = [] } = envelope.value;
	const own = readMovements(movements, find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	const known: FindMovement = (slug) => bySlug.get(slug) ?? find(slug);
	const faults: Fault[] = [
		...unknownKeys(envelope.value, ['$schema', 'format', 'version', 'series', 'plans', 'group', 'movements']),
		...seriesFaults({ series, plans }, () => known),
		...groupFaults(group).map(({ path, message }) => ({ path: path ? `group.${path}` : 'group', message }))
	];
	if (faults.length) return { ok: false, faults };
	return {
		ok: true,
		value: {
			planned: { series: series as PlannedSeries['series'], plans: plans as Record<string, ClassPlan> },
			group: group as Group,
			movements: own.value
		}
	};
}
