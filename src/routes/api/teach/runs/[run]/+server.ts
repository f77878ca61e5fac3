import { dayInZone } from '$lib/core/calendar';
import { EVENT_LIMITS, eventFaults, scriptFaults, type Script } from '$lib/core/teach';
import type { Fault } from '$lib/core/validation';
import { TOKEN } from '$lib/server/accepted';
import { keepCountsOfClass } from '$lib/server/counts-of-class';
import { db } from '$lib/server/db';
import { found, ownerOfRequest, studioOfRequest } from '$lib/server/endpoint';
import { readJsonObject } from '$lib/server/requests';
import { learnFromPlan } from '$lib/server/teachers-pace';
import { addToTeaching, getTeaching, writeDownEnded, type PlacedEvent } from '$lib/server/teachings';
import { error, json } from '@sveltejs/kit';
import { array, boolean, mixed, number, object, string } from 'yup';
import { schemaFaults } from '$lib/core/validation';
import type { RequestHandler } from './$types';

const sentSchema = object({
	planId: string().min(1).max(24).required(),
	startedAt: number().integer().min(0).max(4e12).required(),
	/** What the device's clock shows. */
	at: number().integer().min(0).max(4e12).required(),
	/** The device says that the class is over. */
	over: boolean().required(),
	script: mixed().nullable().defined(),
	events: array()
		.of(
			object({
				place: number().integer().min(0).max(EVENT_LIMITS.events).required(),
				event: mixed().required()
			}).noUnknown()
		)
		.max(EVENT_LIMITS.events)
		.defined()
}).noUnknown();

/**
 * Takes what a device sends of a class that it leads: 204; 409 where the class is not known yet and its script must come
 * along; 422 with the faults; 404 where its plan is not of this studio.
 */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	if (!TOKEN.test(params.run)) error(404, 'There is nothing at this address.');
	const body = await readJsonObject(request);
	const sent = {
		planId: body.planId,
		startedAt: body.startedAt,
		// a device with the version before says nothing of its clock
		at: body.at ?? Date.now(),
		over: body.over ?? false,
		script: body.script ?? null,
		events: body.events
	};
	const faults = allFaults(sent);
	if (faults.length) return json({ faults }, { status: 422 });
	const added = await addToTeaching(db(), owner, params.run, {
		planId: sent.planId as string,
		startedAt: sent.startedAt as number,
		at: sent.at as number,
		script: sent.script as Script | null,
		events: sent.events as PlacedEvent[]
	});
	if (added === 'no class') error(409, 'This class is not known yet: its script must come along.');
	found(added === 'no plan' ? null : added);
	const { timeZone } = studioOfRequest(locals);
	if ((sent.events as PlacedEvent[]).some(({ event }) => event.do === 'count'))
		await keepCountsOfClass(db(), owner, params.run, timeZone);
	if (sent.over) {
		const planId = await writeDownEnded(db(), owner, params.run, dayInZone(new Date(), timeZone));
		if (planId) await learnFromPlan(db(), owner, planId);
	}
	return new Response(null, { status: 204 });
};

function allFaults(sent: { script: unknown; events: unknown }): Fault[] {
	const faults = schemaFaults(sentSchema, sent);
	if (faults.length) return faults;
	const inside = (path: string, found: Fault[]) =>
		found.map((fault) => ({ ...fault, path: [path, fault.path].filter(Boolean).join('.') }));
	return [
		...(sent.script === null ? [] : inside('script', scriptFaults(sent.script))),
		...(sent.events as PlacedEvent[]).flatMap(({ event }, i) => inside(`events[${i}]`, eventFaults(event)))
	];
}

/** A class that was led: its script and what happened in it, in order. 200, 404. */
export const GET: RequestHandler = async ({ params, locals }) =>
	json(found(await getTeaching(db(), studioOfRequest(locals).id, params.run)));
