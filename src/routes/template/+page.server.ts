import { newGroup } from '$lib/core/group';
import type { ClassPlan } from '$lib/core/plan';
import { db } from '$lib/server/db';
import { formErrors } from '$lib/server/forms';
import { found, studioOfRequest } from '$lib/server/scope';
import { readSentPlan } from '$lib/server/sent-plan';
import { movedOn, shelfWith, studioShelf } from '$lib/server/shelves';
import { planCard } from '$lib/server/summary';
import {
	createTemplate,
	deleteTemplate,
	getTemplate,
	listTemplates,
	saveTemplate
} from '$lib/server/templates';
import { fail } from '@sveltejs/kit';
import { number, object, string } from 'yup';
import type { Actions, PageServerLoad } from './$types';

/** A template belongs to no group: it is shown against what a general group asks for. */
const ANYBODY = newGroup('general', 'anybody');

export const load: PageServerLoad = async ({ locals }) => {
	const studio = studioOfRequest(locals);
	const templates = await listTemplates(db(), studio.id);
	const shelf = await studioShelf(db(), studio.id);
	const moved = await movedOn(
		db(),
		studio.id,
		shelf,
		templates.map(({ plan }) => plan)
	);
	return {
		templates: templates.map(({ id, version, plan }, i) => ({
			...planCard(
				{ id, version, plan, groupId: '', taughtOn: null, seriesId: null },
				ANYBODY,
				shelfWith(shelf, moved[i] ?? [])
			),
			version
		}))
	};
};

const named = object({
	id: string().required(),
	version: number().integer().required(),
	title: string()
		.required('Give it a title')
		.matches(/\S/, 'Give it a title')
		.max(200, 'At most 200 characters')
});
const CHANGED = 'It was changed in another window meanwhile; look at it again.';

export const actions: Actions = {
	rename: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const values = Object.fromEntries(await request.formData());
		const errors = formErrors(named, values);
		if (errors) return fail(400, { message: errors.title ?? 'Nothing was changed.' });
		const stored = found(await getTemplate(db(), studio.id, String(values.id)));
		const plan = { ...stored.plan, title: String(values.title).trim() };
		const saved = await saveTemplate(db(), studio.id, stored.id, Number(values.version), plan);
		return saved.kind === 'saved'
			? { message: `It is called ${plan.title} now` }
			: fail(409, { message: CHANGED });
	},
	/** What was removed comes along with the answer, so that it can be brought back. */
	remove: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const form = await request.formData();
		const stored = found(await getTemplate(db(), studio.id, String(form.get('id'))));
		const gone = await deleteTemplate(db(), studio.id, stored.id, Number(form.get('version')));
		if (!gone) return fail(409, { message: CHANGED });
		return { message: `${stored.plan.title} is removed`, removed: JSON.stringify(stored.plan) };
	},
	restore: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const text = String((await request.formData()).get('plan'));
		const sent = await readSentPlan(db(), studio.id, { plan: parsed(text) });
		if ('faults' in sent) return fail(422, { message: 'It could not be brought back: it cannot be read.' });
		await createTemplate(db(), studio.id, sent.plan);
		return { message: `${sent.plan.title} is back` };
	}
};

function parsed(text: string): ClassPlan | null {
	try {
		return JSON.parse(text) as ClassPlan;
	} catch {
		return null;
	}
}
