import { dayName } from '$lib/core/calendar';
import { errorsOfTeacher, groupResults, studentResults, type Dated } from '$lib/core/measure';
import { HIP_TESTS } from '$lib/core/hip-tests';
import { seriesSummary } from '$lib/core/series';
import { groupCheckIns, readingsOfTeacher, studentCheckIns } from '$lib/server/group/check-ins';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { getGroup } from '$lib/server/group/groups';
import { getSeries } from '$lib/server/series/series';
import { listStudents } from '$lib/server/group/students';
import type { PageServerLoad } from './$types';

/** Loads the results of a series for the group to read; names only where the teacher asks for them (`?names`). */
export const load: PageServerLoad = async ({ params, locals, url }) => {
	const owner = ownerOfRequest(locals);
	const stored = orNotFound(await getSeries(db(), studioOfRequest(locals).id, params.id));
	const group = orNotFound(await getGroup(db(), owner.studioId, stored.groupId));
	const { series, runs } = stored.planned;
	const account = seriesSummary(series, runs);
	const within = ({ on }: Dated) => on >= account.from && on <= account.to;
	const withNames = url.searchParams.has('names');
	const [counted, measured, students] = await Promise.all([
		groupCheckIns(db(), owner, group.id),
		withNames ? studentCheckIns(db(), owner, group.id) : [],
		withNames ? listStudents(db(), owner, group.id) : []
	]);
	const errors = withNames ? errorsOfTeacher(await readingsOfTeacher(db(), owner)) : {};
	const results = groupResults(counted.filter(within));
	return {
		id: params.id,
		title: series.title,
		goal: series.goal,
		group: group.group.name,
		groupId: group.id,
		test: HIP_TESTS[series.retest.test].name,
		testId: series.retest.test,
		account: { ...account, from: dayName(account.from), to: dayName(account.to) },
		changed: results.filter(({ change }) => change?.isTold),
		unchanged: results.filter(({ change }) => change && !change.isTold),
		once: results.filter(({ change }) => !change).map(({ name }) => name),
		withNames,
		people: students
			.map(({ id, student: { name } }) => ({
				id,
				name,
				results: studentResults(
					measured.filter((one) => one.studentId === id && within(one)),
					errors
				)
			}))
			.filter(({ results: own }) => own.length > 0)
	};
};
