import { db } from '$lib/server/db';
import { orNotFound, studioOfRequest } from '$lib/server/http/endpoint';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const { catalogue, leftOut, own } = await studioCatalogue(db(), studio.id);
	const movement = orNotFound(catalogue.find(params.slug) ?? null);
	const named = [
		...new Set([
			...movement.prerequisites,
			...movement.preparations,
			...movement.counters,
			...movement.kin,
			...movement.cautions.map((c) => c.instead),
			...(movement.withoutKit && 'instead' in movement.withoutKit ? [movement.withoutKit.instead] : [])
		])
	];
	return {
		movement,
		own: own.some((o) => o.movement.slug === params.slug),
		leftOut: leftOut.includes(params.slug),
		/** Names of the movements that it names. */
		names: Object.fromEntries(named.map((slug) => [slug, catalogue.find(slug)?.english ?? slug]))
	};
};
