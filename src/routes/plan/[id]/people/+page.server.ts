import { dayInZone, dayName } from '$lib/core/calendar';
import { groupToday } from '$lib/core/group';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { loadPlanContext, planInput } from '$lib/server/plan/plan-context';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request, url }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, today));
	const { stored, group } = context;
	const lived = await compute('lived', planInput(context), request.signal);
	return {
		id: stored.id,
		title: stored.plan.title,
		groupName: group.name,
		size: groupToday(group, stored.plan.here).size,
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		lived,
		shown: lived.find(({ id }) => id === url.searchParams.get('who')) ?? lived[0] ?? null
	};
};
