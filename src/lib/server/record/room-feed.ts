import { and, asc, desc, eq, gt } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { LEGS } from '../../core/anatomy';
import type { Figure } from '../../core/figure';
import {
	bareScript,
	figureKey,
	figureKeys,
	isAbandoned,
	mayBeShown,
	type RoomNews,
	type SessionEvent,
	type Script
} from '../../core/teach';
import type { Db } from '../db/open';
import { classGroup, teachingSession, teachingEvent } from '../db/schema';

/** A class whose device was not heard for so long does not go on any more. */
const GONE_AFTER_MS = 10 * 60_000;

/** A listening device, with the events it has received. */
export interface RoomListener {
	/** The class that it wants; null: the one that began last. */
	wanted: string | null;
	following: string | null;
	/** How many of what happened in that class it was told, in the order in which it came. */
	told: number;
}

export const newListener = (wanted: string | null): RoomListener => ({ wanted, following: null, told: 0 });

/** A class that goes on, as it is read once for all who listen to it. */
interface SessionReader {
	script: Script;
	title: string;
	figures: Record<string, Figure>;
	/** Events that may be shown, in the order of arrival. */
	events: SessionEvent[];
	/** Places that were read, and when the last of them came. */
	had: Set<number>;
	receivedAt: Date;
	readAt: number;
	/** While it is being read. */
	reading: Promise<void> | null;
}

/** The classes that go on in one studio. */
interface StudioReader {
	going: { id: string; group: string; heardAt: Date; aheadMs: number }[];
	readAt: number;
	reading: Promise<void> | null;
}

/** A state that was read less than this ago is not read again. */
const FRESH_MS = 900;
/** An event may come in after one that was received later: so long is looked back. */
const LOOK_BACK_MS = 10_000;
/** More classes than go on at once on any server. */
const MOST_SESSIONS = 200;
const MOST_STUDIOS = 1000;

type Draw = (keys: string[]) => Promise<Record<string, Figure>>;

/**
 * Reads what goes on in the rooms of a server: each class once, however many devices listen to it, and of it only what came
 * since it was last read.
 */
export class RoomFeed {
	private readonly runs = new LRUCache<string, SessionReader>({ max: MOST_SESSIONS });
	private readonly studios = new LRUCache<string, StudioReader>({ max: MOST_STUDIOS });

	constructor(private readonly db: Db) {}

	/**
	 * Returns the news for a second device of the studio. Where another class has begun, everything with its script.
	 * `draw` makes drawings by their keys.
	 */
	async news(studioId: string, listener: RoomListener, draw: Draw): Promise<RoomNews> {
		const now = Date.now();
		const { going } = await this.studio(studioId, now);
		const followed = going.find(({ id }) => id === listener.wanted) ?? going[0];
		const classes = [];
		for (const { id, group } of going) classes.push({ id, group, title: (await this.run(id, now)).title });
		if (!followed)
			return {
				classes,
				following: null,
				script: null,
				figures: null,
				events: [],
				aheadMs: 0,
				at: now,
				silentMs: 0
			};
		const run = await this.run(followed.id, now);
		const isOther = followed.id !== listener.following;
		if (isOther) Object.assign(listener, { following: followed.id, told: 0 });
		const events = run.events.slice(listener.told);
		listener.told = run.events.length;
		const keys = [...(isOther ? figureKeys(run.script) : []), ...keysOfSwaps(events)];
		return {
			classes,
			following: followed.id,
			script: isOther ? bareScript(run.script) : null,
			figures: keys.length ? await drawn(run, keys, draw) : null,
			events,
			aheadMs: followed.aheadMs,
			at: now,
			silentMs: Math.max(0, now - followed.heardAt.getTime())
		};
	}

	private async studio(studioId: string, now: number): Promise<StudioReader> {
		const known = this.studios.get(studioId) ?? { going: [], readAt: 0, reading: null };
		this.studios.set(studioId, known);
		await readOnce(known, now, async () => {
			known.going = await goingOn(this.db, studioId, now);
		});
		return known;
	}

	private async run(id: string, now: number): Promise<SessionReader> {
		let known = this.runs.get(id);
		if (!known) {
			const script = await scriptOf(this.db, id);
			known = this.runs.get(id) ?? {
				script,
				title: script.title,
				figures: {},
				events: [],
				had: new Set(),
				receivedAt: new Date(0),
				readAt: 0,
				reading: null
			};
			this.runs.set(id, known);
		}
		const run = known;
		await readOnce(run, now, () => readOn(this.db, id, run));
		return run;
	}
}

/** Reads what is not fresh any more; who asks meanwhile waits for the same reading. */
async function readOnce(
	what: { readAt: number; reading: Promise<void> | null },
	now: number,
	read: () => Promise<void>
): Promise<void> {
	if (!what.reading && now - what.readAt >= FRESH_MS)
		what.reading = read()
			.then(() => void (what.readAt = now))
			.finally(() => (what.reading = null));
	await what.reading;
}

/** The classes of a studio that go on, the one that began last first. */
async function goingOn(db: Db, studioId: string, now: number): Promise<StudioReader['going']> {
	const heard = await db
		.select({
			id: teachingSession.id,
			startedAt: teachingSession.startedAt,
			heardAt: teachingSession.heardAt,
			aheadMs: teachingSession.aheadMs,
			group: classGroup.name
		})
		.from(teachingSession)
		.innerJoin(classGroup, eq(classGroup.id, teachingSession.groupId))
		.where(
			and(eq(teachingSession.studioId, studioId), gt(teachingSession.heardAt, new Date(now - GONE_AFTER_MS)))
		)
		.orderBy(desc(teachingSession.startedAt))
		.limit(MOST_SESSIONS);
	// late events of a class that was never ended do not make it a running class
	return heard.filter(({ startedAt }) => !isAbandoned(startedAt.getTime(), now));
}

async function scriptOf(db: Db, id: string): Promise<Script> {
	const [row] = await db
		.select({ script: teachingSession.script })
		.from(teachingSession)
		.where(eq(teachingSession.id, id));
	return row!.script;
}

/** Adds what came in of a class since it was last read: all of it the first time. */
async function readOn(db: Db, id: string, run: SessionReader): Promise<void> {
	const since = new Date(run.receivedAt.getTime() - LOOK_BACK_MS);
	const rows = await db
		.select({ place: teachingEvent.place, event: teachingEvent.event, receivedAt: teachingEvent.receivedAt })
		.from(teachingEvent)
		.where(
			and(eq(teachingEvent.sessionId, id), run.had.size ? gt(teachingEvent.receivedAt, since) : undefined)
		)
		.orderBy(asc(teachingEvent.place));
	for (const { place, event, receivedAt } of rows) {
		if (run.had.has(place)) continue;
		run.had.add(place);
		if (receivedAt > run.receivedAt) run.receivedAt = receivedAt;
		if (mayBeShown(event)) run.events.push(event);
	}
}

/** Drawings by their keys, each drawn once for all who listen. */
async function drawn(run: SessionReader, keys: string[], draw: Draw): Promise<Record<string, Figure>> {
	const missing = [...new Set(keys)].filter((key) => !Object.hasOwn(run.figures, key));
	if (missing.length) Object.assign(run.figures, await draw(missing));
	return Object.fromEntries(keys.flatMap((key) => (run.figures[key] ? [[key, run.figures[key]]] : [])));
}

/** Drawings of what is given in place of something. */
const keysOfSwaps = (events: readonly SessionEvent[]): string[] =>
	events.flatMap((event) => {
		if (event.do !== 'swap' || !event.to) return [];
		const { movement, form } = event.to;
		return LEGS.map((leg) => figureKey(movement, form, leg));
	});
