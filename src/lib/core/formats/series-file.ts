import { object } from 'yup';
import { GROUP, groupFaults, type Group, unmeasured } from '../group';
import type { FindMovement, Movement } from '../movement';
import { PLAN, type ClassPlan } from '../plan';
import { notesOf, CLASS_NOTES, classNotesFaults, type ClassNotes } from '../record';
import {
	runsOfVersion1,
	SERIES_KIND,
	seriesAsSent,
	seriesBroughtUp,
	seriesFaults,
	withClassNotes,
	type PlannedSeries,
	type SeriesDocument
} from '../series';
import { isObject, readWith, withVersion, type Fault, type Read } from '../validation';
import { faultsOf, fileSchema, part, readEnvelope, writeEnvelope, type FileFormat } from './envelope';
import { movementsInFile, readMovements, writeMovements } from './movements';
import { inFile } from './versions';

/** 2: how classes went stands beside the series, and each part of the file says which version of its own it has. 3: plans of version 3. */
export const SERIES_FILE: FileFormat = {
	format: 'humble-orbit/series',
	version: 3,
	schemaPath: '/schemas/series-3.schema.json'
};

export const seriesFileSchema = fileSchema(SERIES_FILE, {
	series: inFile(SERIES_KIND).required(),
	plans: object()
		.required()
		.meta({ each: inFile(PLAN) }),
	runs: object()
		.required()
		.meta({ each: inFile(CLASS_NOTES) }),
	group: inFile(GROUP).required(),
	movements: movementsInFile
});

/** Contents of a series file: the series with its plans, the group, and the movements that do not come with Humble Orbit. */
export interface SeriesFile {
	planned: PlannedSeries;
	group: Group;
	movements: Movement[];
}

/** A series with its plans, its runs and its group in the open format. */
export function writeSeriesFile({ planned, group, movements }: SeriesFile): string {
	const plans = Object.fromEntries(
		Object.entries(planned.plans).map(([id, { madeWith: _states, ...plan }]) => [id, plan as ClassPlan])
	);
	return writeEnvelope(
		SERIES_FILE,
		{
			...seriesAsSent({ series: planned.series, plans }),
			runs: notesOf(planned.runs),
			group: withVersion(GROUP, unmeasured(group)),
			...writeMovements(movements)
		},
		1
	);
}

/** Reads a series file. A wrong one gives everything that is wrong and where. */
export function readSeriesFile(text: string, find: FindMovement): Read<SeriesFile> {
	const envelope = readEnvelope(text, SERIES_FILE, ['series', 'plans', 'runs', 'group', 'movements']);
	if (!envelope.ok) return envelope;
	const { series, plans } = envelope.value;
	const own = readMovements(envelope.value.movements ?? [], find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	const known: FindMovement = (slug) => bySlug.get(slug) ?? find(slug);
	const planned = readPlanned({ series, plans }, () => known);
	const runs = readRecords(envelope.value.runs ?? runsOfVersion1(series));
	const group = part('group', readWith<Group>(GROUP, envelope.value.group, groupFaults));
	if (!planned.ok || !runs.ok || !group.ok) return { ok: false, faults: faultsOf(planned, runs, group) };
	return {
		ok: true,
		value: {
			planned: withClassNotes(planned.value, runs.value),
			group: group.value,
			movements: own.value
		}
	};
}

function readPlanned(value: unknown, find: (classId: string) => FindMovement): Read<SeriesDocument> {
	const up = seriesBroughtUp(value);
	if (!up.ok) return up;
	const faults = seriesFaults(up.value, find);
	return faults.length ? { ok: false, faults } : { ok: true, value: up.value as SeriesDocument };
}

/** Reads the records of taught classes by class id, from a file or a request. */
export function readRecords(value: unknown): Read<Record<string, ClassNotes>> {
	if (!isObject(value)) return { ok: false, faults: [{ path: 'runs', message: 'must be an object' }] };
	const faults: Fault[] = [];
	const runs: [id: string, notes: ClassNotes][] = [];
	for (const [id, kept] of Object.entries(value)) {
		const read = part(`runs.${id}`, readWith<ClassNotes>(CLASS_NOTES, kept, classNotesFaults));
		if (read.ok) runs.push([id, read.value]);
		else faults.push(...read.faults);
	}
	return faults.length ? { ok: false, faults } : { ok: true, value: Object.fromEntries(runs) };
}
