import { type Movement, MOVEMENT } from '$lib/core/movement';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { ownFaults } from '$lib/server/studio/own-movements';
import { orNotFound, readSave, saveAnswer, studioOfRequest } from '$lib/server/http/endpoint';
import { getOwn, saveOwn, studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves an own movement: 200, 409 with what is stored, 422 with the faults, 404. Plans keep what they were made with. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, upTo(MOVEMENT));
	if ('faults' in body) return json(body, { status: 422 });
	orNotFound(await getOwn(db(), studio.id, params.slug));
	const movement = { ...(body.document as Movement), slug: params.slug };
	const faults = ownFaults(movement, await studioCatalogue(db(), studio.id));
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveOnce(db(), studio.id, body.token, [params.slug, body], (tx) =>
		saveOwn(tx, studio.id, body.version, movement)
	);
	return saveAnswer(saved, movement, (stored) => ({ version: stored.version, document: stored.movement }));
};
