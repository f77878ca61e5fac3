import { getPack } from '../api';
import { DeviceStore } from './device-store';
import { keepPages } from './kept-pages';
import { sendLeft } from './left';

/**
 * Fetches classes onto this device, so that they can be taught without a network, and takes out those of before.
 * What earlier classes left here is sent.
 * @returns the plans that are here now, and how many classes the server does not have yet
 */
export async function makeReady(
	planIds: readonly string[],
	owner: string
): Promise<{ plans: string[]; waiting: number }> {
	const store = await DeviceStore.open().catch(() => null);
	if (!store) return { plans: [], waiting: 0 };
	await keepPages();
	for (const planId of planIds) {
		const pack = await getPack(planId);
		if (pack?.script.steps.length) await store.putPack({ planId, owner, pack, at: Date.now() });
	}
	await store.keepOnly(planIds);
	const here = await store.packs();
	const waiting = await sendLeft(store, owner);
	store.close();
	return { plans: here.map(({ planId }) => planId), waiting };
}
