import { USUAL_PACE } from '$lib/core/pace';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { CALENDAR_HEADERS, seriesCalendar } from '$lib/server/http/calendar-file';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { loadSeriesContext } from '$lib/server/series/series-context';
import type { RequestHandler } from './$types';

/** The dates of a series as an iCalendar file to take away. */
export const GET: RequestHandler = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	// dates and rungs do not depend on the pace
	const context = orNotFound(await loadSeriesContext(db(), studio.id, params.id, USUAL_PACE));
	const text = await seriesCalendar(context, studio.name, new Date(), (input) =>
		compute('dates', input, request.signal)
	);
	return new Response(text, {
		headers: { ...CALENDAR_HEADERS, 'content-disposition': 'attachment; filename="series.ics"' }
	});
};
