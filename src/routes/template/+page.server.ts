import { newGroup } from '$lib/core/group';
import { db } from '$lib/server/db';
import { formErrors } from '$lib/core/validation';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { readForm, versionOf } from '$lib/server/http/requests';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { planCards, teacherPreferences } from '$lib/server/plan/plan-cards';
import {
	removeTemplate,
	restoreTemplate,
	getTemplate,
	listTemplates,
	saveTemplate
} from '$lib/server/plan/templates';
import { fail } from '@sveltejs/kit';
import { number, object, string } from 'yup';
import type { Actions, PageServerLoad } from './$types';

/** A template belongs to no group: it is shown against what a general group asks for. */
const ANYBODY = { version: 0, group: newGroup('general', 'anybody') };

export const load: PageServerLoad = async ({ locals, request }) => {
	const studio = studioOfRequest(locals);
	const templates = await listTemplates(db(), studio.id);
	const catalogue = await studioCatalogue(db(), studio.id);
	const plans = templates.map((stored) => ({ ...stored, groupId: '', plannedOn: null }));
	const way = await teacherPreferences(db(), ownerOfRequest(locals).teacherId);
	const cards = await planCards(db(), studio.id, catalogue, plans, () => ANYBODY, way, request.signal);
	return { templates: cards.map((card, i) => ({ ...card, version: templates[i]!.version })) };
};

const named = object({
	id: string().required(),
	version: number().integer().required(),
	title: string()
		.required('Give it a title')
		.matches(/\S/, 'Give it a title')
		.max(200, 'At most 200 characters')
});
const CHANGED = 'It was changed in another window. Reload the page.';

export const actions: Actions = {
	rename: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const values = await readForm(request);
		const errors = formErrors(named, values);
		if (errors) return fail(400, { message: errors.title ?? 'Nothing was changed.' });
		const stored = orNotFound(await getTemplate(db(), studio.id, values.id ?? ''));
		const plan = { ...stored.plan, title: values.title!.trim() };
		const saved = await saveTemplate(db(), studio.id, stored.id, versionOf(values.version), plan);
		return saved.kind === 'saved'
			? { message: `It is called ${plan.title} now` }
			: fail(409, { message: CHANGED });
	},
	remove: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const { id, version } = await readForm(request);
		const stored = orNotFound(await getTemplate(db(), studio.id, id ?? ''));
		const removal = await removeTemplate(db(), studio.id, stored.id, versionOf(version));
		if (removal !== 'removed') return fail(409, { message: CHANGED });
		return { message: `${stored.plan.title} is removed`, removed: stored.id };
	},
	restore: async ({ request, locals }) => {
		const { id } = await readForm(request);
		const title = await restoreTemplate(db(), studioOfRequest(locals).id, id ?? '');
		if (title === null) return fail(404, { message: 'It can no longer be brought back.' });
		return { message: `${title} is back` };
	}
};
