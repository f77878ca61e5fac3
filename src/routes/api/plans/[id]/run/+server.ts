import { dayInZone } from '$lib/core/calendar';
import { RUN_NOTES, runNotesFaults, type RunNotes } from '$lib/core/run';
import { upTo } from '$lib/core/validation';
import { saveOnce } from '$lib/server/accepted';
import { db } from '$lib/server/db';
import { readJsonObject, versionOf } from '$lib/server/requests';
import { removeRunOfPlan, saveRunOfPlan } from '$lib/server/runs';
import { learnFromPlan } from '$lib/server/teachers-pace';
import { ownerOfRequest, readSave, removalAnswer, saveAnswer, studioOfRequest } from '$lib/server/endpoint';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/**
 * Writes down how the class of a plan went, for the first time from version 0: 200 with the version, 409 with what is
 * written down, 422 with the faults, 404.
 */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const owner = ownerOfRequest(locals);
	const body = await readSave(request, upTo(RUN_NOTES));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = runNotesFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const today = dayInZone(new Date(), studio.timeZone);
	const saved = await saveOnce(db(), studio.id, body.token, (tx) =>
		saveRunOfPlan(tx, owner, params.id, body.version, body.document as RunNotes, today)
	);
	if (saved.kind === 'saved') await learnFromPlan(db(), owner, params.id);
	return saveAnswer(saved, body.document, ({ version, run }) => {
		const { planId: _plan, on: _on, startsAt: _at, ...document } = run;
		return { version, document };
	});
};

/** Takes it back, in the version that was looked at: 204, 409, 404. */
export const DELETE: RequestHandler = async ({ params, request, locals }) => {
	const version = versionOf(String((await readJsonObject(request)).version));
	return removalAnswer(await removeRunOfPlan(db(), studioOfRequest(locals).id, params.id, version));
};
