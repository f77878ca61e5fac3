import { dayName } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { getGroup } from '$lib/server/groups';
import { plansOfGroup } from '$lib/server/plans';
import { found, ownerOfRequest, studioOfRequest } from '$lib/server/scope';
import { listSeries } from '$lib/server/series';
import { movedOn, shelfWith, studioShelf } from '$lib/server/shelves';
import { listStudents } from '$lib/server/students';
import { planCard } from '$lib/server/summary';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const stored = found(await getGroup(db(), studio.id, params.id));
	const plans = await plansOfGroup(db(), studio.id, params.id);
	const shelf = await studioShelf(db(), studio.id);
	const moved = await movedOn(
		db(),
		studio.id,
		shelf,
		plans.map(({ plan }) => plan)
	);
	return {
		stored,
		series: (await listSeries(db(), studio.id))
			.filter(({ groupId }) => groupId === params.id)
			.map(({ id, series }) => ({
				id,
				title: series.title,
				from: dayName(series.startsOn),
				weeks: series.weeks
			})),
		students: await listStudents(db(), ownerOfRequest(locals), params.id),
		plans: plans.map((plan, i) => ({
			...planCard(plan, stored.group, shelfWith(shelf, moved[i] ?? [])),
			day: plan.taughtOn ? dayName(plan.taughtOn) : 'no day yet'
		}))
	};
};
