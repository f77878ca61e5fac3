import { dayInZone } from '$lib/core/calendar';
import { taughtPlans } from '$lib/server/record/records';
import { seriesInShort } from '$lib/core/view-models';
import { begunSeries, newSeries, newSeriesSchema, withUsualGoals } from '$lib/core/series';
import { styleOf } from '$lib/core/style';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { newRowId } from '$lib/server/db/ids';
import { formErrors } from '$lib/core/validation';
import { getGroup, groupNames } from '$lib/server/group/groups';
import { TRASH_DAYS, removedTitle } from '$lib/server/studio/trash';
import { readForm, tokenOf } from '$lib/server/http/requests';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { restoreSeries } from '$lib/server/series/removal';
import { createSeries, listSeries } from '$lib/server/series/series';
import { getStyle } from '$lib/server/studio/styles';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const studio = studioOfRequest(locals);
	const all = await listSeries(db(), studio.id);
	const { catalogue } = await studioCatalogue(db(), studio.id);
	const taught = await taughtPlans(db(), studio.id);
	const gone = url.searchParams.get('removed');
	const title = gone ? await removedTitle(db(), studio.id, 'series', gone) : null;
	return {
		removed: gone && title !== null ? { id: gone, title, days: TRASH_DAYS } : null,
		today: dayInZone(new Date(), studio.timeZone),
		groups: await groupNames(db(), studio.id),
		series: all.map(({ id, groupName, series }) => ({
			id,
			groupName,
			...seriesInShort(series, taught, catalogue.find)
		}))
	};
};

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const owner = ownerOfRequest(locals);
		const values = await readForm(request);
		const token = tokenOf(values.token);
		const errors = formErrors(newSeriesSchema, values);
		if (errors) return fail(400, { errors });
		const { id, group } = orNotFound(await getGroup(db(), studio.id, String(values.group)));
		const begun = newSeries(group, String(values.startsOn), studio.timeZone, Number(values.weeks));
		const { catalogue } = await studioCatalogue(db(), studio.id);
		const { style } = await getStyle(db(), owner.teacherId);
		const settings = withUsualGoals(begun, group, catalogue.find, styleOf(style.choices));
		const seriesId = await once(db(), studio.id, token, { to: 'series', values }, (tx) =>
			createSeries(tx, owner, id, begunSeries(settings, newRowId))
		);
		redirect(303, `/series/${seriesId}`);
	},
	/** Brings a series back that was removed, with those of its classes that are still there. */
	restore: async ({ request, locals }) => {
		const { id } = await readForm(request);
		if (!(await restoreSeries(db(), studioOfRequest(locals).id, id ?? '')))
			return fail(404, { errors: { gone: 'It can no longer be brought back.' } as Record<string, string> });
		redirect(303, `/series/${id}`);
	}
};
