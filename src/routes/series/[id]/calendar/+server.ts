import { db } from '$lib/server/db';
import { CALENDAR_HEADERS, seriesCalendar } from '$lib/server/calendar-file';
import { found, studioOfRequest } from '$lib/server/scope';
import { seriesSetting } from '$lib/server/series-setting';
import type { RequestHandler } from './$types';

/** The dates of a series as an iCalendar file to take away. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const setting = found(await seriesSetting(db(), studio.id, params.id));
	const text = seriesCalendar(setting, studio.name, new Date());
	return new Response(text, {
		headers: { ...CALENDAR_HEADERS, 'content-disposition': 'attachment; filename="series.ics"' }
	});
};
