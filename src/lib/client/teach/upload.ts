import { sendEvents } from '../api';
import type { DeviceStore, KeptEvent, KeptSession } from './device-store';

/** How it stands between this device and the server. */
export type Upload = 'all sent' | 'waits' | 'signed out' | 'refused';

/** The server's answer to events of a class. */
export interface UploadAnswer {
	/** Refused events with their reasons, by index in the request. */
	refused: { index: number; faults: { message: string }[] }[];
	/** When the class began by the server's clock, in words, where this device's clock cannot be right. */
	clock: string | null;
	/** When other devices began that lead the same class now, in words. */
	others: string[];
}

/** Result of an upload, with the server's answer. */
export interface Sent {
	upload: Upload;
	received: UploadAnswer | null;
	/** Why it was refused, in the server's words. */
	why: string;
}

/** Most events in one request. */
const AT_ONCE = 1000;

/**
 * Sends what the server does not have of a run, with the class itself the first time; each event is accepted once.
 * `isSign`: also where there is nothing, as a sign that the device is there.
 */
export async function upload(store: DeviceStore, run: KeptSession, isSign = false): Promise<Sent> {
	const unsent = await store.unsent(run.id);
	if (unsent.length === 0 && run.known && !isSign) return sent('all sent');
	const parts = [unsent.slice(0, AT_ONCE)];
	for (let from = AT_ONCE; from < unsent.length; from += AT_ONCE)
		parts.push(unsent.slice(from, from + AT_ONCE));
	let last = sent('all sent');
	for (const [i, events] of parts.entries()) {
		last = await sendPart(store, run, events, run.over && i === parts.length - 1);
		if (last.upload !== 'all sent') return last;
	}
	return last;
}

const sent = (upload: Upload, received: UploadAnswer | null = null, why = ''): Sent => ({
	upload,
	received,
	why
});

async function sendPart(
	store: DeviceStore,
	run: KeptSession,
	events: readonly KeptEvent[],
	over: boolean
): Promise<Sent> {
	let response: Response;
	try {
		response = await sendEvents(run.id, {
			planId: run.pack.planId,
			groupId: run.pack.groupId,
			startedAt: run.startedAt,
			at: Date.now(),
			over,
			script: run.known ? null : run.pack.script,
			events: events.map(({ place, event }) => ({ place, event }))
		});
	} catch {
		return sent('waits');
	}
	if (response.ok) {
		// a refused event is not sent again: it would be refused each time
		await store.markSent(events);
		if (!run.known) await store.putRun(Object.assign(run, { known: true }));
		return sent('all sent', (await response.json().catch(() => null)) as UploadAnswer | null);
	}
	// the server has lost it, or never had it: the next time with its script
	if (response.status === 409 && run.known) {
		run.known = false;
		return sent('waits');
	}
	if (response.status === 401) return sent('signed out');
	if (response.status >= 500 || response.status === 429) return sent('waits');
	return sent('refused', null, await whyOf(response));
}

async function whyOf(response: Response): Promise<string> {
	const body = (await response.json().catch(() => ({}))) as {
		message?: string;
		faults?: { message: string }[];
	};
	return body.message ?? body.faults?.[0]?.message ?? '';
}
