import { getPack } from '../api';
import { DeviceStore } from './device-store';
import { keepPages } from './kept-pages';
import { goesOn, uploadUnsentSessions } from './upload-unsent';

/**
 * Sends the classes that are still unsent, fetches the packs of these plans so that they can be taught without a network,
 * and deletes other packs.
 * @returns the plans that are here now, how many classes the server does not have yet, and the plans of classes that were
 * begun here and go on
 */
export async function makeReady(
	planIds: readonly string[],
	owner: string
): Promise<{ plans: string[]; waiting: number; running: string[] }> {
	const store = await DeviceStore.open().catch(() => null);
	if (!store) return { plans: [], waiting: 0, running: [] };
	await keepPages();
	for (const planId of planIds) {
		const pack = await getPack(planId);
		if (pack?.script.steps.length) await store.putPack({ planId, owner, pack, at: Date.now() });
	}
	await store.keepOnly(planIds);
	const here = await store.packs();
	const waiting = await uploadUnsentSessions(store, owner);
	const running = (await store.runs()).filter((run) => run.owner === owner && goesOn(run));
	store.close();
	return {
		plans: here.map(({ planId }) => planId),
		waiting,
		running: running.map(({ pack }) => pack.planId)
	};
}
