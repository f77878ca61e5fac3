import { db } from '$lib/server/db';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { getOwn, studioCatalogue } from '$lib/server/studio/studio-catalogue';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const stored = orNotFound(await getOwn(db(), studio.id, params.slug));
	const { own } = await studioCatalogue(db(), studio.id);
	return { stored, own: own.map((o) => o.movement) };
};
