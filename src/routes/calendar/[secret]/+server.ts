import { USUAL_PACE } from '$lib/core/pace';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { CALENDAR_HEADERS, seriesCalendar } from '$lib/server/http/calendar-file';
import { orNotFound } from '$lib/server/http/endpoint';
import { seriesOfLink } from '$lib/server/series/link';
import { loadSeriesContext } from '$lib/server/series/series-context';
import type { RequestHandler } from './$types';

/** Returns the calendar for subscribers, who have only the secret: dates, titles and rungs, and nothing about the people. */
export const GET: RequestHandler = async ({ params, request }) => {
	const { id, studioId, studioName } = orNotFound(
		await seriesOfLink(db(), params.secret.replace(/\.ics$/, ''))
	);
	// dates and rungs do not depend on the pace
	const context = orNotFound(await loadSeriesContext(db(), studioId, id, USUAL_PACE));
	const text = await seriesCalendar(context, studioName, new Date(), (input) =>
		compute('dates', input, request.signal)
	);
	return new Response(text, { headers: { ...CALENDAR_HEADERS, 'cache-control': 'no-store' } });
};
