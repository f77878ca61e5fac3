import { TEACHER_STYLE, type TeacherStyle, teacherStyleFaults } from '$lib/core/style';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { ownerOfRequest, readSave, saveAnswer } from '$lib/server/http/endpoint';
import { saveStyle } from '$lib/server/studio/styles';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves how the teacher teaches: 200, 409 with what is stored, 422 with the faults. */
export const PUT: RequestHandler = async ({ request, locals }) => {
	const { studioId, teacherId } = ownerOfRequest(locals);
	const body = await readSave(request, upTo(TEACHER_STYLE));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = teacherStyleFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveOnce(db(), studioId, body.token, body, (tx) =>
		saveStyle(tx, teacherId, body.version, body.document as TeacherStyle)
	);
	return saveAnswer(saved, body.document, ({ version, style }) => ({ version, document: style }));
};
