import { schemaFaults } from '$lib/core/plan';
import { paceChangesSchema } from '$lib/core/pace';
import { styleSchema } from '$lib/core/style';
import { db } from '$lib/server/db';
import { ownerOfRequest, readSave, saveAnswer } from '$lib/server/scope';
import { saveStyle, type TeacherStyle } from '$lib/server/styles';
import { json } from '@sveltejs/kit';
import { object } from 'yup';
import type { RequestHandler } from './$types';

const schema = object({ choices: styleSchema.required(), pace: paceChangesSchema }).noUnknown().required();

/** Saves how the teacher teaches: 200, 409 with what is stored, 422 with the faults. */
export const PUT: RequestHandler = async ({ request, locals }) => {
	const { teacherId } = ownerOfRequest(locals);
	const body = await readSave(request);
	if ('faults' in body) return json(body, { status: 422 });
	const faults = schemaFaults(schema, body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const saved = await saveStyle(db(), teacherId, body.version, body.document as TeacherStyle);
	return saveAnswer(saved, body.document, ({ version, style }) => ({ version, document: style }));
};
