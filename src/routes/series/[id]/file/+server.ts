import { USUAL_PACE } from '$lib/core/pace';
import { findMovement } from '$lib/catalogue';
import { writeSeriesFile } from '$lib/core/formats';
import { slugsOfSeries } from '$lib/core/series';
import { db } from '$lib/server/db';
import { fileName } from '$lib/server/http/file-name';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { loadSeriesContext } from '$lib/server/series/series-context';
import { catalogueWith } from '$lib/server/studio/studio-catalogue';
import type { RequestHandler } from './$types';

/** The series in the open format, with its plans, the group, and the movements that do not ship with the app. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const { stored, group, current, moved } = orNotFound(
		await loadSeriesContext(db(), studio.id, params.id, USUAL_PACE)
	);
	const { find } = catalogueWith(current, moved);
	const movements = slugsOfSeries(stored.planned).flatMap((slug) => {
		const movement = find(slug);
		return movement && movement !== findMovement(slug) ? [movement] : [];
	});
	const name = fileName(stored.planned.series.title, 'series');
	return new Response(writeSeriesFile({ planned: stored.planned, group: group.group, movements }), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}.series.json"`
		}
	});
};
