import { studentFaults, type Student } from '$lib/core/group';
import { db } from '$lib/server/db';
import { getGroup } from '$lib/server/group/groups';
import { once } from '$lib/server/http/accepted';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { orNotFound, ownerOfRequest } from '$lib/server/http/endpoint';
import { createStudent } from '$lib/server/group/students';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Writes a person down for the signed-in teacher alone: 201 with an id, 422 with the faults. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const group = orNotFound(await getGroup(db(), owner.studioId, params.id));
	const token = tokenOf(request.headers.get('idempotency-key'));
	const { document } = await readJsonObject(request);
	const faults = studentFaults(document);
	if (faults.length) return json({ faults }, { status: 422 });
	const id = await once(db(), owner.studioId, token, [group.id, document], (tx) =>
		createStudent(tx, owner, group.id, document as Student)
	);
	return json({ id }, { status: 201 });
};
