import { DamagedDocument } from '$lib/server/db/document-column';
import { building } from '$app/environment';
import { env } from '$env/dynamic/private';
import { assertCatalogue } from '$lib/catalogue';
import { auth } from '$lib/server/account/auth';
import { closePool } from '$lib/server/compute/pool';
import { ConfigError, readConfig } from '$lib/server/start/config';
import { closeDb, db, isClosing } from '$lib/server/db';
import { isConnectionError } from '$lib/server/db/errors';
import { newRowId } from '$lib/server/db/ids';
import { migrateDb, whileAlone } from '$lib/server/db/migrate';
import { logError } from '$lib/server/start/log';
import { seedDemo } from '$lib/server/start/seed';
import { recordCatalogue } from '$lib/server/studio/studio-catalogue';
import { studioFor } from '$lib/server/studio/studios';
import { tidyHourly } from '$lib/server/start/cleanup';
import { error, redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';

const DATABASE_AWAY = 'The database is not answering just now. Nothing is lost; try again in a moment.';

export const init: ServerInit = async () => {
	assertCatalogue();
	if (building) return;
	const { databaseUrl, migrationsFolder, demo, season } = configured();
	if (migrationsFolder) await migrateDb(databaseUrl, migrationsFolder);
	await whileAlone(databaseUrl, async () => {
		await recordCatalogue(db());
		if (demo) await seedDemo(db(), new Date(), season);
	});
	const stopTidying = tidyHourly(db(), (thrown) => logError('tidying', 'hourly', thrown));
	// the server says this after the last request on SIGTERM or SIGINT
	process.on('sveltekit:shutdown', () => {
		stopTidying();
		void closePool();
		void closeDb();
	});
};

/** The environment as it was read, or the end of the process with a sentence for each thing that is wrong with it. */
function configured() {
	try {
		return readConfig(env);
	} catch (thrown) {
		if (!(thrown instanceof ConfigError)) throw thrown;
		console.error(thrown.message);
		process.exit(78); // EX_CONFIG of sysexits.h
	}
}

/** Pages that need no sign-in; everything else belongs to a studio. */
const OPEN_ROUTES = new Set([
	'/sign-in',
	'/sign-up',
	'/calendar/[secret]',
	// it shows what lies on the device, and a class goes on when a session has run out
	'/teach',
	'/teach/script',
	'/teach/room'
]);

export const handle: Handle = async ({ event, resolve }) => {
	event.locals.teacher = null;
	event.locals.studio = null;
	if (building) return resolve(event);
	const { request, url } = event;
	const changes = request.method !== 'GET' && request.method !== 'HEAD';
	if (changes && request.headers.get('origin') !== url.origin)
		error(403, 'This request does not come from the pages of this app.');
	await recogniseTeacher(event);
	const open = event.route.id === null || OPEN_ROUTES.has(event.route.id);
	if (!event.locals.studio && !open) {
		if (url.pathname.startsWith('/api/')) error(401, 'Sign in first.');
		redirect(303, `/sign-in?next=${encodeURIComponent(url.pathname + url.search)}`);
	}
	const response = await resolve(event, { preload });
	if (response.status === 500 && event.locals.databaseAway)
		return new Response(response.body, { status: 503, headers: response.headers });
	return response;
};

/** Returns true for files that a page preloads: its scripts, styles and first font. */
const preload = ({ type, path }: { type: string; path: string }): boolean =>
	type === 'js' || type === 'css' || (type === 'font' && /-latin-wght-normal/.test(path));

async function recogniseTeacher(event: Parameters<Handle>[0]['event']): Promise<void> {
	try {
		const found = await auth().api.getSession({ headers: event.request.headers });
		if (!found) return;
		const { id, name, email } = found.user;
		event.locals.teacher = { id, name, email };
		event.locals.studio = await studioFor(db(), { id, name }, env.ORBIT_TIME_ZONE ?? 'Europe/London');
	} catch (thrown) {
		if (isConnectionError(thrown)) error(503, DATABASE_AWAY);
		throw thrown;
	}
}

export const handleError: HandleServerError = ({ error: thrown, event, status, message }) => {
	if (status === 404) return { message: 'There is nothing at this address.' };
	if (status < 500) return { message };
	const reference = newRowId().slice(0, 8);
	if (!isClosing()) logError(reference, `${event.request.method} ${event.route.id ?? 'no route'}`, thrown);
	// names the document and what is wrong with it, and nothing of the database: it stays as it is
	if (thrown instanceof DamagedDocument)
		return { message: `${thrown.message}. Nothing of it was changed.`, reference };
	if (!isConnectionError(thrown))
		return {
			message: 'Something went wrong on our side. Your work has not been lost.',
			reference
		};
	event.locals.databaseAway = true;
	return { message: DATABASE_AWAY, reference };
};
