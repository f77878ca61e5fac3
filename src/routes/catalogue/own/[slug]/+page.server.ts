import { db } from '$lib/server/db';
import { found, studioOfRequest } from '$lib/server/scope';
import { getOwn, studioShelf } from '$lib/server/shelves';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const stored = found(await getOwn(db(), studio.id, params.slug));
	const { own } = await studioShelf(db(), studio.id);
	return { stored, own: own.map((o) => o.movement) };
};
