import { dayInZone, dayName } from '$lib/core/calendar';
import { momentOf } from '$lib/core/series';
import type { TeachPack } from '$lib/core/teach';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { loadPlanContext, planInput } from '$lib/server/plan/plan-context';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A class made ready to teach, for a device to keep: 200, 404. */
export const GET: RequestHandler = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.plan, today));
	const { stored, group } = context;
	const slot = stored.plannedOn ? { on: stored.plannedOn, startsAt: stored.plan.startsAt } : null;
	const pack: TeachPack = {
		planId: stored.id,
		groupId: stored.groupId,
		group: group.name,
		room: group.room ?? '',
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		plannedStartAt: slot && momentOf(slot, studio.timeZone).getTime(),
		...(await compute('script', planInput(context), request.signal))
	};
	return json(pack);
};
