import { once } from '$lib/server/http/accepted';
import { readRecords } from '$lib/core/formats';
import { seriesBroughtUp, withClassNotes } from '$lib/core/series';
import { db } from '$lib/server/db';
import { getGroup } from '$lib/server/group/groups';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { readSentSeries } from '$lib/server/series/series-upload';
import { createSeries } from '$lib/server/series/series';
import { keepMovements } from '$lib/server/studio/studio-catalogue';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Adds a series (an imported one with the movements it brings): 201 with its id, 422 with the faults. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const token = tokenOf(request.headers.get('idempotency-key'));
	const body = await readJsonObject(request);
	const up = seriesBroughtUp(body.planned);
	if (!up.ok) return json({ faults: up.faults }, { status: 422 });
	const runs = readRecords(body.runs ?? {});
	if (!runs.ok) return json({ faults: runs.faults }, { status: 422 });
	const sent = await readSentSeries(db(), studio.id, up.value, null, body.movements ?? []);
	if ('faults' in sent) return json(sent, { status: 422 });
	const group = orNotFound(await getGroup(db(), studio.id, String(body.groupId)));
	const id = await once(db(), studio.id, token, body, async (tx) => {
		await keepMovements(tx, studio.id, sent.movements, Object.values(sent.planned.plans));
		return createSeries(
			tx,
			ownerOfRequest(locals),
			group.id,
			sent.planned,
			withClassNotes(sent.planned, runs.value).runs
		);
	});
	return json({ id }, { status: 201 });
};
