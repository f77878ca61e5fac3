import { newId } from '../page/ids';

const KEY = 'orbit-window';
const lockOf = (window: string) => `orbit-window-${window}`;
/** A window that was reloaded may still hold its own lock for a moment. */
const RELOAD_MS = 300;
/** Where the browser has no locks: what another window wrote this long ago, it has left behind. */
const LEFT_BEHIND_MS = 60_000;

let own: Promise<string> | undefined;

/**
 * The id of this window: the same after a reload, and another than that of any window that is open, also of one that this
 * one was duplicated from.
 */
export function ownWindow(): Promise<string> {
	return (own ??= claim());
}

async function claim(): Promise<string> {
	const known = sessionStorage.getItem(KEY);
	const id = known && (await held(known)) ? known : newId();
	if (id !== known) {
		sessionStorage.setItem(KEY, id);
		await held(id);
	}
	return id;
}

/** Holds the lock of a window for as long as this page lives; false when another page holds it. */
function held(id: string): Promise<boolean> {
	if (!navigator.locks) return Promise.resolve(true);
	return new Promise((done) => {
		const forEver = () => {
			done(true);
			return new Promise<never>(() => undefined);
		};
		navigator.locks
			.request(lockOf(id), { signal: AbortSignal.timeout(RELOAD_MS) }, forEver)
			.catch(() => done(false));
	});
}

/** Whether the window that made an entry is still open, and will send it itself. */
export async function isOpen({ window, at }: { window: string; at: number }): Promise<boolean> {
	if (window === (await ownWindow())) return false;
	if (!navigator.locks) return Date.now() - at < LEFT_BEHIND_MS;
	const { held = [] } = await navigator.locks.query();
	return held.some(({ name }) => name === lockOf(window));
}

/** Who saves which document in this window: one whose page was left goes on until the document is opened again. */
const saving = new Map<string, { close(): void }>();

/** From now on this is who saves the document; who did so before sends nothing any more. */
export function takeOver(document: string, saver: { close(): void }): void {
	if (saving.get(document) === saver) return;
	saving.get(document)?.close();
	saving.set(document, saver);
}
