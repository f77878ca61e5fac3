import { dayInZone, dayName } from '$lib/core/calendar';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { planSetting, planToRead } from '$lib/server/plan-setting';
import { found, ownerOfRequest, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), ownerOfRequest(locals), params.id, today));
	const { stored, group } = setting;
	return {
		id: stored.id,
		title: stored.plan.title,
		group,
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		sheet: await compute('room', planToRead(setting), request.signal)
	};
};
