import {
	elapse,
	happened,
	msBetween,
	nowOf,
	behindMs,
	isSkipped,
	ONE_PRESS_MS,
	sleptMs,
	endsAt,
	replay,
	Steps,
	type EventTime,
	type Now,
	type SessionAction,
	type SessionEvent,
	type SessionState,
	type SwapChoice,
	type TeachPack
} from '$lib/core/teach';
import type { Attendance } from '$lib/core/people';
import { newId } from '../page/ids';
import type { DeviceStore, KeptSession } from './device-store';
import { upload, type UploadAnswer, type Upload } from './upload';

/** Source of time: tests and rehearsals pass their own. */
interface TeachClock {
	now(): EventTime;
}

/** This opening of the page: monotonic times count from it. */
const BOOT = newId();

const wallClock: TeachClock = {
	now: () => ({ at: Date.now(), monoMs: Math.round(performance.now()), boot: BOOT })
};

/** A clock that runs `times` as fast, from now on. */
function fastClock(times: () => number): TeachClock {
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
const ALIVE_EVERY_MS = 1000;
const SEND_AGAIN_MS = 15_000;
/** At the latest so long after it happened it is being written down. */
const WRITE_WITHIN_MS = 50;
/** Events are stored on this device at once; they are sent after the screen has changed, several together. */
const SEND_SOON_MS = 400;
/** So often the server hears that the class goes on, for a room view on another device. */
const SIGN_EVERY_MS = 10_000;

/** Does something right after the next picture, or without one soon: a tap is answered first and written down then. */
function whenShown(work: () => void): void {
	let isDone = false;
	const once = () => {
		if (!isDone) work();
		isDone = true;
	};
	requestAnimationFrame(() => setTimeout(once));
	setTimeout(once, WRITE_WITHIN_MS);
}

/**
 * A class that is led: what happened in it, and where it is now. In a rehearsal nothing is kept and nothing is sent.
 */
export class TeachingSession {
	readonly steps: Steps;
	private last: SessionEvent | null;
	private places: number;
	/** After the last thing that happened. */
	private after: SessionState;
	/** Now. */
	state = $state.raw<SessionState>(null as never);
	readonly now: Now = $derived.by(() => nowOf(this.state, this.steps));
	readonly behindMs = $derived.by(() => behindMs(this.state, this.steps));
	readonly endsAt = $derived.by(() => endsAt(this.state, this.steps));
	upload = $state<Upload>('all sent');
	/** Why the server does not take what happened; empty while it does. */
	refused = $state('');
	/** The server's last word on the clock of this device and on other devices of the class. */
	received = $state.raw<UploadAnswer | null>(null);
	/** False where this device could not write down what happened. */
	kept = $state(true);
	/** How long this device slept while the class was led, until the teacher says whether it was taught on; milliseconds. */
	slept = $state(0);
	/** Name of the step that the last press skipped; empty where it skipped none. */
	skipped = $state('');

	private lastTick: EventTime | null = null;
	private lastPress = -Infinity;

	private lastAlive = 0;
	private lastSent = 0;
	private sending = false;
	/** The page has gone: nothing is sent from here any more. */
	private isClosed = false;
	/** Events that are not written down here yet. */
	private writing = 0;
	private again: ReturnType<typeof setTimeout> | undefined;

	constructor(
		readonly pack: TeachPack,
		private readonly clock: TeachClock,
		/** Where it is kept; null for a rehearsal, and where this browser keeps nothing. */
		private readonly keeping: { store: DeviceStore; run: KeptSession } | null,
		readonly isRehearsal: boolean,
		events: SessionEvent[] = []
	) {
		this.steps = new Steps(pack.script);
		this.kept = keeping !== null || isRehearsal;
		this.last = events.at(-1) ?? null;
		this.places = events.length;
		this.after = replay(pack.script, events);
		this.state = this.after;
		this.tick();
	}

	/** Something happens: it is kept on this device at once and sent as soon as it can be. */
	does(act: SessionAction): void {
		const event = { id: newId(), ...this.clock.now(), ...act } as SessionEvent;
		const place = this.places++;
		this.after = happened(this.after, this.steps, this.last, event);
		this.last = event;
		this.state = this.after;
		if (!this.keeping) return;
		if (this.upload === 'all sent') this.upload = 'waits';
		const { store, run } = this.keeping;
		if (this.state.mode === 'ended' && !run.over) void store.putRun(Object.assign(run, { over: true }));
		if (this.state.mode !== 'ended' && run.over) void store.putRun(Object.assign(run, { over: false }));
		this.writing += 1;
		whenShown(() => {
			void store
				.add(run.id, place, event)
				.then(
					() => this.sendSoon(SEND_SOON_MS),
					() => (this.kept = false)
				)
				.finally(() => (this.writing -= 1));
		});
	}

	/** Gives something in place of an item, or what was planned again; its drawings lie with the class then. */
	swap(item: string, choice: SwapChoice | null): void {
		if (choice) Object.assign(this.pack.figures, choice.figures);
		if (choice && this.keeping)
			void this.keeping.store.putRun(this.keeping.run).catch(() => (this.kept = false));
		this.does({ do: 'swap', item, to: choice?.to ?? null });
	}

	/** Moves on by a press; another one right after it is the same. A step that is skipped by it is named. */
	press(act: { do: 'next' } | { do: 'resume' }): void {
		const now = performance.now();
		if (now - this.lastPress < ONE_PRESS_MS) return;
		this.lastPress = now;
		const { step } = this.now;
		this.skipped = act.do === 'next' && !this.isRehearsal && isSkipped(this.now) ? step.title : '';
		this.does(act);
	}

	/** Undoes the last move. */
	back(): void {
		this.lastPress = -Infinity;
		this.skipped = '';
		this.does({ do: 'back' });
	}

	/** Says whether the class went on while the device slept. */
	whileAsleep(taught: boolean): void {
		if (this.slept > 0) this.does({ do: 'slept', ms: Math.round(this.slept), taught });
		this.slept = 0;
	}

	/** Takes the last thing of a kind back, such as a catching-up. */
	takeBack(): void {
		const last = this.state.adjustments.at(-1);
		if (last) this.does({ do: 'take back', event: last.event });
	}

	/** Where it is at this moment; to be called as often as it is shown. */
	tick(): void {
		const { last } = this;
		if (!last) return;
		const time = this.clock.now();
		if (this.lastTick && !this.isRehearsal && this.state.mode === 'running')
			this.slept += sleptMs(this.lastTick, time);
		this.lastTick = time;
		this.state = elapse(this.after, this.steps, msBetween(last, time));
		if (!this.keeping) return;
		if (time.monoMs - this.lastSent > SIGN_EVERY_MS && navigator.onLine) void this.send(true);
		if (time.monoMs - this.lastAlive < ALIVE_EVERY_MS) return;
		this.isAlive(time);
	}

	/** Writes down that the page is there: each second, and when it goes. */
	isAlive(time: EventTime = this.clock.now()): void {
		if (!this.keeping) return;
		this.lastAlive = time.monoMs;
		void this.keeping.store.isAlive(this.keeping.run.id, time).catch(() => (this.kept = false));
	}

	private sendSoon(ms: number): void {
		clearTimeout(this.again);
		if (!this.isClosed) this.again = setTimeout(() => void this.send(), ms);
	}

	/** Sends what waits, and tries again later where it could not. */
	async send(isSign = false): Promise<void> {
		if (!this.keeping || this.sending || this.isClosed) return;
		this.sending = true;
		this.lastSent = this.clock.now().monoMs;
		clearTimeout(this.again);
		const { store, run } = this.keeping;
		const {
			upload: became,
			received,
			why
		} = await upload(store, run, isSign).catch(() => ({
			upload: 'waits' as const,
			received: null,
			why: ''
		}));
		if (received) this.received = received;
		this.refused = became === 'refused' ? why || 'without a reason' : refusedWords(received);
		// something may have happened meanwhile; where this device cannot be read, there may be more
		const isMore = await store.unsent(run.id).then(
			(unsent) => unsent.length > 0 || this.writing > 0,
			() => true
		);
		this.sending = false;
		if (this.isClosed) return;
		this.upload = became === 'all sent' && isMore ? 'waits' : became;
		if (became === 'waits' || became === 'signed out') this.sendSoon(SEND_AGAIN_MS);
		else if (became === 'all sent' && isMore) this.sendSoon(SEND_SOON_MS);
	}

	close(): void {
		this.isClosed = true;
		clearTimeout(this.again);
	}
}

/** Describes the events that the server refused; empty where it took all. */
function refusedWords(received: UploadAnswer | null): string {
	const refused = received?.refused ?? [];
	const [first] = refused;
	if (!first) return '';
	return `${refused.length} could not be read: ${first.faults[0]?.message ?? ''}`;
}

/** Begins to lead a class, on this device where it keeps something. `here`: who came, where the teacher counted. */
export async function beginSession(
	store: DeviceStore | null,
	pack: TeachPack,
	owner: string,
	plannedStartAt: number,
	here: Attendance | null
): Promise<TeachingSession> {
	const run: KeptSession = { id: newId(), owner, pack, startedAt: Date.now(), known: false, over: false };
	await store?.putRun(run);
	const led = new TeachingSession(pack, wallClock, store && { store, run }, false);
	if (here) led.does({ do: 'here', here });
	led.does({ do: 'start', plannedStartAt });
	return led;
}

/** A rehearsal by the clock, at the speed that `times` returns; nothing of it is stored. */
export function rehearseSession(pack: TeachPack, times: () => number): TeachingSession {
	const clock = fastClock(times);
	const led = new TeachingSession(pack, clock, null, true);
	led.does({ do: 'start', plannedStartAt: clock.now().at });
	led.does({ do: 'lead', by: 'clock', waitsIn: [] });
	return led;
}

/** Goes on with a class that was led when the page went away: the time without it is a pause that is known. */
export async function reopenSession(store: DeviceStore, run: KeptSession): Promise<TeachingSession> {
	const events = await store.events(run.id);
	const led = new TeachingSession(run.pack, wallClock, { store, run }, false, events);
	const last = events.at(-1);
	if (!last) return led;
	const alive = await store.lastAlive(run.id);
	// the last event is a sign of life too
	led.does({ do: 'reopened', alive: timeOf(alive && alive.at > last.at ? alive : last) });
	return led;
}

const timeOf = ({ at, monoMs, boot }: EventTime): EventTime => ({ at, monoMs, boot });
