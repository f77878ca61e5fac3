import { addDays, dayInZone } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { listGroups } from '$lib/server/groups';
import { latelyFrom } from '$lib/server/plan-setting';
import { usedBetween } from '$lib/server/plans';
import { studioOfRequest } from '$lib/server/scope';
import { studioShelf } from '$lib/server/shelves';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const groups = await listGroups(db(), studio.id);
	const chosen = groups.find(({ id }) => id === url.searchParams.get('group')) ?? null;
	const shelf = await studioShelf(db(), studio.id);
	return {
		own: shelf.own.map((o) => o.movement),
		leftOut: shelf.leftOut,
		groups: groups.map(({ id, group }) => ({ id, name: group.name })),
		groupId: chosen?.id ?? '',
		group: chosen?.group ?? null,
		usedLately: await usedBetween(db(), studio.id, latelyFrom(today), addDays(today, -1), chosen?.id)
	};
};
