import { shortDay } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, removalAnswer } from '$lib/server/http/endpoint';
import { readJsonObject, versionOf } from '$lib/server/http/requests';
import { mentionable, notesThatName, readable, takeNameOut } from '$lib/server/group/students';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Returns the number of check-ins of a person, and the notes that contain their name as a word: 200, 404. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const owner = ownerOfRequest(locals);
	const { groupId, notes, checkIns } = orNotFound(await notesThatName(db(), owner, params.id));
	const people = await mentionable(db(), owner, groupId);
	return json({
		checkIns,
		notes: notes.map((note) => ({ ...readable(note, people), day: shortDay(note.on) }))
	});
};

/** Takes the name out of one of them, in the version that was looked at: 204, 409, 404. */
export const DELETE: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	orNotFound(await notesThatName(db(), owner, params.id));
	const { record, version } = await readJsonObject(request);
	if (typeof record !== 'string') error(400, 'The request names no class.');
	return removalAnswer(await takeNameOut(db(), owner, params.id, record, versionOf(version)));
};
