import { signUpSchema } from '$lib/server/account-schema';
import { postAuth } from '$lib/server/auth';
import { formErrors } from '$lib/server/forms';
import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	if (locals.studio) redirect(303, '/');
};

export const actions: Actions = {
	default: async (event) => {
		const values = Object.fromEntries(await event.request.formData()) as Record<string, string>;
		const { name = '', email = '', password = '' } = values;
		const errors = formErrors(signUpSchema, values);
		if (errors) return fail(400, { name, email, message: '', errors });
		const response = await postAuth(event, '/sign-up/email', {
			name: name.trim(),
			email: email.trim(),
			password
		});
		if (response.ok) redirect(303, '/');
		const message =
			response.status === 429
				? 'Too many tries. Wait a minute, then try again.'
				: 'No account could be opened with this e-mail. Perhaps there is one already: try to sign in.';
		return fail(response.status === 429 ? 429 : 400, {
			name,
			email,
			message,
			errors: {} as Record<string, string>
		});
	}
};
