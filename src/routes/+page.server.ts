import {
	addDays,
	dayInZone,
	isIsoDay,
	nextClass,
	timeInZone,
	weekBoard,
	weekById,
	weekOfDay
} from '$lib/core/calendar';
import { meetingsOf, startOn } from '$lib/core/group';
import { copyOf, emptyPlan, fromTemplate, itemsOf, planFaults, startSides } from '$lib/core/plan';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { getGroup, listGroups } from '$lib/server/group/groups';
import {
	createPlan,
	groupsWithPlans,
	lastPlanOfGroup,
	plansBetween,
	restorePlan
} from '$lib/server/plan/plans';
import { TRASH_DAYS, removedTitle } from '$lib/server/studio/trash';
import { readForm, tokenOf } from '$lib/server/http/requests';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { seriesDue } from '$lib/server/series/series';
import { studioCatalogue, withStates } from '$lib/server/studio/studio-catalogue';
import { getStyle } from '$lib/server/studio/styles';
import { getTemplate, listTemplates } from '$lib/server/plan/templates';
import { planCards, teacherPreferences } from '$lib/server/plan/plan-cards';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url, request }) => {
	const studio = studioOfRequest(locals);
	const now = new Date();
	const today = dayInZone(now, studio.timeZone);
	const week = weekById(url.searchParams.get('week') ?? '') ?? weekOfDay(today);
	const groups = await listGroups(db(), studio.id);
	// a new account begins in three steps; whoever leaves them comes back to the week
	if (groups.length === 0 && url.searchParams.has('first')) redirect(303, '/begin');
	const plans = await plansBetween(db(), studio.id, week.days[0]!, week.days[6]!);
	const catalogue = await studioCatalogue(db(), studio.id);
	const byId = new Map(groups.map((stored) => [stored.id, stored]));
	const groupOf = (plan: { groupId: string }) => byId.get(plan.groupId)!;
	const way = await teacherPreferences(db(), ownerOfRequest(locals).teacherId);
	const cards = await planCards(db(), studio.id, catalogue, plans, groupOf, way, request.signal);
	const days = weekBoard(
		week,
		groups.map(({ id, group }) => ({ ...group, id, meetings: meetingsOf(group) })),
		cards,
		today
	);
	return {
		week,
		thisWeek: week.days.includes(today),
		days,
		next: nextClass(days, timeInZone(now, studio.timeZone)),
		removed: await removedHere(studio.id, url.searchParams.get('removed')),
		/** Classes of the coming days: this device keeps them, to be taught without a network. */
		toTeach: week.days.includes(today) ? await plannedSoon(studio.id, today) : [],
		due: await seriesDue(db(), studio.id, week.days, today),
		/** Groups that have a class which can be copied. */
		copyable: await groupsWithPlans(db(), studio.id),
		groups: groups.map(({ id, group }) => ({ id, name: group.name })),
		templates: (await listTemplates(db(), studio.id)).map(({ id, plan }) => ({ id, title: plan.title }))
	};
};

/** Days ahead whose classes are stored on a device. */
const READY_DAYS = 7;

async function plannedSoon(studioId: string, today: string): Promise<string[]> {
	const plans = await plansBetween(db(), studioId, today, addDays(today, READY_DAYS - 1));
	return plans.filter(({ plan }) => itemsOf(plan).length > 0).map(({ id }) => id);
}

/** A class that was removed just now, to offer it back. */
async function removedHere(studioId: string, id: string | null) {
	const title = id ? await removedTitle(db(), studioId, 'plan', id) : null;
	return id && title !== null ? { id, title: title || 'Untitled class', days: TRASH_DAYS } : null;
}

export const actions: Actions = {
	/** Starts a plan for a group and a day: empty, a copy of the group's last one, or from a template. */
	start: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const form = await readForm(request);
		const token = tokenOf(form.token);
		const day = form.day ?? '';
		if (!isIsoDay(day)) return fail(400, { message: 'This is not a day of the calendar.' });
		const { id, group } = orNotFound(await getGroup(db(), studio.id, form.group ?? ''));
		const { style } = await getStyle(db(), ownerOfRequest(locals).teacherId);
		const last = await lastPlanOfGroup(db(), studio.id, id);
		const template = form.template ? orNotFound(await getTemplate(db(), studio.id, form.template)) : null;
		const begun = template
			? fromTemplate(template.plan, group)
			: form.copy
				? copyOf(last?.plan)
				: emptyPlan(group.name, startOn(group, day), group.lengthSeconds, style.choices);
		const catalogue = await studioCatalogue(db(), studio.id);
		const timed = { ...begun, startsAt: startOn(group, day) };
		const plan = withStates(startSides(timed, last?.plan), null, catalogue);
		const faults = planFaults(plan, catalogue.catalogue.find);
		if (faults.length)
			return fail(422, { message: `This class cannot be begun from it: ${faults[0]!.message}.` });
		const planId = await once(db(), studio.id, token, { to: 'start', form }, (tx) =>
			createPlan(tx, studio.id, id, day, plan)
		);
		redirect(303, `/plan/${planId}`);
	},
	/** Brings a class back that was removed. */
	restore: async ({ request, locals }) => {
		const { id } = await readForm(request);
		const back = await restorePlan(db(), studioOfRequest(locals).id, id ?? '');
		if (back === null) return fail(404, { message: 'It can no longer be brought back.' });
		redirect(303, `/plan/${back}`);
	}
};
