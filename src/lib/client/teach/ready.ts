import { getPack } from '../api';
import { DeviceStore } from './device-store';

/**
 * Fetches classes onto this device, so that they can be taught without a network, and takes out those of before.
 * @returns the plans that are here now
 */
export async function makeReady(planIds: readonly string[], owner: string): Promise<string[]> {
	const store = await DeviceStore.open().catch(() => null);
	if (!store) return [];
	for (const planId of planIds) {
		const pack = await getPack(planId);
		if (pack?.script.steps.length) await store.putPack({ planId, owner, pack, at: Date.now() });
	}
	await store.keepOnly(planIds);
	const here = await store.packs();
	store.close();
	return here.map(({ planId }) => planId);
}
