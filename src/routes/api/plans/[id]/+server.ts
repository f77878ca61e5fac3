import { type ClassPlan, PLAN, planFaults } from '$lib/core/plan';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { getPlan, savePlan } from '$lib/server/plan/plans';
import { orNotFound, readSave, saveAnswer, studioOfRequest } from '$lib/server/http/endpoint';
import {
	outdatedMovements,
	catalogueWith,
	studioCatalogue,
	withStates
} from '$lib/server/studio/studio-catalogue';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Saves over the version that the change began from: 200, 409 with what is stored, 422 with the faults, 404. */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = await readSave(request, upTo(PLAN));
	if ('faults' in body) return json(body, { status: 422 });
	const stored = orNotFound(await getPlan(db(), studio.id, params.id));
	const today = await studioCatalogue(db(), studio.id);
	const [moved = []] = await outdatedMovements(db(), studio.id, today, [stored.plan]);
	const faults = planFaults(body.document, catalogueWith(today, moved).find);
	if (faults.length) return json({ faults }, { status: 422 });
	const document = withStates(body.document as ClassPlan, stored.plan, today);
	const saved = await saveOnce(db(), studio.id, body.token, [params.id, body], (tx) =>
		savePlan(tx, studio.id, params.id, body.version, document)
	);
	return saveAnswer(saved, document, ({ version, plan }) => ({ version, document: plan }));
};
