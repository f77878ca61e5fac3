import { dayInZone } from '$lib/core/calendar';
import { errorsOfTeacher, groupResults, offersOf, studentResults, testToRepeat } from '$lib/core/measure';
import { TEST_IDS } from '$lib/core/hip-tests';
import {
	groupCheckIns,
	keepsFor,
	lastKept,
	readingsOfTeacher,
	studentCheckIns
} from '$lib/server/group/check-ins';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { getGroup } from '$lib/server/group/groups';
import { listStudents } from '$lib/server/group/students';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const owner = ownerOfRequest(locals);
	const { timeZone } = studioOfRequest(locals);
	const stored = orNotFound(await getGroup(db(), owner.studioId, params.id));
	const [counted, measured, students, keeps, last] = await Promise.all([
		groupCheckIns(db(), owner, stored.id),
		studentCheckIns(db(), owner, stored.id),
		listStudents(db(), owner, stored.id),
		keepsFor(db(), owner.studioId),
		lastKept(db(), owner, stored.id)
	]);
	const results = groupResults(counted);
	const asked = TEST_IDS.find((id) => id === url.searchParams.get('test'));
	const errors = errorsOfTeacher(await readingsOfTeacher(db(), owner));
	return {
		stored,
		today: dayInZone(new Date(), timeZone),
		results,
		offers: offersOf(results, stored.group),
		/** The test to begin with, and why where it was not asked for. */
		next: asked ? { test: asked, why: null } : testToRepeat(results),
		students: students.map(({ id, version, student: { name, cautions } }) => ({
			id,
			version,
			name,
			cautions,
			results: studentResults(
				measured.filter(({ studentId }) => studentId === id),
				errors
			)
		})),
		last,
		keeps
	};
};
