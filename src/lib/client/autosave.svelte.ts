import { browser } from '$app/environment';
import type { Fault } from '$lib/core/plan';
import { send } from './api';

/** Where a document stands between this window and the server. */
export type SaveState =
	'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused' | 'signed-out' | 'gone';

/** What a change began from: the version of the document, and of a series also those of its plans. */
export interface Begun {
	version: number;
	planVersions?: Record<string, number>;
}

/** What the server holds when it refuses a save that began from an older version. */
export interface Theirs<T> extends Begun {
	document: T;
}

interface Draft<T> extends Begun {
	document: T;
}

/** What the server says of a save that it took. */
interface SaveAnswer extends Begun {
	/** Titles of classes that were changed elsewhere while they were out of the series. */
	keptApart?: string[];
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
	/** What the last save put in safety beside the document, in a sentence. */
	said = $state('');

	private begun = $state.raw<Begun>({ version: 0 });
	private pending: T | null = null;
	private timer: ReturnType<typeof setTimeout> | undefined;
	private tries = 0;

	constructor(
		private readonly url: string,
		begun: Begun,
		/** Whose document it is: two teachers may use one browser. */
		private readonly owner: string
	) {
		this.begun = begun;
	}

	/** The version that the server holds, as far as this window knows. */
	get savedVersion(): number {
		return this.begun.version;
	}

	private get key(): string {
		return `orbit:draft:${this.owner}:${this.url}`;
	}

	/**
	 * What this browser kept from before, if it is newer than what the server sent. Saving goes on from the
	 * version it was begun from, so that a change made elsewhere meanwhile is found out.
	 */
	recover(): T | null {
		const text = browser ? localStorage.getItem(this.key) : null;
		if (!text) return null;
		const draft = JSON.parse(text) as Draft<T>;
		const { document: _document, ...begun } = draft;
		this.begun = begun;
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

	/** The document is kept somewhere else now: nothing of it waits here any more. */
	settled(): void {
		this.pending = null;
		this.forget();
	}

	/** Takes this window's document on top of what the server holds, which is set aside. */
	keepMine(document: T): void {
		if (!this.theirs) return;
		this.aside = this.theirs.document;
		this.goOnFrom(this.theirs);
		this.theirs = null;
		this.state = 'waiting';
		this.changed(document);
	}

	/** Goes on from what the server holds; this window's document is set aside. */
	takeTheirs(mine: T): T | null {
		const theirs = this.theirs;
		if (!theirs) return null;
		this.aside = mine;
		this.goOnFrom(theirs);
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

	/** Versions of plans that this window knows and the server did not name again stay known. */
	private goOnFrom({ version, planVersions }: Begun): void {
		this.begun = planVersions
			? { version, planVersions: { ...this.begun.planVersions, ...planVersions } }
			: { version };
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
			await this.answered(await send(this.url, { ...this.begun, document }), document);
		} catch {
			this.failed(document);
		}
	}

	private async answered(response: Response, document: T): Promise<void> {
		if (response.ok) {
			const answer = (await response.json()) as SaveAnswer;
			this.goOnFrom(answer);
			this.said = answer.keptApart?.length
				? `Changed elsewhere meanwhile and kept as a class of its own: ${answer.keptApart.join(', ')}`
				: '';
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
		} else if (response.status === 404) {
			this.state = 'gone';
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
			localStorage.setItem(this.key, JSON.stringify({ ...this.begun, document: this.pending }));
	}

	private forget(): void {
		if (browser) localStorage.removeItem(this.key);
	}
}
