import { canHaveBeen, dayInZone, isIsoDay } from '$lib/core/calendar';
import { CLASS_NOTES, classNotesFaults, type ClassNotes } from '$lib/core/record';
import { withMentions, type Mentionable } from '$lib/core/people';
import { upTo } from '$lib/core/validation';
import { workFor } from '$lib/server/compute/pool';
import { saveOnce } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import type { Db } from '$lib/server/db/open';
import { readJsonObject, versionOf } from '$lib/server/http/requests';
import {
	groupOfTaught,
	removeRecordOfPlan,
	saveRecordOfPlan,
	setTaughtDay
} from '$lib/server/record/records';
import { mentionable, readable } from '$lib/server/group/students';
import { learnFromPlan } from '$lib/server/record/teachers-pace';
import {
	ownerOfRequest,
	readSave,
	removalAnswer,
	saveAnswer,
	studioOfRequest
} from '$lib/server/http/endpoint';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';
import type { Owner } from '$lib/server/http/owner';

/**
 * Writes down how the class of a plan went, for the first time from version 0: 200 with the version, 409 with what is
 * written down, 422 with the faults, 404.
 */
export const PUT: RequestHandler = async ({ params, request, locals }) => {
	const studio = studioOfRequest(locals);
	const owner = ownerOfRequest(locals);
	const body = await readSave(request, upTo(CLASS_NOTES));
	if ('faults' in body) return json(body, { status: 422 });
	const faults = classNotesFaults(body.document);
	if (faults.length) return json({ faults }, { status: 422 });
	const today = dayInZone(new Date(), studio.timeZone);
	const sent = body.document as ClassNotes;
	const people = await peopleOfPlan(db(), owner, params.id);
	const notes = { ...sent, note: withMentions(sent.note, people) };
	const saved = await saveOnce(db(), studio.id, body.token, [params.id, body], (tx) =>
		saveRecordOfPlan(tx, owner, params.id, body.version, notes, today)
	);
	if (saved.kind === 'saved') await learnFromPlan(db(), owner, params.id, workFor(request));
	return saveAnswer(saved, body.document, ({ version, run }) => {
		const { planId: _plan, on: _on, startsAt: _at, ...document } = run;
		return { version, document: readable(document, people) };
	});
};

/** Says on which day it was really taught: 204, 409, 422, 404. */
export const PATCH: RequestHandler = async ({ params, request, locals }) => {
	const { version, on } = await readJsonObject(request);
	const { id, timeZone } = studioOfRequest(locals);
	if (typeof on !== 'string' || !isIsoDay(on) || !canHaveBeen(on, dayInZone(new Date(), timeZone)))
		return json({ faults: [{ path: 'on', message: 'on this day it cannot have been' }] }, { status: 422 });
	return removalAnswer(await setTaughtDay(db(), id, params.id, versionOf(version), on));
};

/** Takes it back, in the version that was looked at: 204, 409, 404. */
export const DELETE: RequestHandler = async ({ params, request, locals }) => {
	const version = versionOf((await readJsonObject(request)).version);
	return removalAnswer(await removeRecordOfPlan(db(), studioOfRequest(locals).id, params.id, version));
};

/** Whom the teacher may mention in what is written down of a plan's class. */
async function peopleOfPlan(database: Db, owner: Owner, planId: string): Promise<Mentionable[]> {
	const groupId = await groupOfTaught(database, owner.studioId, planId);
	return groupId === null ? [] : mentionable(database, owner, groupId);
}
