import { db } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { catalogue, own } = await studioCatalogue(db(), studioOfRequest(locals).id);
	return {
		from: catalogue.find(url.searchParams.get('from') ?? '') ?? null,
		own: own.map((o) => o.movement)
	};
};
