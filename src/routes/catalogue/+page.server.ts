import { addDays, dayInZone } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { getGroup, groupNames } from '$lib/server/group/groups';
import { latelyFrom } from '$lib/server/plan/plan-context';
import { usedBetween } from '$lib/server/record/records';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const asked = url.searchParams.get('group');
	const chosen = asked ? await getGroup(db(), studio.id, asked) : null;
	const catalogue = await studioCatalogue(db(), studio.id);
	return {
		own: catalogue.own.map((o) => o.movement),
		leftOut: catalogue.leftOut,
		groups: await groupNames(db(), studio.id),
		groupId: chosen?.id ?? '',
		group: chosen?.group ?? null,
		usedLately: await usedBetween(db(), studio.id, latelyFrom(today), addDays(today, -1), chosen?.id)
	};
};
