import { dayInZone, dayName } from '$lib/core/calendar';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { planSetting, planToRead } from '$lib/server/plan-setting';
import { found, ownerOfRequest, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const day = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), ownerOfRequest(locals), params.id, day));
	const { stored, group } = setting;
	return {
		id: stored.id,
		plan: stored.plan,
		group,
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		...(await compute('classCard', planToRead(setting), request.signal))
	};
};
