import { findMovement } from '$lib/catalogue';
import { writePlanFile } from '$lib/core/formats';
import { slugsOf } from '$lib/core/plan';
import { dayInZone } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { fileName } from '$lib/server/http/file-name';
import { loadPlanContext } from '$lib/server/plan/plan-context';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import type { RequestHandler } from './$types';

/** The plan in the open format, with the group it was made for and the movements that do not ship with the app. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const day = dayInZone(new Date(), studio.timeZone);
	const { stored, group, catalogue } = orNotFound(
		await loadPlanContext(db(), ownerOfRequest(locals), params.id, day)
	);
	const { plan } = stored;
	const used = slugsOf(plan);
	const movements = used.flatMap((slug) => {
		const movement = catalogue.find(slug);
		return movement && movement !== findMovement(slug) ? [movement] : [];
	});
	const name = fileName(plan.title, 'class');
	return new Response(writePlanFile({ plan, group, movements }), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': `attachment; filename="${name}.plan.json"`
		}
	});
};
