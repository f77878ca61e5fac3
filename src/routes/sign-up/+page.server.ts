import { signUpSchema } from '$lib/server/account/account-schema';
import { postAuth } from '$lib/server/account/auth';
import { formErrors } from '$lib/core/validation';
import { readForm } from '$lib/server/http/requests';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	if (locals.studio) redirect(303, '/');
};

export const actions: Actions = {
	default: async (event) => {
		const values = await readForm(event.request);
		const { name = '', email = '', password = '' } = values;
		const errors = formErrors(signUpSchema, values);
		if (errors) return fail(400, { name, email, message: '', errors });
		const response = await postAuth(event, '/sign-up/email', {
			name: name.trim(),
			email: email.trim(),
			password
		});
		// the same answer for an address that has an account already: no one learns who has one
		if (response.ok) redirect(303, `/sign-in?opened&next=${encodeURIComponent('/?first')}`);
		const message =
			response.status === 429
				? 'Too many tries. Wait a minute, then try again.'
				: 'No account could be created. Check your entries, or try again in a moment.';
		return fail(response.status === 429 ? 429 : 400, {
			name,
			email,
			message,
			errors: {} as Record<string, string>
		});
	}
};
