import { dayInZone, dayName } from '$lib/core/calendar';
import { groupToday } from '$lib/core/group';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { loadPlanContext, planInput } from '$lib/server/plan/plan-context';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const day = dayInZone(new Date(), studio.timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, day));
	const { stored, group } = context;
	return {
		id: stored.id,
		plan: stored.plan,
		group: groupToday(group, stored.plan.here),
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		...(await compute('classCard', planInput(context), request.signal))
	};
};
