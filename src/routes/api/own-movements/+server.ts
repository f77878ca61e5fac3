import type { Movement } from '$lib/core/movement';
import { db } from '$lib/server/db';
import { ownFaults, ownSlug } from '$lib/server/own-movements';
import { studioOfRequest } from '$lib/server/scope';
import { createOwn, studioShelf } from '$lib/server/shelves';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Adds an own movement: 201 with the slug it was given, 422 with the faults. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const body = (await request.json().catch(() => null)) as { document?: Movement } | null;
	const today = await studioShelf(db(), studio.id);
	const slug = ownSlug(String(body?.document?.english ?? ''), (s) => today.fingerprints.has(s));
	const movement = { ...body?.document, slug } as Movement;
	const faults = ownFaults(movement, today);
	if (faults.length) return json({ faults }, { status: 422 });
	await createOwn(db(), studio.id, movement);
	return json({ slug }, { status: 201 });
};
