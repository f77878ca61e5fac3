import { dayInZone } from '$lib/core/calendar';
import { db } from '$lib/server/db';
import { pendingFeedback } from '$lib/server/record/last-time';
import { loadPlanContext } from '$lib/server/plan/plan-context';
import { removePlan } from '$lib/server/plan/plans';
import { readForm, versionOf } from '$lib/server/http/requests';
import { seriesTitle } from '$lib/server/series/series';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { learnedSince } from '$lib/server/record/teachers-pace';
import { getStyle } from '$lib/server/studio/styles';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const day = dayInZone(new Date(), studio.timeZone);
	const {
		stored,
		groupId,
		group,
		current,
		moved,
		known,
		usedLately,
		pace,
		silencedChecks,
		lastFirstSide,
		lastMovements,
		lately
	} = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, day));
	return {
		stored,
		groupId,
		series: stored.seriesId ? await seriesTitle(db(), studio.id, stored.seriesId) : null,
		context: {
			group,
			own: current.own.map((o) => o.movement),
			leftOut: current.leftOut,
			moved,
			known,
			pace,
			usedLately,
			silencedChecks,
			lastFirstSide,
			lastMovements,
			lately,
			today: day
		},
		lastTime: await pendingFeedback(db(), ownerOfRequest(locals), stored, current, day),
		learnedSince: pace.learned ? await learnedSince(db(), ownerOfRequest(locals), params.id) : null,
		usual: (await getStyle(db(), ownerOfRequest(locals).teacherId)).style
	};
};

export const actions: Actions = {
	/** Removes the class as it was looked at; the week offers it back. */
	delete: async ({ params, request, locals }) => {
		const { version } = await readForm(request);
		const removal = await removePlan(db(), studioOfRequest(locals).id, params.id, versionOf(version));
		orNotFound(removal === 'missing' ? null : removal);
		if (removal === 'stale')
			return fail(409, { message: 'It was changed in the meantime. Reload the page first.' });
		redirect(303, `/?removed=${params.id}`);
	}
};
