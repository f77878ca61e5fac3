import { sendEvents } from '../api';
import type { DeviceStore, KeptRun } from './device-store';

/** How it stands between this device and the server. */
export type Upload = 'all sent' | 'waits' | 'signed out' | 'refused';

/**
 * Sends what the server does not have of a run, with the class itself the first time; each event is accepted once.
 * `isSign`: also where there is nothing, as a sign that the device is there.
 */
export async function upload(store: DeviceStore, run: KeptRun, isSign = false): Promise<Upload> {
	const events = await store.unsent(run.id);
	if (events.length === 0 && run.known && !isSign) return 'all sent';
	let response: Response;
	try {
		response = await sendEvents(run.id, {
			planId: run.pack.planId,
			startedAt: run.startedAt,
			at: Date.now(),
			over: run.over,
			script: run.known ? null : run.pack.script,
			events: events.map(({ place, event }) => ({ place, event }))
		});
	} catch {
		return 'waits';
	}
	if (response.ok) {
		await store.markSent(events);
		if (!run.known) await store.putRun(Object.assign(run, { known: true }));
		return 'all sent';
	}
	// the server has lost it, or never had it: the next time with its script
	if (response.status === 409 && run.known) {
		run.known = false;
		return 'waits';
	}
	if (response.status === 401) return 'signed out';
	return response.status >= 500 || response.status === 429 ? 'waits' : 'refused';
}
