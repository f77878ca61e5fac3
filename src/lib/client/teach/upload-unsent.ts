import { isAbandoned } from '$lib/core/teach';
import type { DeviceStore, KeptSession } from './device-store';
import { upload } from './upload';

/** A class that goes on: one that was not ended, and that was not left open. */
export const goesOn = ({ over, startedAt }: KeptSession): boolean =>
	!over && !isAbandoned(startedAt, Date.now());

/**
 * Sends what earlier classes of this teacher left on the device; what the server has is taken out.
 * @returns how many classes are still here
 */
export async function uploadUnsentSessions(store: DeviceStore, owner: string): Promise<number> {
	let left = 0;
	for (const run of await store.runs()) {
		if (run.owner !== owner || goesOn(run)) continue;
		if ((await upload(store, run)).upload === 'all sent') await store.drop(run.id);
		else left += 1;
	}
	return left;
}
