import { MOVEMENT, type Movement } from '$lib/core/movement';
import { broughtUp } from '$lib/core/validation';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { ownFaults, ownSlug } from '$lib/server/studio/own-movements';
import { readJsonObject, tokenOf } from '$lib/server/http/requests';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { createOwn, studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Adds an own movement: 201 with the slug it was given, 422 with the faults. */
export const POST: RequestHandler = async ({ request, locals }) => {
	const studio = studioOfRequest(locals);
	const token = tokenOf(request.headers.get('idempotency-key'));
	const body = await readJsonObject(request);
	const up = broughtUp(MOVEMENT, body.document);
	if (!up.ok) return json({ faults: up.faults }, { status: 422 });
	const document = up.value;
	const english = (document as { english?: unknown } | null | undefined)?.english;
	const slugOf = (taken: (slug: string) => boolean) =>
		ownSlug(typeof english === 'string' ? english : '', taken);
	const today = await studioCatalogue(db(), studio.id);
	const movement = {
		...(document as Movement | undefined),
		slug: slugOf((s) => today.contentHashes.has(s))
	} as Movement;
	const faults = ownFaults(movement, today);
	if (faults.length) return json({ faults }, { status: 422 });
	const slug = await once(db(), studio.id, token, body, (tx) => createOwn(tx, studio.id, movement, slugOf));
	return json({ slug }, { status: 201 });
};
