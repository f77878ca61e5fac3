import { isIsoDay } from '$lib/core/calendar';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { getGroup } from '$lib/server/group/groups';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { createSentPlan, readSentPlan } from '$lib/server/plan/plan-upload';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/**
 * Adds a plan (an imported one with the movements it brings, or one side of a conflict as a copy): 201 with its
 * id, 422 with the faults.
 */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const token = tokenOf(request.headers.get('idempotency-key'));
	const body = await readJsonObject(request);
	const plannedOn = typeof body.plannedOn === 'string' && isIsoDay(body.plannedOn) ? body.plannedOn : null;
	const sent = await readSentPlan(db(), studio.id, body);
	if ('faults' in sent) return json(sent, { status: 422 });
	const group = orNotFound(await getGroup(db(), studio.id, String(body.groupId)));
	const id = await once(db(), studio.id, token, body, (tx) =>
		createSentPlan(tx, studio.id, group.id, plannedOn, sent)
	);
	return json({ id }, { status: 201 });
};
