import { and, asc, desc, eq, gt, notInArray } from 'drizzle-orm';
import { LEGS } from '../core/anatomy';
import {
	bareScript,
	figureKey,
	figureKeys,
	isLeftForGood,
	mayBeShown,
	type RoomNews,
	type RunEvent,
	type Script
} from '../core/teach';
import type { Db } from './db/open';
import { classGroup, teaching, teachingEvent } from './db/schema';

/** A class whose device was not heard for so long does not go on any more. */
const GONE_AFTER_MS = 10 * 60_000;

/** What one second device has been told. */
export interface RoomListener {
	/** The class that it wants; null: the one that began last. */
	wanted: string | null;
	following: string | null;
	/** Events that it has, by their place; they may come in any order. */
	had: Set<number>;
	/** Titles of classes, by their ids: scripts are read once. */
	titles: Map<string, string>;
}

export const newListener = (wanted: string | null): RoomListener => ({
	wanted,
	following: null,
	had: new Set(),
	titles: new Map()
});

/**
 * What is new in the room for a second device of the studio. Where the class is another one than before, all of it, with
 * its script. `draw` makes drawings by their keys.
 */
export async function roomNews(
	db: Db,
	studioId: string,
	listener: RoomListener,
	draw: (keys: string[]) => Promise<RoomNews['figures']>
): Promise<RoomNews> {
	const now = Date.now();
	const heard = await db
		.select({
			id: teaching.id,
			startedAt: teaching.startedAt,
			heardAt: teaching.heardAt,
			aheadMs: teaching.aheadMs,
			group: classGroup.name
		})
		.from(teaching)
		.innerJoin(classGroup, eq(classGroup.id, teaching.groupId))
		.where(and(eq(teaching.studioId, studioId), gt(teaching.heardAt, new Date(now - GONE_AFTER_MS))))
		.orderBy(desc(teaching.startedAt));
	// what a device sends later of a class that nobody ended is no class that goes on
	const going = heard.filter(({ startedAt }) => !isLeftForGood(startedAt.getTime(), now));
	const followed = going.find(({ id }) => id === listener.wanted) ?? going[0];
	const classes = [];
	for (const { id, group } of going)
		classes.push({ id, group, title: listener.titles.get(id) ?? (await scriptOf(db, id)).title });
	for (const { id, title } of classes) listener.titles.set(id, title);
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
	const isOther = followed.id !== listener.following;
	const script = isOther ? await scriptOf(db, followed.id) : null;
	if (isOther) Object.assign(listener, { following: followed.id, had: new Set() });
	const events = await eventsSince(db, followed.id, listener.had);
	const keys = [...(script ? figureKeys(script) : []), ...keysOfSwaps(events)];
	return {
		classes,
		following: followed.id,
		script: script && bareScript(script),
		figures: keys.length ? await draw(keys) : null,
		events,
		aheadMs: followed.aheadMs,
		at: now,
		silentMs: Math.max(0, now - followed.heardAt.getTime())
	};
}

async function scriptOf(db: Db, id: string): Promise<Script> {
	const [row] = await db.select({ script: teaching.script }).from(teaching).where(eq(teaching.id, id));
	return row!.script;
}

/** Drawings of what is given in place of something. */
const keysOfSwaps = (events: readonly RunEvent[]): string[] =>
	events.flatMap((event) => {
		if (event.do !== 'swap' || !event.to) return [];
		const { movement, form } = event.to;
		return LEGS.map((leg) => figureKey(movement, form, leg));
	});

/** Events of a class that somebody does not have yet, in the order of its device. */
async function eventsSince(db: Db, teachingId: string, had: Set<number>): Promise<RunEvent[]> {
	const rows = await db
		.select({ place: teachingEvent.place, event: teachingEvent.event })
		.from(teachingEvent)
		.where(
			and(
				eq(teachingEvent.teachingId, teachingId),
				had.size ? notInArray(teachingEvent.place, [...had]) : undefined
			)
		)
		.orderBy(asc(teachingEvent.place));
	for (const { place } of rows) had.add(place);
	return rows.map(({ event }) => event).filter(mayBeShown);
}
