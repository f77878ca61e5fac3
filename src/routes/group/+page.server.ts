import { newGroup, newGroupSchema, PRESETS, preset, type PresetId } from '$lib/core/group';
import { once } from '$lib/server/http/accepted';
import { db } from '$lib/server/db';
import { createGroup, listGroups, removedGroups, restoreGroup } from '$lib/server/group/groups';
import { TRASH_DAYS } from '$lib/server/studio/trash';
import { formErrors } from '$lib/core/validation';
import { readForm, tokenOf } from '$lib/server/http/requests';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { getStudioKit } from '$lib/server/studio/studio-kit';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	kit: await getStudioKit(db(), studioOfRequest(locals).id),
	groups: await listGroups(db(), studioOfRequest(locals).id),
	removed: (await removedGroups(db(), studioOfRequest(locals).id)).map((group) => ({
		...group,
		days: TRASH_DAYS
	})),
	presets: PRESETS.map((id) => ({ id, label: preset(id).label }))
});

export const actions: Actions = {
	create: async ({ request, locals }) => {
		const studio = studioOfRequest(locals);
		const values = await readForm(request);
		const token = tokenOf(values.token);
		const errors = formErrors(newGroupSchema, values);
		if (errors) return fail(400, { errors, name: values.name ?? '' });
		const group = { ...newGroup(values.preset as PresetId, values.name!.trim()), sharesKit: true };
		const id = await once(db(), studio.id, token, { to: 'group', values }, (tx) =>
			createGroup(tx, studio.id, group)
		);
		redirect(303, `/group/${id}`);
	},
	/** Brings a removed group back, with its people and check-ins. */
	restore: async ({ request, locals }) => {
		const { id = '' } = await readForm(request);
		const name = await restoreGroup(db(), studioOfRequest(locals).id, id);
		if (name === null)
			return fail(404, {
				errors: { gone: 'It can no longer be brought back.' } as Record<string, string>,
				name: ''
			});
		redirect(303, `/group/${id}`);
	}
};
