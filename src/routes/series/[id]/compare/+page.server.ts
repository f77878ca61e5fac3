import { compute } from '$lib/server/compute/pool';
import { paceOfTeacher } from '$lib/server/record/teachers-pace';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { seriesTitles } from '$lib/server/series/series';
import { loadSeriesContext, seriesInput } from '$lib/server/series/series-context';
import type { PageServerLoad } from './$types';

/** Two series side by side: the one at this address, and another one (`?with=`). */
export const load: PageServerLoad = async ({ params, locals, url, request }) => {
	const studio = studioOfRequest(locals);
	const others = (await seriesTitles(db(), studio.id)).filter(({ id }) => id !== params.id);
	const withId = url.searchParams.get('with') ?? others[0]?.id ?? '';
	const pace = await paceOfTeacher(db(), ownerOfRequest(locals).teacherId);
	const here = orNotFound(await loadSeriesContext(db(), studio.id, params.id, pace));
	const there = orNotFound(await loadSeriesContext(db(), studio.id, withId, pace));
	const input = { a: seriesInput(here), b: seriesInput(there) };
	const compared = await compute('compareTwoSeries', input, request.signal);
	const side = (s: typeof here, ladders: typeof compared.a) => ({
		id: s.stored.id,
		title: s.stored.planned.series.title,
		group: s.group.group.name,
		ladders
	});
	return {
		others: others.map(({ id, title }) => ({ id, title })),
		a: side(here, compared.a),
		b: side(there, compared.b),
		lines: compared.lines
	};
};
