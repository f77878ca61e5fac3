import { getPack } from '../api';
import { DeviceStore } from './device-store';

/** Lets the browser keep the pages that teaching needs; without a secure page it does not. */
export async function keepPages(): Promise<void> {
	await navigator.serviceWorker?.register('/service-worker.js', { type: 'module' }).catch(() => undefined);
}

/**
 * Fetches classes onto this device, so that they can be taught without a network, and takes out those of before.
 * @returns the plans that are here now
 */
export async function makeReady(planIds: readonly string[], owner: string): Promise<string[]> {
	const store = await DeviceStore.open().catch(() => null);
	if (!store) return [];
	await keepPages();
	for (const planId of planIds) {
		const pack = await getPack(planId);
		if (pack?.script.steps.length) await store.putPack({ planId, owner, pack, at: Date.now() });
	}
	await store.keepOnly(planIds);
	const here = await store.packs();
	store.close();
	return here.map(({ planId }) => planId);
}
