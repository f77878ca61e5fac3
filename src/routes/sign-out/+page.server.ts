import { postAuth } from '$lib/server/account/auth';
import { redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => redirect(303, '/');

export const actions: Actions = {
	default: async (event) => {
		await postAuth(event, '/sign-out', {});
		redirect(303, '/sign-in');
	}
};
