import { dayInZone, dayName } from '$lib/core/calendar';
import { satWords } from '$lib/core/run';
import { isTaught, notesOfTally } from '$lib/core/teach';
import { ledScores } from '$lib/core/view-models';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { found, ownerOfRequest, studioOfRequest } from '$lib/server/endpoint';
import { loadPlanContext, planInput } from '$lib/server/plan-context';
import { runOfPlan } from '$lib/server/runs';
import { ledFromPlan } from '$lib/server/teachings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const setting = found(await loadPlanContext(db(), ownerOfRequest(locals), params.id, today));
	const { stored, groupId, group } = setting;
	const [run, led, { asPlanned, movements }] = await Promise.all([
		runOfPlan(db(), studio.id, stored.id),
		ledFromPlan(db(), studio.id, stored.id),
		compute('outcome', planInput(setting), request.signal)
	]);
	const last = led.findLast(({ tally }) => isTaught(tally));
	return {
		id: stored.id,
		title: stored.plan.title,
		groupId,
		group: group.name,
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		startsAt: stored.plan.startsAt,
		timeZone: studio.timeZone,
		run: run && { version: run.version, notes: run.run },
		sat: run ? satWords(run.run, (slug) => movements.find((one) => one.slug === slug)?.english ?? slug) : [],
		asPlanned,
		/** Filled in from what was led, where it was. */
		asLed: last ? { ...notesOfTally(last.tally, stored.plan), effort: asPlanned.effort } : null,
		movements,
		led: led.map(({ stored: { id, script, events }, tally }) => ({
			id,
			tally,
			scores: ledScores(script, events, setting.catalogue.find)
		}))
	};
};
