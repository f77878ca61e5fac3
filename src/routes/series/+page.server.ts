import { dayInZone, isIsoDay } from '$lib/core/calendar';
import { seriesInShort } from '$lib/core/drawing';
import { begunSeries, newSeries, SERIES_LIMITS } from '$lib/core/series';
import { db } from '$lib/server/db';
import { newId } from '$lib/server/db/ids';
import { formErrors } from '$lib/server/forms';
import { getGroup, listGroups } from '$lib/server/groups';
import { found, studioOfRequest } from '$lib/server/scope';
import { createSeries, listSeries } from '$lib/server/series';
import { studioShelf } from '$lib/server/shelves';
import { fail, redirect } from '@sveltejs/kit';
import { number, object, string } from 'yup';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const studio = studioOfRequest(locals);
	const all = await listSeries(db(), studio.id);
	const groups = await listGroups(db(), studio.id);
	const { shelf } = await studioShelf(db(), studio.id);
	return {
		today: dayInZone(new Date(), studio.timeZone),
		groups: groups.map(({ id, group }) => ({ id, name: group.name })),
		series: all.map(({ id, groupName, series }) => ({ id, groupName, ...seriesInShort(series, shelf.find) }))
	};
};

const begin = object({
	group: string().required('Choose a group'),
	startsOn: string().test('day', 'Give a day', (value) => isIsoDay(value ?? '')),
	weeks: number()
		.typeError('Give a number of weeks')
		.integer('Give whole weeks')
		.min(1, 'At least one week')
		.max(SERIES_LIMITS.weeks, `At most ${SERIES_LIMITS.weeks} weeks`)
		.required('Give a number of weeks')
});

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const values = Object.fromEntries(await request.formData());
		const errors = formErrors(begin, values);
		if (errors) return fail(400, { errors });
		const { id, group } = found(await getGroup(db(), studio.id, String(values.group)));
		const settings = newSeries(group, String(values.startsOn), studio.timeZone, Number(values.weeks));
		redirect(303, `/series/${await createSeries(db(), studio.id, id, begunSeries(settings, newId))}`);
	}
};
