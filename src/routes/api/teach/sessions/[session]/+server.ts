import { dayInZone, momentWords } from '$lib/core/calendar';
import { EVENT_LIMITS, type SessionEvent, type Script } from '$lib/core/teach';
import { schemaFaults, type Fault } from '$lib/core/validation';
import { TOKEN } from '$lib/server/http/accepted';
import { workFor } from '$lib/server/compute/pool';
import { keepCountsOfClass } from '$lib/server/plan/counts-of-class';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { readJsonObject } from '$lib/server/http/requests';
import { learnFromPlan } from '$lib/server/record/teachers-pace';
import {
	addToSession,
	beganOf,
	getTeachingSession,
	othersOnClass,
	setOver,
	writeDownEnded,
	type PlacedEvent
} from '$lib/server/record/sessions';
import { error, json } from '@sveltejs/kit';
import { array, boolean, mixed, number, object, string } from 'yup';
import type { RequestHandler } from './$types';

/** The last moment that a database can hold: the end of the year 9999. */
const LAST_MOMENT = 253_402_300_799_999;

const sentSchema = object({
	planId: string().min(1).max(24).required(),
	groupId: string().min(1).max(24).nullable().defined(),
	startedAt: number().integer().min(0).max(LAST_MOMENT).required(),
	/** Time of the device's clock. */
	at: number().integer().min(0).max(LAST_MOMENT).required(),
	/** The device says that the class is over. */
	over: boolean().required(),
	script: mixed().nullable().defined(),
	events: array().of(mixed().required()).max(EVENT_LIMITS.eventsAtOnce).defined()
}).noUnknown();
/** A script and as many events as are sent at once. */
const MOST_PARTS = 300_000;
const placedSchema = object({
	place: number().integer().min(0).max(EVENT_LIMITS.events).required(),
	event: mixed().required()
}).noUnknown();

/** The server's answer to the device that leads. */
export interface TeachAnswer {
	/** Events that were not taken, each with its place in what was sent; the others are kept. */
	refused: { index: number; faults: Fault[] }[];
	/** When it began by the server's clock, in words, where the device's clock cannot be right; else null. */
	clock: string | null;
	/** When other devices of the studio began that lead this class too, in words. */
	others: string[];
}

/**
 * Takes what a device sends of a class that it leads: 200 with a {@link TeachAnswer}; 409 where the class is not known yet and
 * its script must come along; 422 with the faults where nothing of it can be read; 404 where its plan is not of this studio.
 */
export const POST: RequestHandler = async ({ params, request, locals }) => {
	const owner = ownerOfRequest(locals);
	const { timeZone } = studioOfRequest(locals);
	if (!TOKEN.test(params.session)) error(404, 'There is nothing at this address.');
	const body = await readJsonObject(request);
	const sent = {
		planId: body.planId,
		// a device with an earlier version says nothing of its group and its clock
		groupId: body.groupId ?? null,
		startedAt: body.startedAt,
		at: body.at ?? Date.now(),
		over: body.over ?? false,
		script: body.script ?? null,
		events: body.events
	};
	const faults = schemaFaults(sentSchema, sent, MOST_PARTS);
	if (faults.length) return json({ faults }, { status: 422 });
	const work = workFor(request);
	const { good, refused, script } = await sifted(sent.script, sent.events as unknown[], work);
	if (script.length) return json({ faults: script }, { status: 422 });
	const added = await addToSession(db(), owner, params.session, {
		planId: sent.planId as string,
		groupId: sent.groupId as string | null,
		startedAt: sent.startedAt as number,
		at: sent.at as number,
		script: sent.script as Script | null,
		events: good
	});
	if (added.kind === 'no class') error(409, 'This class is not known yet: its script must come along.');
	if (added.kind === 'too many') error(422, `A class may have ${EVENT_LIMITS.events} events.`);
	orNotFound(added.kind === 'no plan' ? null : added);
	await setOver(db(), owner.studioId, params.session, sent.over as boolean);
	if (good.some(({ event }) => event.do === 'count'))
		await keepCountsOfClass(db(), owner, params.session, timeZone, work);
	const now = new Date();
	if (sent.over) {
		const planId = await writeDownEnded(db(), owner, params.session, dayInZone(now, timeZone), work);
		if (planId) await learnFromPlan(db(), owner, planId, work);
	}
	const others = sent.over
		? []
		: await othersOnClass(db(), owner.studioId, sent.planId as string, params.session, now);
	const led = await clockOf(owner.studioId, params.session);
	const received: TeachAnswer = {
		refused,
		clock: led && momentWords(led, timeZone),
		others: others.map((began) => momentWords(began, timeZone))
	};
	return json(received);
};

/** The events that can be kept, and what is wrong with the others and with the script. */
async function sifted(script: unknown, events: readonly unknown[], work: ReturnType<typeof workFor>) {
	const placed = events.map((one) => schemaFaults(placedSchema, one));
	const faults = await work('sentFaults', {
		script,
		events: events.map((one, i) => (placed[i]!.length ? null : (one as PlacedEvent).event))
	});
	const wrong = events.map((_one, i) => [...placed[i]!, ...(placed[i]!.length ? [] : faults.events[i]!)]);
	return {
		script: faults.script,
		good: events.filter((_one, i) => wrong[i]!.length === 0) as { place: number; event: SessionEvent }[],
		refused: wrong.flatMap((faults, index) => (faults.length ? { index, faults } : []))
	};
}

/** When a class began by the server's clock, where that of its device was put right; else null. */
async function clockOf(studioId: string, id: string): Promise<Date | null> {
	const began = await beganOf(db(), studioId, id);
	return began?.deviceStartedAt ? began.startedAt : null;
}

/** A class that was led: its script and what happened in it, in order. 200, 404. */
export const GET: RequestHandler = async ({ params, locals }) =>
	json(orNotFound(await getTeachingSession(db(), studioOfRequest(locals).id, params.session)));
