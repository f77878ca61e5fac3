import { roomSheet } from '$lib/core/adapt';
import { dayInZone, dayName } from '$lib/core/calendar';
import { readPlan } from '$lib/core/checks';
import { runningOrder } from '$lib/core/drawing';
import { styleOf } from '$lib/core/style';
import { db } from '$lib/server/db';
import { planSetting, settingOf } from '$lib/server/plan-setting';
import { found, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const day = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), studio.id, params.id, day));
	const { stored, group, shelf } = setting;
	const reading = readPlan(stored.plan, settingOf(setting));
	const room = roomSheet(reading.context.items, group, shelf.find, styleOf(stored.plan.style));
	return {
		id: stored.id,
		plan: stored.plan,
		group,
		day: stored.taughtOn ? dayName(stored.taughtOn) : '',
		totalSeconds: reading.timeline.totalSeconds,
		order: runningOrder(reading),
		kit: room.kit,
		cues: Object.fromEntries(room.rows.map((row) => [row.itemId, row.cues]))
	};
};
