import { deleteDB } from 'idb';
import { PACE_SAID } from '../plan/pace-notice';
import { OUTBOX_STORE } from './outbox';
import { DeviceStore, leave, TEACH_STORE } from '../teach/device-store';
import { forgetPages } from '../teach/kept-pages';

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
	await forgetPages();
	localStorage.removeItem(PACE_SAID);
	for (const key of Object.keys(localStorage))
		if (key.startsWith('orbit:draft:')) localStorage.removeItem(key);
}
