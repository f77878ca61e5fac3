import { roomSheet } from '$lib/core/adapt';
import { dayInZone, dayName } from '$lib/core/calendar';
import { readPlan } from '$lib/core/checks';
import { styleOf } from '$lib/core/style';
import { db } from '$lib/server/db';
import { planSetting, settingOf } from '$lib/server/plan-setting';
import { found, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), studio.id, params.id, today));
	const { stored, group, shelf } = setting;
	const { context } = readPlan(stored.plan, settingOf(setting));
	return {
		id: stored.id,
		title: stored.plan.title,
		group,
		day: stored.taughtOn ? dayName(stored.taughtOn) : '',
		sheet: roomSheet(context.items, group, shelf.find, styleOf(stored.plan.style))
	};
};
