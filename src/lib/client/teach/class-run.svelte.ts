import {
	elapse,
	msBetween,
	nowOf,
	behindMs,
	endsAt,
	offersToEndOnTime,
	replay,
	Steps,
	type EventTime,
	type Now,
	type Offer,
	type RunAct,
	type RunEvent,
	type RunState,
	type TeachPack
} from '$lib/core/teach';
import { newId } from '../ids';
import type { DeviceStore, KeptRun } from './device-store';
import { upload, type Upload } from './upload';

/** What tells the time: tests and rehearsals hand in their own. */
export interface TeachClock {
	now(): EventTime;
}

/** This opening of the page: monotonic times count from it. */
const BOOT = newId();

export const wallClock: TeachClock = {
	now: () => ({ at: Date.now(), monoMs: Math.round(performance.now()), boot: BOOT })
};

/** A clock that goes so many times as fast, from now on. */
export function fastClock(times: () => number): TeachClock {
	let last = performance.now();
	let monoMs = 0;
	const startedAt = Date.now();
	return {
		now: () => {
			const real = performance.now();
			monoMs += (real - last) * times();
			last = real;
			return { at: startedAt + monoMs, monoMs, boot: 'rehearsal' };
		}
	};
}

/** Milliseconds between two signs of life that are written down. */
const ALIVE_EVERY_MS = 5000;
const SEND_AGAIN_MS = 15_000;

/**
 * A class that is led: what happened in it, and where it is now. In a rehearsal nothing is kept and nothing is sent.
 */
export class ClassRun {
	readonly steps: Steps;
	/** After the last thing that happened. */
	private events = $state.raw<RunEvent[]>([]);
	private readonly after: RunState = $derived.by(() => replay(this.steps.script, this.events));
	/** Now. */
	state = $state.raw<RunState>(null as never);
	readonly now: Now = $derived.by(() => nowOf(this.state, this.steps));
	readonly behindMs = $derived.by(() => behindMs(this.state, this.steps));
	readonly endsAt = $derived.by(() => endsAt(this.state, this.steps));
	upload = $state<Upload>('all sent');
	/** False where this device could not write down what happened. */
	kept = $state(true);

	private lastAlive = 0;
	private sending = false;
	private again: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly pack: TeachPack,
		private readonly clock: TeachClock,
		/** Where it is kept; null for a rehearsal, and where this browser keeps nothing. */
		private readonly keeping: { store: DeviceStore; run: KeptRun } | null,
		readonly isRehearsal: boolean,
		events: RunEvent[] = []
	) {
		this.steps = new Steps(pack.script);
		this.kept = keeping !== null || isRehearsal;
		this.events = events;
		this.state = this.after;
		this.tick();
	}

	/** Something happens: it is kept on this device at once and sent as soon as it can be. */
	does(act: RunAct): void {
		const event = { id: newId(), ...this.clock.now(), ...act } as RunEvent;
		const place = this.events.length;
		this.events = [...this.events, event];
		this.state = this.after;
		if (!this.keeping) return;
		const { store, run } = this.keeping;
		if (this.state.mode === 'ended' && !run.over) void store.putRun(Object.assign(run, { over: true }));
		if (this.state.mode !== 'ended' && run.over) void store.putRun(Object.assign(run, { over: false }));
		void store.add(run.id, place, event).then(
			() => this.send(),
			() => (this.kept = false)
		);
	}

	/** Takes the last thing of a kind back, such as a catching-up. */
	takeBack(): void {
		const last = this.state.adjustments.at(-1);
		if (last) this.does({ do: 'take back', event: last.event });
	}

	/** Where it is at this moment; to be called as often as it is shown. */
	tick(): void {
		const last = this.events.at(-1);
		if (!last) return;
		const time = this.clock.now();
		this.state = elapse(this.after, this.steps, msBetween(last, time));
		if (!this.keeping || time.monoMs - this.lastAlive < ALIVE_EVERY_MS) return;
		this.lastAlive = time.monoMs;
		void this.keeping.store.isAlive(this.keeping.run.id, time).catch(() => (this.kept = false));
	}

	/** What could be done to end on time; worked out when it is asked for. */
	offers(order?: Parameters<typeof offersToEndOnTime>[2]): Offer[] {
		return offersToEndOnTime(this.state, this.steps, order);
	}

	/** Sends what waits, and tries again later where it could not. */
	async send(): Promise<void> {
		if (!this.keeping || this.sending) return;
		this.sending = true;
		clearTimeout(this.again);
		const { store, run } = this.keeping;
		this.upload = await upload(store, run).catch(() => 'waits' as const);
		this.sending = false;
		if (this.upload === 'waits' || this.upload === 'signed out')
			this.again = setTimeout(() => void this.send(), SEND_AGAIN_MS);
		else if ((await store.unsent(run.id)).length) void this.send();
	}

	close(): void {
		clearTimeout(this.again);
	}
}

/** Begins to lead a class on this device. */
export async function beginRun(
	store: DeviceStore,
	pack: TeachPack,
	owner: string,
	plannedStartAt: number
): Promise<ClassRun> {
	const run: KeptRun = { id: newId(), owner, pack, startedAt: Date.now(), known: false, over: false };
	await store.putRun(run);
	const led = new ClassRun(pack, wallClock, { store, run }, false);
	led.does({ do: 'start', plannedStartAt });
	return led;
}

/** Goes on with a class that was led when the page went away: the time without it is a pause that is known. */
export async function reopenRun(store: DeviceStore, run: KeptRun): Promise<ClassRun> {
	const events = await store.events(run.id);
	const led = new ClassRun(run.pack, wallClock, { store, run }, false, events);
	const last = events.at(-1);
	if (!last) return led;
	const alive = await store.lastAlive(run.id);
	// what happened last is a sign of life too
	led.does({ do: 'reopened', alive: timeOf(alive && alive.at > last.at ? alive : last) });
	return led;
}

const timeOf = ({ at, monoMs, boot }: EventTime): EventTime => ({ at, monoMs, boot });
