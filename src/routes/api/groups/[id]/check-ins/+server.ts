import { canHaveBeen, dayInZone, isIsoDay } from '$lib/core/calendar';
import { checkInFaults, type CheckIn } from '$lib/core/hip-tests';
import { once } from '$lib/server/http/accepted';
import { addCheckIn } from '$lib/server/group/check-ins';
import { db } from '$lib/server/db';
import { newRowId } from '$lib/server/db/ids';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { getGroup } from '$lib/server/group/groups';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/**
 * Keeps a check-in of a group, or of one of its people (`student`), taken on a day (`on`; left out: today): 201 with an id
 * and its day, 422 with the faults, 404 where there is no such group or person. A day that cannot be is put right to today, and
 * the one that was said is kept beside it.
 */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const group = orNotFound(await getGroup(db(), owner.studioId, params.id));
	const token = tokenOf(request.headers.get('idempotency-key'));
	const { document, student = null, on } = await readJsonObject(request);
	const faults = checkInFaults(document);
	const today = dayInZone(new Date(), studioOfRequest(locals).timeZone);
	const day = on ?? today;
	if (typeof day !== 'string' || !isIsoDay(day))
		faults.push({ path: 'on', message: 'this is not a day of the calendar' });
	if (student !== null && typeof student !== 'string')
		faults.push({ path: 'student', message: 'a person is named by an id' });
	const checkIn = document as CheckIn;
	if (!faults.length && (checkIn.kind === 'readings') !== (student !== null))
		faults.push({ path: 'student', message: 'readings are of one person, counts of a whole group' });
	if (faults.length) return json({ faults }, { status: 422 });
	const said = day as string;
	const takenOn = canHaveBeen(said, today) ? said : today;
	const deviceOn = takenOn === said ? null : said;
	const id = await once(db(), owner.studioId, token, [group.id, document, student, on ?? null], (tx) =>
		addCheckIn(tx, owner, group.id, student as string | null, takenOn, checkIn, newRowId(), deviceOn)
	);
	return json({ id: orNotFound(id), on: takenOn, said: deviceOn }, { status: 201 });
};
