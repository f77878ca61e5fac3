import { keepYearsSchema } from '$lib/core/hip-tests';
import { schemaFaults } from '$lib/core/validation';
import { keepsFor, setKeepYears } from '$lib/server/group/check-ins';
import { db } from '$lib/server/db';
import { readSave, studioOfRequest } from '$lib/server/http/endpoint';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Sets for how many years the studio keeps what was measured: 200 with the version, 409 with what is stored, 422. */
export const PUT: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, (value) => ({ ok: true, value }));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = schemaFaults(keepYearsSchema, body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const { years } = body.document as { years: number };
	if (await setKeepYears(db(), studio.id, body.version, years)) return json({ version: body.version + 1 });
	const { version, keepYears } = await keepsFor(db(), studio.id);
	return json({ current: { version, document: { years: keepYears } } }, { status: 409 });
};
