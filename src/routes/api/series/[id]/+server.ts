import { saveOnce } from '$lib/server/http/accepted';
import { seriesBroughtUp } from '$lib/core/series';
import { db } from '$lib/server/db';
import { orNotFound, readSave, saveAnswer, studioOfRequest } from '$lib/server/http/endpoint';
import { readSentSeries } from '$lib/server/series/series-upload';
import { getSeries, saveSeries } from '$lib/server/series/series';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves a series with its plans over the version that the change began from: 200, 409, 422 with the faults, 404. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, seriesBroughtUp);
	if ('faults' in body) return json(body, { status: 422 });
	const stored = orNotFound(await getSeries(db(), studio.id, params.id));
	const sent = await readSentSeries(db(), studio.id, body.document, stored);
	if ('faults' in sent) return json(sent, { status: 422 });
	const known = planVersionsOf(body.planVersions);
	const saved = await saveOnce(db(), studio.id, body.token, [params.id, body], (tx) =>
		saveSeries(tx, studio.id, params.id, body.version, known, sent.planned)
	);
	return saveAnswer(saved, sent.planned, ({ version, planned, planVersions }) => ({
		version,
		planVersions,
		document: planned
	}));
};

/** The versions of the plans as a client names them; what is no version counts as not named. */
function planVersionsOf(sent: unknown): Record<string, number> {
	const entries = typeof sent === 'object' && sent !== null ? Object.entries(sent) : [];
	return Object.fromEntries(entries.filter(([, version]) => Number.isInteger(version)));
}
