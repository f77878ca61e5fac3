import { dayInZone, isIsoDay } from '$lib/core/calendar';
import { copiedTo, seriesSummary } from '$lib/core/series';
import { db } from '$lib/server/db';
import { newRowId } from '$lib/server/db/ids';
import { getGroup, groupNames } from '$lib/server/group/groups';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { once } from '$lib/server/http/accepted';
import { readForm, tokenOf, versionOf } from '$lib/server/http/requests';
import { makeLink, revokeLink } from '$lib/server/series/link';
import { removeSeries } from '$lib/server/series/removal';
import { createSeries, getSeries, seriesTitles } from '$lib/server/series/series';
import { loadSeriesContext } from '$lib/server/series/series-context';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { getStyle } from '$lib/server/studio/styles';
import { groupResults } from '$lib/core/measure';
import { groupCheckIns } from '$lib/server/group/check-ins';
import { paceOfTeacher } from '$lib/server/record/teachers-pace';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const { teacherId } = ownerOfRequest(locals);
	const [{ style }, pace] = await Promise.all([getStyle(db(), teacherId), paceOfTeacher(db(), teacherId)]);
	const { stored, group, current, moved, knownBefore } = orNotFound(
		await loadSeriesContext(db(), studio.id, params.id, pace)
	);
	const { series, runs } = stored.planned;
	const { from, to } = seriesSummary(series, runs);
	const counted = await groupCheckIns(db(), ownerOfRequest(locals), group.id);
	return {
		stored,
		/** Counts of these weeks, shown beside the ladders. */
		tests: groupResults(counted.filter(({ on }) => on >= from && on <= to)).map(({ test, name, words }) => ({
			id: test,
			name,
			words
		})),
		group: { id: group.id, name: group.group.name },
		today: dayInZone(new Date(), studio.timeZone),
		groups: await groupNames(db(), studio.id),
		others: (await seriesTitles(db(), studio.id))
			.filter(({ id }) => id !== params.id)
			.map(({ id, title }) => ({ id, title })),
		context: {
			group: group.group,
			own: current.own.map(({ movement }) => movement),
			leftOut: current.leftOut,
			kept: moved.map(({ kept }) => kept),
			knownBefore,
			style: { ...style, pace }
		}
	};
};

export const actions: Actions = {
	/** A new link to subscribe by; the one before no longer opens anything. */
	link: async ({ params, locals, url }) => {
		const secret = orNotFound(await makeLink(db(), studioOfRequest(locals).id, params.id));
		return { link: `${url.origin}/calendar/${secret}.ics` };
	},
	unlink: async ({ params, locals }) => {
		orNotFound((await revokeLink(db(), studioOfRequest(locals).id, params.id)) || null);
		return { unlinked: true };
	},
	/** The same series for another group, with its days, tiers and cautions. */
	copy: async ({ params, request, locals }) => {
		const studio = studioOfRequest(locals);
		const form = await readForm(request);
		const token = tokenOf(form.token);
		const startsOn = form.startsOn ?? '';
		if (!isIsoDay(startsOn)) return fail(400, { message: 'Give a day on which it begins.' });
		const stored = orNotFound(await getSeries(db(), studio.id, params.id));
		const to = orNotFound(await getGroup(db(), studio.id, form.group ?? ''));
		const { catalogue } = await studioCatalogue(db(), studio.id);
		const copy = copiedTo(stored.planned, to.group, startsOn, catalogue.find, newRowId);
		const id = await once(db(), studio.id, token, { to: 'copy', form }, (tx) =>
			createSeries(tx, ownerOfRequest(locals), to.id, copy)
		);
		redirect(303, `/series/${id}`);
	},
	/** The series goes; its classes stay as classes of the group. */
	delete: async ({ params, request, locals }) => {
		const { version } = await readForm(request);
		const removal = await removeSeries(db(), studioOfRequest(locals).id, params.id, versionOf(version));
		orNotFound(removal === 'missing' ? null : removal);
		if (removal === 'stale')
			return fail(409, { message: 'It was changed in the meantime. Reload the page first.' });
		redirect(303, `/series?removed=${params.id}`);
	}
};
