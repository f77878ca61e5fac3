import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { readSentPlan } from '$lib/server/plan/plan-upload';
import { keepMovements } from '$lib/server/studio/studio-catalogue';
import { createTemplate } from '$lib/server/plan/templates';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Keeps a class as a template: 201 with its id, 422 with the faults. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const token = tokenOf(request.headers.get('idempotency-key'));
	const body = await readJsonObject(request);
	const sent = await readSentPlan(db(), studio.id, body);
	if ('faults' in sent) return json(sent, { status: 422 });
	const id = await once(db(), studio.id, token, body, async (tx) => {
		await keepMovements(tx, studio.id, sent.movements, [sent.plan]);
		return createTemplate(tx, studio.id, sent.plan);
	});
	return json({ id }, { status: 201 });
};
