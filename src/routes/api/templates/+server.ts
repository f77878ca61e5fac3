import { db } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/scope';
import { readSentPlan } from '$lib/server/sent-plan';
import { createTemplate } from '$lib/server/templates';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Keeps a class as a template: 201 with its id, 422 with the faults. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = (await request.json().catch(() => null)) as Record<string, unknown> | null;
	const sent = await readSentPlan(db(), studio.id, body);
	if ('faults' in sent) return json(sent, { status: 422 });
	return json({ id: await createTemplate(db(), studio.id, sent.plan) }, { status: 201 });
};
