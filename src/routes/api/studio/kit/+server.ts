import { kitFaults, type Kit } from '$lib/core/group';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { readSave, saveAnswer, studioOfRequest } from '$lib/server/http/endpoint';
import { saveStudioKit } from '$lib/server/studio/studio-kit';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves what the studio's room holds: 200, 409 with what is stored, 422 with the faults. */
export const PUT: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, (value) => ({ ok: true, value }));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = kitFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveOnce(db(), studio.id, body.token, body, (tx) =>
		saveStudioKit(tx, studio.id, body.version, body.document as Kit)
	);
	return saveAnswer(saved, body.document, ({ version, kit }) => ({ version, document: kit }));
};
