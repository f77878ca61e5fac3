import { dayInZone, dayName } from '$lib/core/calendar';
import { nextMeeting } from '$lib/core/group';
import { db } from '$lib/server/db';
import { getGroup, removeGroup } from '$lib/server/group/groups';
import { plansOfGroup } from '$lib/server/plan/plans';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { listSeries } from '$lib/server/series/series';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { KEPT_STUDENT_DAYS, listStudents, removedStudents } from '$lib/server/group/students';
import { planCards, teacherPreferences } from '$lib/server/plan/plan-cards';
import { QUOTAS } from '$lib/server/http/quotas';
import { readForm, versionOf } from '$lib/server/http/requests';
import { getStudioKit } from '$lib/server/studio/studio-kit';
import { listTemplates } from '$lib/server/plan/templates';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

/** Classes on one page of a group's history. */
const PAGE_OF_PLANS = 20;

export const load: PageServerLoad = async ({ params, locals, url, request }) => {
	const studio = studioOfRequest(locals);
	const stored = orNotFound(await getGroup(db(), studio.id, params.id));
	const from = Math.max(0, Math.min(QUOTAS.classes, Number(url.searchParams.get('from')) || 0));
	// one more than a page, to know whether there are older ones
	const plans = await plansOfGroup(db(), studio.id, params.id, { from, size: PAGE_OF_PLANS + 1 });
	const catalogue = await studioCatalogue(db(), studio.id);
	const cards = await planCards(
		db(),
		studio.id,
		catalogue,
		plans.slice(0, PAGE_OF_PLANS),
		() => stored,
		await teacherPreferences(db(), ownerOfRequest(locals).teacherId),
		request.signal
	);
	return {
		stored,
		studioKit: (await getStudioKit(db(), studio.id)).kit,
		/** The next day on which it meets, to begin a class for. */
		nextDay: nextMeeting(stored.group, dayInZone(new Date(), studio.timeZone)),
		templates: (await listTemplates(db(), studio.id)).map(({ id, plan }) => ({ id, title: plan.title })),
		series: (await listSeries(db(), studio.id))
			.filter(({ groupId }) => groupId === params.id)
			.map(({ id, series }) => ({
				id,
				title: series.title,
				from: dayName(series.startsOn),
				weeks: series.weeks
			})),
		students: await listStudents(db(), ownerOfRequest(locals), params.id),
		/** Whom this teacher removed and can bring back. */
		removedStudents: await removedStudents(db(), ownerOfRequest(locals), params.id),
		keptStudentDays: KEPT_STUDENT_DAYS,
		plans: cards.map((card) => ({ ...card, day: card.plannedOn ? dayName(card.plannedOn) : 'no day yet' })),
		/** Where the older and the newer classes begin; null where there are none. */
		older: plans.length > PAGE_OF_PLANS ? from + PAGE_OF_PLANS : null,
		newer: from > 0 ? Math.max(0, from - PAGE_OF_PLANS) : null
	};
};

export const actions: Actions = {
	/** Removes a group that has neither classes nor series, as it was looked at. */
	remove: async ({ params, request, locals }) => {
		const { version } = await readForm(request);
		const removal = await removeGroup(db(), studioOfRequest(locals).id, params.id, versionOf(version));
		orNotFound(removal === 'missing' ? null : removal);
		if (removal === 'used')
			return fail(409, {
				message: 'It has classes or a series; remove those first, and nothing is lost unseen.'
			});
		if (removal === 'stale')
			return fail(409, { message: 'It was changed in the meantime. Reload the page first.' });
		redirect(303, '/group');
	}
};
