import { dayInZone, dayName } from '$lib/core/calendar';
import { feedbackText } from '$lib/core/record';
import { isTaught, notesOfTally } from '$lib/core/teach';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { loadPlanContext, planInput, type StoredPlanContext } from '$lib/server/plan/plan-context';
import { recordOfPlan } from '$lib/server/record/records';
import { mentionable, readable } from '$lib/server/group/students';
import { movementsFor } from '$lib/server/studio/studio-catalogue';
import { ledOfPlan } from '$lib/server/record/sessions';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, today));
	const { stored, groupId, group } = context;
	const [run, led, { asPlanned, movements }] = await Promise.all([
		recordOfPlan(db(), studio.id, stored.id),
		shownLed(studio.id, context, request),
		compute('outcome', planInput(context), request.signal)
	]);
	const last = led.findLast(({ tally }) => isTaught(tally));
	const people = await mentionable(db(), ownerOfRequest(locals), groupId);
	const on = run ? run.run.on : null;
	const ledOn = last ? dayInZone(last.startedAt, studio.timeZone) : null;
	return {
		id: stored.id,
		title: stored.plan.title,
		groupId,
		group: group.name,
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		startsAt: stored.plan.startsAt,
		timeZone: studio.timeZone,
		run: run && { version: run.version, notes: readable(run.run, people) },
		/** Whom the notes can mention. */
		people: people.map(({ name }) => name),
		/** It was led on another day than it is written down for. */
		otherDay:
			on !== null && ledOn !== null && on !== ledOn && run!.ledBy
				? { on, ledOn, words: dayName(on), ledWords: dayName(ledOn) }
				: null,
		/** It was begun with a device, but not led to its end: how long it took is not known. */
		isMinutesUnknown: led.length > 0 && !last && run === null,
		sat: run
			? feedbackText(run.run, (slug) => movements.find((one) => one.slug === slug)?.english ?? slug)
			: [],
		asPlanned,
		/** Filled in from what was led, where it was. */
		asLed: last ? notesOfTally(last.tally, stored.plan) : null,
		movements,
		led: led.map(({ id, startedAt, deviceStartedAt, tally, scores }) => ({
			id,
			startedAt,
			isClockPutRight: deviceStartedAt !== null,
			tally,
			scores
		}))
	};
};

/** The classes that were led from the plan, planned and real, the oldest first. */
async function shownLed(studioId: string, context: StoredPlanContext, request: Request) {
	const { stored, current, moved } = context;
	const movements = movementsFor(current, moved);
	const all = await ledOfPlan(db(), studioId, stored.id);
	return Promise.all(
		all.map(async ({ id, startedAt, deviceStartedAt, script, events }) => ({
			id,
			startedAt,
			deviceStartedAt,
			...(await compute('shownLed', { script, events, movements }, request.signal))
		}))
	);
}
