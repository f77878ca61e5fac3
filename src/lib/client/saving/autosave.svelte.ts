import type { Fault } from '$lib/core/validation';
import { send } from '../api';
import type { DocumentForm } from './documents';
import { newId } from '../page/ids';
import { openOutbox, type Begun, type OutboxEntry, type Outbox } from './outbox';
import * as windows from './tab-lock';

export type { Begun } from './outbox';

/** Where a document stands between this window and the server. */
export type SaveState =
	'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused' | 'signed-out' | 'gone';

/** The server's state when it refuses a save that began from an older version. */
export interface Theirs<T> extends Begun {
	document: T;
}

/** The server's answer to a save that it took. */
interface SaveAnswer extends Begun {
	/** Titles of classes that were changed elsewhere while they were out of the series. */
	keptApart?: string[];
}

/** Services that saving a document needs; tests pass their own. */
export interface AutosaveOptions {
	outbox?: Promise<Outbox>;
	ownWindow?: () => Promise<string>;
	isOpen?: (entry: OutboxEntry) => Promise<boolean>;
}

const UNREADABLE = 'Something that this browser had kept could not be read any more.';
const QUIET_MS = 500;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

let shared: Promise<Outbox> | undefined;

/**
 * Keeps one document saved: soon after each change, in the order of the changes, from the version that was loaded. Until
 * the server has it, it waits in the outbox of this browser, so that a lost connection, a stopped database or a closed
 * window loses nothing. "Saved" is said when the server has said so.
 */
export class Autosave<T> {
	state = $state<SaveState>('saved');
	faults = $state<Fault[]>([]);
	theirs = $state<Theirs<T> | null>(null);
	/** After a conflict, the version that was not taken: it stays at hand until the page is left. */
	aside = $state.raw<T | null>(null);
	/** True when the document was taken from this browser because the server did not have it yet. */
	recovered = $state(false);
	/** False when this browser has no room for what waits: then only this window has it. */
	kept = $state(true);
	/** One sentence on what the last save put aside, or on what could not be read. */
	said = $state('');

	private begun = $state.raw<Begun>({ version: 0 });
	/** Sent, and perhaps accepted: sent again as it is until there is an answer. */
	private head: { id: string; begun: Begun; document: T } | null = null;
	/** The newest state, which no request has taken yet. */
	private tail: { id: string; document: T } | null = null;
	private busy = false;
	private closed = false;
	private timer: ReturnType<typeof setTimeout> | undefined;
	private tries = 0;
	/** Writes to the outbox, one after another. */
	private writes: Promise<unknown> = Promise.resolve();

	constructor(
		private readonly url: string,
		begun: Begun,
		/** Whose document it is: two teachers may use one browser. */
		private readonly owner: string,
		private readonly form: DocumentForm<T>,
		private readonly options: AutosaveOptions = {}
	) {
		this.begun = begun;
	}

	/** Sends nothing any more: what waits is in the outbox, for whoever opens the document next. */
	close(): void {
		this.closed = true;
		clearTimeout(this.timer);
	}

	/** The version that the server holds, as far as this window knows. */
	get savedVersion(): number {
		return this.begun.version;
	}

	/**
	 * Returns the changes that this browser kept and the server does not have; null where there are none. Saving
	 * continues from the version on which they are based, so that a change made elsewhere is noticed.
	 */
	async recover(): Promise<T | null> {
		windows.takeOver(`${this.owner} ${this.url}`, this);
		const outbox = await this.outbox();
		const { entries, damaged } = await outbox.waiting(this.owner, this.url);
		const left = await this.leftBehind(entries);
		const [first] = left;
		const last = left.at(-1);
		if (damaged) this.said = UNREADABLE;
		if (!first || !last) return this.fromBefore();
		if (this.tail !== null || this.busy) {
			// typing was quicker than reading: what was found stays at hand
			this.aside = last.document;
			for (const { id } of left) void this.write((box) => box.confirm(id));
			return null;
		}
		this.begun = first.begun;
		this.head = { id: first.id, begun: first.begun, document: first.document };
		if (last !== first) this.tail = { id: last.id, document: last.document };
		// the last state replaces all states between the two
		for (const { id } of left.slice(1, -1)) void this.write((box) => box.confirm(id));
		this.recovered = true;
		this.state = 'waiting';
		this.schedule(0);
		return last.document;
	}

	/** Returns the changes that the previous app version kept for this document (another store, without its owner); once. */
	private fromBefore(): T | null {
		if (typeof localStorage === 'undefined' || this.url === '/api/style') return null;
		const key = `orbit:draft:${this.url}`;
		const text = localStorage.getItem(key);
		if (text === null) return null;
		localStorage.removeItem(key);
		try {
			const { version, document } = JSON.parse(text) as { version: number; document: unknown };
			const read = this.form.read(document);
			if (!Number.isInteger(version) || !read.ok) throw new Error('unreadable');
			this.begun = { ...this.begun, version };
			this.recovered = true;
			this.changed(read.value);
			return read.value;
		} catch {
			this.said = UNREADABLE;
			return null;
		}
	}

	/** Of what waits: what this window left before a reload, or the newest of what a closed one did. Faulty ones go. */
	private async leftBehind(entries: OutboxEntry[]): Promise<(OutboxEntry & { document: T })[]> {
		const isOpen = this.options.isOpen ?? windows.isOpen;
		const left: (OutboxEntry & { document: T })[] = [];
		for (const entry of entries) {
			if (await isOpen(entry)) continue;
			const read = this.form.read(entry.body);
			if (read.ok) left.push({ ...entry, document: read.value });
			else {
				this.said = UNREADABLE;
				void this.write((box) => box.confirm(entry.id));
			}
		}
		const newest = left.at(-1)?.window;
		return left.filter(({ window }) => window === newest);
	}

	changed(document: T): void {
		windows.takeOver(`${this.owner} ${this.url}`, this);
		const insteadOf = this.tail?.id;
		const tail = { id: newId(), document };
		this.tail = tail;
		const { begun } = this;
		void this.write(async (outbox) => {
			const window = await (this.options.ownWindow ?? windows.ownWindow)();
			const { owner, url: subject } = this;
			const entry: OutboxEntry = {
				id: tail.id,
				kind: 'save',
				format: 1,
				owner,
				subject,
				window,
				begun,
				body: this.form.asSent(document),
				at: Date.now()
			};
			this.kept = await outbox.append(entry, insteadOf);
		});
		if (this.state === 'conflict' || this.busy) return;
		if (this.state !== 'offline') this.state = 'waiting';
		this.schedule(QUIET_MS);
	}

	/** Tries at once: on the way out of the page, or when the connection is back. */
	flush(): void {
		if ((this.head || this.tail) && this.state !== 'conflict') void this.send();
	}

	/** The document is kept somewhere else now: nothing of it waits here any more. */
	settled(): void {
		for (const waiting of [this.head, this.tail])
			if (waiting) void this.write((outbox) => outbox.confirm(waiting.id));
		this.head = this.tail = null;
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
		this.settled();
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

	private outbox(): Promise<Outbox> {
		return this.options.outbox ?? (shared ??= openOutbox());
	}

	private write(work: (outbox: Outbox) => Promise<unknown>): Promise<unknown> {
		return (this.writes = this.writes.then(async () => work(await this.outbox())).catch(() => undefined));
	}

	private schedule(ms: number): void {
		clearTimeout(this.timer);
		if (this.closed) return;
		this.timer = setTimeout(() => void this.send(), ms);
	}

	private async send(): Promise<void> {
		clearTimeout(this.timer);
		if (this.busy || this.closed) return;
		if (!this.head && this.tail) {
			this.head = { ...this.tail, begun: this.begun };
			this.tail = null;
		}
		const { head } = this;
		if (!head) return;
		this.busy = true;
		this.state = 'saving';
		try {
			const response = await send(
				this.url,
				{ ...head.begun, document: this.form.asSent(head.document) },
				head.id
			);
			this.busy = false;
			await this.answered(response, head);
		} catch {
			this.busy = false;
			this.failed();
		}
	}

	private async answered(response: Response, head: { id: string; document: T }): Promise<void> {
		if (response.status >= 500 || response.status === 429) return this.failed();
		const answer = (await response.json().catch(() => ({}))) as Partial<SaveAnswer> & {
			faults?: Fault[];
			message?: string;
			current?: Theirs<T>;
		};
		if (response.ok && answer.version !== undefined) return this.accepted(answer as SaveAnswer, head.id);
		// not taken: what was sent waits again, unless something newer does already
		this.head = null;
		if (this.tail) void this.write((outbox) => outbox.confirm(head.id));
		else this.tail = { id: head.id, document: head.document };
		if (response.status === 409 && answer.current) {
			this.theirs = answer.current;
			this.state = 'conflict';
		} else if (response.status === 401) this.state = 'signed-out';
		else if (response.status === 404) this.state = 'gone';
		else {
			this.faults = answer.faults ?? [{ path: '', message: answer.message ?? 'it was not taken' }];
			this.state = 'refused';
		}
	}

	private accepted(answer: SaveAnswer, id: string): void {
		this.goOnFrom(answer);
		this.head = null;
		this.tries = 0;
		this.faults = [];
		this.said = answer.keptApart?.length
			? `Changed elsewhere meanwhile and kept as a class of its own: ${answer.keptApart.join(', ')}`
			: '';
		const next = this.tail && { id: this.tail.id, begun: this.begun };
		void this.write((outbox) => outbox.confirm(id, next ?? undefined));
		this.state = this.tail ? 'waiting' : 'saved';
		if (this.tail) this.schedule(0);
	}

	private failed(): void {
		this.state = 'offline';
		this.schedule(RETRY_MS[Math.min(this.tries++, RETRY_MS.length - 1)] as number);
	}
}
