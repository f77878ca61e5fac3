import { silenceable, silenceFaults } from '$lib/core/checks';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest } from '$lib/server/http/endpoint';
import { readJson } from '$lib/server/http/requests';
import { askAgain, storeSilencedCheck } from '$lib/server/studio/silenced-checks';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Silences a check in all classes of this teacher, with the reason: 204, 404 for no such check, 422 with the faults. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const { teacherId } = ownerOfRequest(locals);
	const check = orNotFound(silenceable(params.check));
	const body = await readJson(request);
	const faults = silenceFaults(body);
	if (faults.length) return json({ faults }, { status: 422 });
	const { reason } = body as { reason: string };
	await storeSilencedCheck(db(), teacherId, { check, reason: reason.trim() });
	return new Response(null, { status: 204 });
};

/** Asks again. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
	const { teacherId } = ownerOfRequest(locals);
	await askAgain(db(), teacherId, orNotFound(silenceable(params.check)));
	return new Response(null, { status: 204 });
};
