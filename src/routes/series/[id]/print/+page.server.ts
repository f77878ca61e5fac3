import { HIP_TESTS } from '$lib/core/hip-tests';
import { paceOfTeacher } from '$lib/server/record/teachers-pace';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { loadSeriesContext, seriesInput } from '$lib/server/series/series-context';
import type { PageServerLoad } from './$types';

/** One page for the studio wall: dates, themes and ladders, and nothing of the people. */
export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const pace = await paceOfTeacher(db(), ownerOfRequest(locals).teacherId);
	const context = orNotFound(await loadSeriesContext(db(), studio.id, params.id, pace));
	const { series } = context.stored.planned;
	return {
		id: context.stored.id,
		title: series.title,
		goal: series.goal,
		group: context.group.group.name,
		room: context.group.group.room,
		test: HIP_TESTS[series.retest.test].name,
		...(await compute('wall', seriesInput(context), request.signal))
	};
};
