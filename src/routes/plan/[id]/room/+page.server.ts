import { dayInZone, dayName } from '$lib/core/calendar';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { planSetting, planToRead } from '$lib/server/plan-setting';
import { found, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), studio.id, params.id, today));
	const { stored, group } = setting;
	return {
		id: stored.id,
		title: stored.plan.title,
		group,
		day: stored.taughtOn ? dayName(stored.taughtOn) : '',
		sheet: await compute('room', planToRead(setting), request.signal)
	};
};
