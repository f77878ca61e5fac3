import { isLeaving } from './device-store';

let asked: Promise<unknown> = Promise.resolve();

/** A worker that is just being installed gets so long to end, or it would keep pages after all were deleted. */
const INSTALL_MS = 5000;

/** Lets the browser keep the pages that teaching needs; without a secure page it does not. */
export async function keepPages(): Promise<void> {
	if (isLeaving()) return;
	asked =
		navigator.serviceWorker?.register('/service-worker.js', { type: 'module' }).catch(() => undefined) ??
		asked;
	await asked;
}

/** Takes the kept pages off this device, those too that are just being fetched. */
export async function forgetPages(): Promise<void> {
	await asked;
	for (const registration of (await navigator.serviceWorker?.getRegistrations()) ?? []) {
		await installed(registration);
		await registration.unregister();
	}
	for (const name of (await globalThis.caches?.keys()) ?? []) await caches.delete(name);
}

function installed({ installing }: ServiceWorkerRegistration): Promise<void> {
	if (!installing) return Promise.resolve();
	return new Promise((done) => {
		installing.addEventListener('statechange', () => done());
		setTimeout(done, INSTALL_MS);
	});
}
