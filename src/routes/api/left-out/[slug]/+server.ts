import { db } from '$lib/server/db';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { setLeftOut, studioCatalogue } from '$lib/server/studio/studio-catalogue';
import type { RequestHandler } from './$types';

const set =
	(out: boolean): RequestHandler =>
	async ({ params, locals }) => {
		const studio = studioOfRequest(locals);
		const { contentHashes } = await studioCatalogue(db(), studio.id);
		orNotFound(contentHashes.has(params.slug as string) || null);
		await setLeftOut(db(), studio.id, params.slug as string, out);
		return new Response(null, { status: 204 });
	};

/** Leaves a movement out of planning without deleting it; saying it twice is saying it once. */
export const PUT = set(true);
/** Offers it again. */
export const DELETE = set(false);
