import { STUDENT, type Student, studentFaults } from '$lib/core/group';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, readSave, removalAnswer, saveAnswer } from '$lib/server/http/endpoint';
import { readJsonObject, versionOf } from '$lib/server/http/requests';
import { dataOfStudent, removeStudent, restoreStudent, saveStudent } from '$lib/server/group/students';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Changes what is written down of a person: 200, 409 with what is stored, 422 with the faults, 404. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const body = await readSave(request, upTo(STUDENT));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = studentFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveOnce(db(), owner.studioId, body.token, [params.id, body], (tx) =>
		saveStudent(tx, owner, params.id, body.version, body.document as Student)
	);
	return saveAnswer(saved, body.document, ({ version, student }) => ({ version, document: student }));
};

/** All data about a person, as one file: 200, 404. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const data = orNotFound(await dataOfStudent(db(), ownerOfRequest(locals), params.id));
	return new Response(`${JSON.stringify(data, null, '\t')}\n`, {
		headers: {
			'content-type': 'application/json; charset=utf-8',
			'content-disposition': 'attachment; filename="what-is-kept.json"',
			'cache-control': 'no-store'
		}
	});
};

/** Removes a person, in the version that was looked at; for a week they can be brought back: 204, 409, 404. */
export const DELETE: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const version = versionOf((await readJsonObject(request)).version);
	return removalAnswer(await removeStudent(db(), owner, params.id, version));
};

/** Brings a removed person back: 200 with who it is, 404. */
export const POST: RequestHandler = async ({ params, locals }) =>
	json(orNotFound(await restoreStudent(db(), ownerOfRequest(locals), params.id)));
