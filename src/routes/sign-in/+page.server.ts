import { env } from '$env/dynamic/private';
import { signInSchema } from '$lib/core/people';
import { TOKEN } from '$lib/server/http/accepted';
import { postAuth } from '$lib/server/account/auth';
import { db } from '$lib/server/db';
import { newRowId } from '$lib/server/db/ids';
import { formErrors } from '$lib/core/validation';
import { nextPath } from '$lib/server/account/next-path';
import { readForm } from '$lib/server/http/requests';
import { DEMO_SIGN_IN } from '$lib/server/start/seed';
import { claimTry, clearTries, type SignInOrigin } from '$lib/server/account/sign-in-guard';
import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
	if (locals.studio) redirect(303, '/');
	const next = url.searchParams.get('next');
	// goes along with the forms, so that signing in leads on to where it was asked for
	return {
		demo: env.ORBIT_DEMO === '1',
		opened: url.searchParams.has('opened'),
		next: next ? `&next=${encodeURIComponent(next)}` : ''
	};
};

const NO_ERRORS: Record<string, string> = {};

/** Cookie by which a browser is recognised; it grants nothing by itself. */
const DEVICE_COOKIE = 'orbit.device';
const DEVICE_KEPT_SECONDS = 180 * 24 * 3600;

/** Where a try comes from. `marks`: gives a browser that has no mark yet one of its own. */
function placeOf(event: RequestEvent, marks = false): SignInOrigin {
	const kept = event.cookies.get(DEVICE_COOKIE);
	const device = kept && TOKEN.test(kept) ? kept : marks ? newRowId() : null;
	if (marks && device)
		event.cookies.set(DEVICE_COOKIE, device, {
			path: '/sign-in',
			maxAge: DEVICE_KEPT_SECONDS,
			sameSite: 'lax',
			httpOnly: true,
			secure: event.url.protocol === 'https:'
		});
	return { device, address: event.getClientAddress() };
}

async function signIn(event: RequestEvent, email: string, password: string) {
	const response = await postAuth(event, '/sign-in/email', { email, password });
	if (response.ok) {
		await clearTries(db(), email, placeOf(event, true), new Date());
		redirect(303, nextPath(event.url.searchParams.get('next')));
	}
	const message =
		response.status === 429
			? 'Too many tries. Wait a minute, then try again.'
			: 'This e-mail and password do not belong together.';
	return fail(response.status === 429 ? 429 : 400, { email, message, errors: NO_ERRORS });
}

export const actions: Actions = {
	enter: async (event) => {
		const values = await readForm(event.request);
		const errors = formErrors(signInSchema, values);
		if (errors) return fail(400, { email: values.email ?? '', message: '', errors });
		const email = values.email!.trim();
		const wait = await claimTry(db(), email, placeOf(event), new Date());
		if (wait > 0) {
			const message = `Too many wrong passwords for this e-mail. Wait ${wait} seconds, then try again.`;
			return fail(429, { email, message, errors: NO_ERRORS });
		}
		return signIn(event, email, values.password!);
	},
	demo: async (event) => {
		if (env.ORBIT_DEMO !== '1')
			return fail(404, { email: '', message: 'There is no demo here.', errors: NO_ERRORS });
		return signIn(event, DEMO_SIGN_IN.email, DEMO_SIGN_IN.password);
	}
};
