import { dayInZone, dayName } from '$lib/core/calendar';
import { compute } from '$lib/server/compute/pool';
import { db } from '$lib/server/db';
import { loadPlanContext, planInput } from '$lib/server/plan/plan-context';
import { planTitlesOfGroup } from '$lib/server/plan/plans';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import type { PageServerLoad } from './$types';

/** Two classes of a group side by side: the one at this address, and an earlier or other one (`?with=`). */
export const load: PageServerLoad = async ({ params, locals, url, request }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, today));
	const all = await planTitlesOfGroup(db(), studio.id, context.groupId);
	const others = all.filter(({ id }) => id !== params.id);
	const named = ({ id, title, plannedOn }: (typeof all)[number]) => ({
		id,
		title: title || 'Untitled class',
		day: plannedOn ? dayName(plannedOn) : ''
	});
	const { plannedOn } = context.stored;
	const isEarlier = (other: (typeof all)[number]) =>
		other.plannedOn !== null && plannedOn !== null && other.plannedOn < plannedOn;
	const wanted = url.searchParams.get('with');
	const chosen = wanted
		? orNotFound(others.find(({ id }) => id === wanted) ?? null)
		: (others.find(isEarlier) ?? others[0]);
	const now = named({ ...context.stored, title: context.stored.plan.title });
	const base = {
		id: now.id,
		title: now.title,
		day: now.day,
		group: context.group.name,
		others: others.map(named)
	};
	if (!chosen) return { ...base, against: null };
	const against = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), chosen.id, today));
	const compared = await compute(
		'compare',
		{ earlier: planInput(against), later: planInput(context) },
		request.signal
	);
	return { ...base, against: { ...named(chosen), ...compared } };
};
