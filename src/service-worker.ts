/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
/**
 * Keeps what a class in the room needs on the device: the scripts, styles and letters of the app and the page that
 * teaching runs in. Nothing of a studio is kept here: classes lie in IndexedDB. A new version waits until no page of the
 * old one is open, so that it never comes between.
 */
import { build, files, version } from '$service-worker';

const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `orbit-${version}`;
const TEACH = '/teach';
const PAGES = [TEACH, `${TEACH}/room`, `${TEACH}/script`];
/** The pages, and what each asks the server for first: who is signed in. */
const KEPT = new Set(PAGES.flatMap((page) => [page, `${page}/__data.json`]));
const ASSETS = new Set([...build, ...files]);
/** After so long without an answer the network counts as gone. */
const PATIENCE_MS = 3000;

worker.addEventListener('install', (event) => event.waitUntil(keep()));

async function keep(): Promise<void> {
	const cache = await caches.open(CACHE);
	await cache.addAll([...ASSETS]);
	// as a teacher who is not signed in gets it: without a name
	for (const path of KEPT) await cache.put(path, await fetch(path, { credentials: 'omit' }));
}

worker.addEventListener('activate', (event) =>
	event.waitUntil(
		(async () => {
			for (const name of await caches.keys()) if (name !== CACHE) await caches.delete(name);
			await worker.clients.claim();
		})()
	)
);

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (request.method !== 'GET' || url.origin !== worker.location.origin) return;
	if (ASSETS.has(url.pathname)) event.respondWith(kept(request));
	else if (KEPT.has(url.pathname)) event.respondWith(fromServer(request, url.pathname));
	else if (request.mode === 'navigate') event.respondWith(orToClasses(request));
});

async function kept(request: Request): Promise<Response> {
	return (await caches.match(request)) ?? fetch(request);
}

/** From the server where it answers in time; else as it is kept. */
async function fromServer(request: Request, path: string): Promise<Response> {
	try {
		const response = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
		if (response.ok) return response;
	} catch {
		// no network, or none worth waiting for
	}
	return (await caches.match(path)) ?? Response.error();
}

/** Without a network every other page leads to the classes that lie on this device. */
async function orToClasses(request: Request): Promise<Response> {
	try {
		return await fetch(request);
	} catch (thrown) {
		if (!(await caches.match(TEACH))) throw thrown;
		return Response.redirect(TEACH);
	}
}
