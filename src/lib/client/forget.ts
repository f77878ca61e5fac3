import { deleteDB } from 'idb';
import { OUTBOX_STORE } from './outbox';
import { DeviceStore, leave, TEACH_STORE } from './teach/device-store';

/** A worker that is just being installed gets so long to end, or it would keep pages after all were deleted. */
const INSTALL_MS = 5000;

/** How many things that happened in classes have not reached the server from this device. */
export async function unsentEvents(): Promise<number> {
	const store = await DeviceStore.open().catch(() => null);
	if (!store) return 0;
	let unsent = 0;
	for (const run of await store.runs()) unsent += (await store.unsent(run.id)).length;
	store.close();
	return unsent;
}

/** Leaves nothing of a studio on this device: no classes, no drafts, no kept pages. */
export async function forgetDevice(): Promise<void> {
	leave();
	// pages that have them open let go of them
	for (const name of [TEACH_STORE, OUTBOX_STORE]) await deleteDB(name).catch(() => undefined);
	for (const registration of (await navigator.serviceWorker?.getRegistrations()) ?? []) {
		await installed(registration);
		await registration.unregister();
	}
	for (const name of (await globalThis.caches?.keys()) ?? []) await caches.delete(name);
	for (const key of Object.keys(localStorage))
		if (key.startsWith('orbit:draft:')) localStorage.removeItem(key);
}

function installed({ installing }: ServiceWorkerRegistration): Promise<void> {
	if (!installing) return Promise.resolve();
	return new Promise((done) => {
		installing.addEventListener('statechange', () => done());
		setTimeout(done, INSTALL_MS);
	});
}
