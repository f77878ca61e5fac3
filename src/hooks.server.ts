import { building } from '$app/environment';
import { env } from '$env/dynamic/private';
import { assertCatalogue } from '$lib/catalogue';
import { auth, authRequest } from '$lib/server/auth';
import { closeDb, db } from '$lib/server/db';
import { newId } from '$lib/server/db/ids';
import { migrateDb } from '$lib/server/db/open';
import { isConnectionError } from '$lib/server/db/errors';
import { seedDemo } from '$lib/server/seed';
import { recordCatalogue } from '$lib/server/shelves';
import { studioOf } from '$lib/server/studios';
import { error, redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { isAuthPath } from 'better-auth/svelte-kit';

export const init: ServerInit = async () => {
	assertCatalogue();
	if (building) return;
	if (env.DATABASE_URL && env.MIGRATIONS_DIR) await migrateDb(env.DATABASE_URL, env.MIGRATIONS_DIR);
	if (env.DATABASE_URL) await recordCatalogue(db());
	if (env.ORBIT_DEMO === '1') await seedDemo(db(), new Date());
	// the adapter says this after the last request on SIGTERM or SIGINT
	process.on('sveltekit:shutdown', () => void closeDb());
};

/** Pages that need no sign-in; everything else belongs to a studio. */
const OPEN_ROUTES = new Set(['/sign-in', '/sign-up', '/calendar/[secret]']);

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.teacher = null;
	event.locals.studio = null;
	if (building) return resolve(event);
	if (isAuthPath(event.url.toString(), auth().options)) return guarded(await authRequest(event));
	await recogniseTeacher(event);
	const open = event.route.id === null || OPEN_ROUTES.has(event.route.id);
	if (!event.locals.studio && !open) {
		if (event.url.pathname.startsWith('/api/')) error(401, 'Sign in first.');
		redirect(303, `/sign-in?next=${encodeURIComponent(event.url.pathname + event.url.search)}`);
	}
	return guarded(await resolve(event));
};

async function recogniseTeacher(event: Parameters<Handle>[0]['event']): Promise<void> {
	const found = await auth().api.getSession({ headers: event.request.headers });
	if (!found) return;
	const { id, name, email } = found.user;
	event.locals.teacher = { id, name, email };
	event.locals.studio = await studioOf(db(), id);
}

function guarded(response: Response): Response {
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
}

export const handleError: HandleServerError = ({ error: thrown, event, status, message }) => {
	if (status === 404) return { message: 'There is nothing at this address.' };
	if (status < 500) return { message };
	const reference = newId().slice(0, 8);
	console.error(`[${reference}] ${event.request.method} ${event.url.pathname}`, thrown);
	return isConnectionError(thrown)
		? {
				message: 'The database is not answering just now. Nothing is lost; try again in a moment.',
				reference
			}
		: { message: 'Something went wrong on our side. What you were doing is still where it was.', reference };
};
