import {
	broughtUp,
	eachIn,
	isObject,
	type DocumentKind,
	type Json,
	type Read,
	withVersion
} from '../validation';
import { PLAN } from '../plan';
import { notesAsPlanned, type ClassNotes } from '../record';
import { seriesSchema } from './schema';
import type { PlannedSeries, SeriesDocument } from './types';

/** A series as it is kept. 2: how its classes went is kept apart from it ({@link runsOfVersion1}). */
export const SERIES_KIND: DocumentKind = {
	name: 'series',
	schema: seriesSchema,
	steps: [(series) => eachIn(series, 'classes', ({ run: _run, ...planned }) => planned)]
};

/** Returns the notes on classes that version 1 kept inside the series, by class id; empty for newer versions. */
export function runsOfVersion1(series: unknown): Record<string, ClassNotes> {
	if (!isObject(series) || (series.version ?? 1) !== 1 || !Array.isArray(series.classes)) return {};
	const classes = series.classes.filter((c): c is Json => isObject(c) && isObject(c.run));
	return Object.fromEntries(
		classes.map((c) => [String(c.id), { ...notesAsPlanned(0, 0), ...(c.run as Partial<ClassNotes>) }])
	);
}

/** A series with its plans, each part brought up to today's shape; what they hold is not looked at. */
export function seriesBroughtUp(value: unknown): Read<unknown> {
	if (!isObject(value)) return { ok: true, value };
	const series = broughtUp(SERIES_KIND, value.series);
	if (!series.ok) return under('series', series);
	if (!isObject(value.plans)) return { ok: true, value: { ...value, series: series.value } };
	const plans: [id: string, plan: unknown][] = [];
	for (const [id, plan] of Object.entries(value.plans)) {
		const up = broughtUp(PLAN, plan);
		if (!up.ok) return under(`plans.${id}`, up);
		plans.push([id, up.value]);
	}
	// as own fields, whatever they are called: what is wrong with a name is said afterwards
	return { ok: true, value: { ...value, series: series.value, plans: Object.fromEntries(plans) } };
}

const under = (root: string, { faults }: Read<never> & { ok: false }): Read<never> => ({
	ok: false,
	faults: faults.map(({ path, message }) => ({ path: `${root}.${path}`, message }))
});

/** A series with its plans as it is sent: each part with the version of its shape. */
export function seriesAsSent({ series, plans }: SeriesDocument) {
	return {
		series: withVersion(SERIES_KIND, series),
		plans: Object.fromEntries(Object.entries(plans).map(([id, plan]) => [id, withVersion(PLAN, plan)]))
	};
}

/** A series with what was written down of its classes, by their ids; of others there is nothing to keep. */
export function withClassNotes(
	{ series, plans }: SeriesDocument,
	notes: Readonly<Record<string, ClassNotes>>
): PlannedSeries {
	const runs = series.classes.flatMap(({ id, on, startsAt }) =>
		notes[id] ? [[id, { ...notes[id], planId: id, on, startsAt }]] : []
	);
	return { series, plans, runs: Object.fromEntries(runs) };
}
