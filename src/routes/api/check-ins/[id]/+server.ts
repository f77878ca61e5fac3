import { removeCheckIn } from '$lib/server/group/check-ins';
import { db } from '$lib/server/db';
import { ownerOfRequest, removalAnswer } from '$lib/server/http/endpoint';
import { readJsonObject, versionOf } from '$lib/server/http/requests';
import type { RequestHandler } from './$types';

/** Takes a check-in back, in the version that was looked at: 204, 409, 404. */
export const DELETE: RequestHandler = async ({ params, request, locals }) => {
	const version = versionOf((await readJsonObject(request)).version);
	return removalAnswer(await removeCheckIn(db(), ownerOfRequest(locals), params.id, version));
};
