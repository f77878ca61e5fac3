import { env } from '$env/dynamic/private';
import { signInSchema } from '$lib/server/account-schema';
import { postAuth } from '$lib/server/auth';
import { formErrors } from '$lib/server/forms';
import { DEMO_SIGN_IN } from '$lib/server/seed';
import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
	if (locals.studio) redirect(303, '/');
	const next = url.searchParams.get('next');
	// goes along with the forms, so that signing in leads on to where it was asked for
	return { demo: env.ORBIT_DEMO === '1', next: next ? `&next=${encodeURIComponent(next)}` : '' };
};

const NO_ERRORS: Record<string, string> = {};

/** Only paths of this app: never a way out to another host. */
function next(event: RequestEvent): string {
	const path = event.url.searchParams.get('next') ?? '/';
	return /^\/(?![/\\])/.test(path) ? path : '/';
}

async function signIn(event: RequestEvent, email: string, password: string) {
	const response = await postAuth(event, '/sign-in/email', { email, password });
	if (response.ok) redirect(303, next(event));
	const message =
		response.status === 429
			? 'Too many tries. Wait a minute, then try again.'
			: 'This e-mail and password do not belong together.';
	return fail(response.status === 429 ? 429 : 400, { email, message, errors: NO_ERRORS });
}

export const actions: Actions = {
	enter: async (event) => {
		const values = Object.fromEntries(await event.request.formData());
		const errors = formErrors(signInSchema, values);
		if (errors) return fail(400, { email: String(values.email ?? ''), message: '', errors });
		return signIn(event, String(values.email).trim(), String(values.password));
	},
	demo: async (event) => {
		if (env.ORBIT_DEMO !== '1')
			return fail(404, { email: '', message: 'There is no demo here.', errors: NO_ERRORS });
		return signIn(event, DEMO_SIGN_IN.email, DEMO_SIGN_IN.password);
	}
};
