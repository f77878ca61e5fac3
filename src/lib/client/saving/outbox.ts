import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { number, object, string, mixed } from 'yup';

/** Versions on which a change of a document is based; for a series also those of its plans. */
export interface Begun {
	version: number;
	planVersions?: Record<string, number>;
}

/**
 * Something that has to reach the server. Entries are only ever added and taken out: the server accepts each id once, so
 * one may be sent again until its answer has come.
 */
export interface OutboxEntry {
	/** Chosen here, 16 letters or digits. */
	id: string;
	/** Kind of entry; saving a document is the only one so far. */
	kind: 'save';
	/** Version of this shape, so that a later program can read what an earlier one left behind. */
	format: 1;
	/** The teacher whose it is: two may use one browser. */
	owner: string;
	/** The address that it goes to, which is also what it belongs to. */
	subject: string;
	/** The window that made it. */
	window: string;
	begun: Begun;
	body: unknown;
	/** When it was made, milliseconds since 1970. */
	at: number;
}

const entrySchema = object({
	id: string().min(16).max(40).required(),
	kind: string().oneOf(['save']).required(),
	format: number().oneOf([1]).required(),
	owner: string().required(),
	subject: string().required(),
	window: string().required(),
	begun: object({
		version: number().integer().min(0).required(),
		planVersions: object().optional()
	}).required(),
	body: mixed().required(),
	at: number().required()
});

interface OutboxDB extends DBSchema {
	entries: {
		/** Rises by one with each entry: the order in which they were made. */
		key: number;
		value: OutboxEntry & { seq?: number };
		indexes: { subject: [string, string]; id: string };
	};
}

/** Where entries wait until the server has them. */
export interface Outbox {
	/** Adds an entry, in the place of one that was never sent; false where this browser has no room for it. */
	append(entry: OutboxEntry, insteadOf?: string): Promise<boolean>;
	/** Takes an entry out, and lets another go on from what the server answered. */
	confirm(id: string, next?: { id: string; begun: Begun }): Promise<void>;
	/** Returns the entries that wait for one document, in order. Unreadable ones are removed and counted. */
	waiting(owner: string, subject: string): Promise<{ entries: OutboxEntry[]; damaged: number }>;
	close(): void;
}

export const OUTBOX_STORE = 'humble-orbit-outbox';

/**
 * The outbox of this browser, in IndexedDB; where there is none (a private window of some browsers), one that lasts as
 * long as the page and says so by answering `append` with false.
 */
export async function openOutbox(name = OUTBOX_STORE): Promise<Outbox> {
	if (typeof indexedDB === 'undefined') return inMemory();
	try {
		return inBrowser(
			await openDB<OutboxDB>(name, 1, {
				upgrade(db) {
					const store = db.createObjectStore('entries', { keyPath: 'seq', autoIncrement: true });
					store.createIndex('subject', ['owner', 'subject']);
					store.createIndex('id', 'id', { unique: true });
				},
				// the teacher signs out, and nothing is left on this device
				blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close()
			})
		);
	} catch {
		return inMemory();
	}
}

function inBrowser(db: IDBPDatabase<OutboxDB>): Outbox {
	return {
		async append(entry, insteadOf) {
			try {
				const tx = db.transaction('entries', 'readwrite');
				const before = insteadOf && (await tx.store.index('id').getKey(insteadOf));
				if (before) await tx.store.delete(before);
				await tx.store.add(entry);
				await tx.done;
				return true;
			} catch {
				return false; // no room, or the store is gone: the entry lives on in the page alone
			}
		},
		async confirm(id, next) {
			try {
				const tx = db.transaction('entries', 'readwrite');
				const key = await tx.store.index('id').getKey(id);
				if (key !== undefined) await tx.store.delete(key);
				const following = next && (await tx.store.index('id').get(next.id));
				if (following) await tx.store.put({ ...following, begun: next.begun });
				await tx.done;
			} catch {
				// it stays, and is sent once more: the server knows its id
			}
		},
		async waiting(owner, subject) {
			try {
				const tx = db.transaction('entries', 'readwrite');
				const sound: OutboxEntry[] = [];
				let damaged = 0;
				for await (const cursor of tx.store.index('subject').iterate([owner, subject])) {
					if (entrySchema.isValidSync(cursor.value, { strict: true })) sound.push(cursor.value);
					else {
						damaged++;
						await cursor.delete();
					}
				}
				await tx.done;
				return { entries: sound, damaged };
			} catch {
				return { entries: [], damaged: 0 };
			}
		},
		close: () => db.close()
	};
}

function inMemory(): Outbox {
	return {
		append: () => Promise.resolve(false),
		confirm: () => Promise.resolve(),
		waiting: () => Promise.resolve({ entries: [], damaged: 0 }),
		close: () => undefined
	};
}
