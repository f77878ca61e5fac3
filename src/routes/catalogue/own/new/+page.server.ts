import { db } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/scope';
import { studioShelf } from '$lib/server/shelves';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { shelf, own } = await studioShelf(db(), studioOfRequest(locals).id);
	return {
		from: shelf.find(url.searchParams.get('from') ?? '') ?? null,
		own: own.map((o) => o.movement)
	};
};
