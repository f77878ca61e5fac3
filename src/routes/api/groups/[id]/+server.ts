import { GROUP, type Group, groupFaults } from '$lib/core/group';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { saveGroup } from '$lib/server/group/groups';
import { readSave, saveAnswer, studioOfRequest } from '$lib/server/http/endpoint';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves over the version that the change began from: 200, 409 with what is stored, 422 with the faults, 404. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, upTo(GROUP));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = groupFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveOnce(db(), studio.id, body.token, [params.id, body], (tx) =>
		saveGroup(tx, studio.id, params.id, body.version, body.document as Group)
	);
	return saveAnswer(saved, body.document, ({ version, group }) => ({ version, document: group }));
};
