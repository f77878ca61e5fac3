import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { EventTime, SessionEvent, TeachPack } from '$lib/core/teach';

/** A class on this device, ready to be taught without a network. */
export interface KeptPack {
	planId: string;
	/** The teacher whose it is. */
	owner: string;
	pack: TeachPack;
	/** When it came, milliseconds since 1970. */
	at: number;
}

/** A class that is or was led with this device. */
export interface KeptSession {
	id: string;
	owner: string;
	/** The class as it was when it began, whatever becomes of its plan. */
	pack: TeachPack;
	startedAt: number;
	/** Whether the server knows of it, and with it the script. */
	known: boolean;
	/** Nothing more is to come. */
	over: boolean;
}

/** One thing that happened, with its place in the log. */
export interface KeptEvent {
	run: string;
	place: number;
	event: SessionEvent;
	/** Whether the server has it: 0 or 1, since an index takes no booleans. */
	sent: 0 | 1;
}

interface DeviceDB extends DBSchema {
	packs: { key: string; value: KeptPack };
	runs: { key: string; value: KeptSession };
	events: { key: [string, number]; value: KeptEvent; indexes: { sent: [string, 0 | 1] } };
	/** When the page of a run was last there. */
	alive: { key: string; value: EventTime };
}

export const TEACH_STORE = 'humble-orbit-teach';

/** The teacher signs out: what still runs on this page keeps nothing any more. */
let leaving = false;
export const isLeaving = (): boolean => leaving;
export function leave(): void {
	leaving = true;
}

/** Store of this device for teaching. Everything is written before it is reported as done. */
export class DeviceStore {
	private constructor(private readonly db: IDBPDatabase<DeviceDB>) {}

	/** Throws where this browser keeps nothing (a private window of some browsers), and once the teacher signs out. */
	static async open(): Promise<DeviceStore> {
		if (leaving) throw new Error('Signing out.');
		return new DeviceStore(
			await openDB<DeviceDB>(TEACH_STORE, 1, {
				upgrade(db) {
					db.createObjectStore('packs', { keyPath: 'planId' });
					db.createObjectStore('runs', { keyPath: 'id' });
					const events = db.createObjectStore('events', { keyPath: ['run', 'place'] });
					events.createIndex('sent', ['run', 'sent']);
					db.createObjectStore('alive');
				},
				// the teacher signs out, and nothing is left on this device
				blocking: (_current, _blocked, event) => (event.target as IDBDatabase).close()
			})
		);
	}

	async putPack(kept: KeptPack): Promise<void> {
		await this.db.put('packs', kept);
	}

	packs(): Promise<KeptPack[]> {
		return this.db.getAll('packs');
	}

	pack(planId: string): Promise<KeptPack | undefined> {
		return this.db.get('packs', planId);
	}

	/** Takes out the classes that are not among these. */
	async keepOnly(planIds: readonly string[]): Promise<void> {
		for (const key of await this.db.getAllKeys('packs'))
			if (!planIds.includes(key)) await this.db.delete('packs', key);
	}

	async putRun(run: KeptSession): Promise<void> {
		await this.db.put('runs', run);
	}

	runs(): Promise<KeptSession[]> {
		return this.db.getAll('runs');
	}

	async add(run: string, place: number, event: SessionEvent): Promise<void> {
		await this.db.add('events', { run, place, event, sent: 0 });
	}

	async events(run: string): Promise<SessionEvent[]> {
		const all = await this.db.getAll('events', IDBKeyRange.bound([run, 0], [run, Infinity]));
		return all.map(({ event }) => event);
	}

	unsent(run: string): Promise<KeptEvent[]> {
		return this.db.getAllFromIndex('events', 'sent', [run, 0]);
	}

	async markSent(events: readonly KeptEvent[]): Promise<void> {
		const tx = this.db.transaction('events', 'readwrite');
		for (const event of events) await tx.store.put({ ...event, sent: 1 });
		await tx.done;
	}

	async isAlive(run: string, time: EventTime): Promise<void> {
		await this.db.put('alive', time, run);
	}

	lastAlive(run: string): Promise<EventTime | undefined> {
		return this.db.get('alive', run);
	}

	/** A run that is over and known to the server is not needed here any more. */
	async drop(run: string): Promise<void> {
		const tx = this.db.transaction(['runs', 'events', 'alive'], 'readwrite');
		await tx.objectStore('runs').delete(run);
		await tx.objectStore('events').delete(IDBKeyRange.bound([run, 0], [run, Infinity]));
		await tx.objectStore('alive').delete(run);
		await tx.done;
	}

	close(): void {
		this.db.close();
	}
}
