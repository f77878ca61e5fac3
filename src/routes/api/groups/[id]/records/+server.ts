import { isIsoDay } from '$lib/core/calendar';
import { withMentions } from '$lib/core/people';
import { CLASS_NOTES, classNotesFaults, type ClassNotes } from '$lib/core/record';
import { oneLine, schemaFaults, timeOfDay, upTo } from '$lib/core/validation';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest } from '$lib/server/http/endpoint';
import { getGroup } from '$lib/server/group/groups';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { addRecordWithoutPlan } from '$lib/server/record/records';
import { mentionable } from '$lib/server/group/students';
import { json } from '@sveltejs/kit';
import { object, string } from 'yup';
import type { RequestHandler } from './$types';

const placeSchema = object({
	title: oneLine(120).required('the class needs a name'),
	on: string()
		.required()
		.test('day', 'this is not a day of the calendar', (day) => isIsoDay(day)),
	startsAt: timeOfDay()
}).noUnknown();

/** Writes down a class that was taught without a plan, on any day: 201 with an id, 422 with the faults, 404. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const group = orNotFound(await getGroup(db(), owner.studioId, params.id));
	const token = tokenOf(request.headers.get('idempotency-key'));
	const { document: sent, ...place } = await readJsonObject(request);
	const read = upTo(CLASS_NOTES)(sent);
	const document = read.ok ? read.value : null;
	const faults = [
		...schemaFaults(placeSchema, place),
		...(read.ok ? classNotesFaults(document) : read.faults)
	];
	if (faults.length) return json({ faults }, { status: 422 });
	const notes = document as ClassNotes;
	const people = await mentionable(db(), owner, group.id);
	const id = await once(db(), owner.studioId, token, [group.id, place, sent], (tx) =>
		addRecordWithoutPlan(tx, owner, group.id, place as { title: string; on: string; startsAt: string }, {
			...notes,
			note: withMentions(notes.note, people)
		})
	);
	return json({ id }, { status: 201 });
};
