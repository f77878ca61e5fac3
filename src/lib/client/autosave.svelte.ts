import { browser } from '$app/environment';
import type { Fault } from '$lib/core/plan';

/** Where a document stands between this window and the server. */
export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused' | 'signed-out';

/** What the server holds when it refuses a save that began from an older version. */
export interface Theirs<T> {
	version: number;
	document: T;
}

interface Draft<T> {
	version: number;
	document: T;
}

const QUIET_MS = 500;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

/**
 * Keeps one document saved: soon after each change, in the order of the changes, from the version that was
 * loaded. Until the server has it, the newest state is also kept in this browser, so that a lost connection,
 * a stopped database or a closed window loses nothing.
 */
export class Autosave<T> {
	state = $state<SaveState>('saved');
	faults = $state<Fault[]>([]);
	theirs = $state<Theirs<T> | null>(null);
	/** After a conflict, the version that was not taken: it stays at hand until the page is left. */
	aside = $state.raw<T | null>(null);
	/** True when the document was taken from this browser because the server did not have it yet. */
	recovered = $state(false);

	private version = $state(0);
	private pending: T | null = null;
	private timer: ReturnType<typeof setTimeout> | undefined;
	private tries = 0;

	constructor(
		private readonly url: string,
		version: number
	) {
		this.version = version;
	}

	/** The version that the server holds, as far as this window knows. */
	get savedVersion(): number {
		return this.version;
	}

	private get key(): string {
		return `orbit:draft:${this.url}`;
	}

	/**
	 * What this browser kept from before, if it is newer than what the server sent. Saving goes on from the
	 * version it was begun from, so that a change made elsewhere meanwhile is found out.
	 */
	recover(): T | null {
		const text = browser ? localStorage.getItem(this.key) : null;
		if (!text) return null;
		const draft = JSON.parse(text) as Draft<T>;
		this.version = draft.version;
		this.recovered = true;
		this.changed(draft.document);
		return draft.document;
	}

	changed(document: T): void {
		this.pending = document;
		this.keep();
		if (this.state === 'conflict' || this.state === 'saving') return;
		this.state = this.state === 'offline' ? 'offline' : 'waiting';
		this.schedule(QUIET_MS);
	}

	/** Tries at once: on the way out of the page, or when the connection is back. */
	flush(): void {
		if (this.pending !== null && this.state !== 'conflict' && this.state !== 'saving') void this.send();
	}

	/** Takes this window's document on top of what the server holds, which is set aside. */
	keepMine(document: T): void {
		if (!this.theirs) return;
		this.aside = this.theirs.document;
		this.version = this.theirs.version;
		this.theirs = null;
		this.state = 'waiting';
		this.changed(document);
	}

	/** Goes on from what the server holds; this window's document is set aside. */
	takeTheirs(mine: T): T | null {
		const theirs = this.theirs;
		if (!theirs) return null;
		this.aside = mine;
		this.version = theirs.version;
		this.theirs = null;
		this.pending = null;
		this.forget();
		this.state = 'saved';
		return theirs.document;
	}

	/** Goes over to the version that was set aside; the present one is set aside in its place. */
	swapAside(present: T): T | null {
		const other = this.aside;
		if (other === null) return null;
		this.aside = present;
		this.changed(other);
		return other;
	}

	private schedule(ms: number): void {
		clearTimeout(this.timer);
		this.timer = setTimeout(() => void this.send(), ms);
	}

	private async send(): Promise<void> {
		clearTimeout(this.timer);
		const document = this.pending;
		if (document === null) return;
		this.pending = null;
		this.state = 'saving';
		try {
			const response = await fetch(this.url, {
				method: 'PUT',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ version: this.version, document })
			});
			await this.answered(response, document);
		} catch {
			this.failed(document);
		}
	}

	private async answered(response: Response, document: T): Promise<void> {
		if (response.ok) {
			this.version = ((await response.json()) as { version: number }).version;
			this.tries = 0;
			this.faults = [];
			if (this.pending === null) {
				this.state = 'saved';
				this.forget();
			} else {
				this.state = 'waiting';
				this.keep();
				this.schedule(0);
			}
			return;
		}
		this.pending ??= document;
		this.keep();
		if (response.status === 409) {
			this.theirs = ((await response.json()) as { current: Theirs<T> }).current;
			this.state = 'conflict';
		} else if (response.status === 422) {
			this.faults = ((await response.json()) as { faults: Fault[] }).faults;
			this.state = 'refused';
		} else if (response.status === 401) {
			this.state = 'signed-out';
		} else this.failed(document);
	}

	private failed(document: T): void {
		this.pending ??= document;
		this.keep();
		this.state = 'offline';
		this.schedule(RETRY_MS[Math.min(this.tries++, RETRY_MS.length - 1)] as number);
	}

	private keep(): void {
		if (browser && this.pending !== null)
			localStorage.setItem(this.key, JSON.stringify({ version: this.version, document: this.pending }));
	}

	private forget(): void {
		if (browser) localStorage.removeItem(this.key);
	}
}
