import { and, asc, count, eq, gt, ne } from 'drizzle-orm';
import { withMentions } from '../../core/people';
import { sameNotes } from '../../core/record';
import { EVENT_LIMITS, putRight, type SessionEvent, type Script, type Tally } from '../../core/teach';
import type { RunTask } from '../compute/tasks';
import type { Db } from '../db/open';
import { classGroup, teachingSession, teachingEvent } from '../db/schema';
import { recordOfPlan, writeLedRecord } from './records';
import { updateUnversioned } from '../db/versioned';
import { getPlan, removedPlan } from '../plan/plans';
import { holdQuota } from '../http/quotas';
import { mentionable } from '../group/students';
import type { Owner } from '../http/owner';

/** A class that was led, as it is stored. */
export interface StoredSession {
	id: string;
	planId: string;
	groupId: string;
	/** By the server's clock. */
	startedAt: Date;
	/** As the device said, where its clock could not be right; null where it was believed. */
	deviceStartedAt: Date | null;
	script: Script;
	events: SessionEvent[];
}

/** An event with its place in the log of its device. */
export interface PlacedEvent {
	place: number;
	event: SessionEvent;
}

/** A device's upload of a class that it led. */
export interface SentTeaching {
	planId: string;
	/** Of whom the class is; null from a device of an earlier version. */
	groupId: string | null;
	/** When it began, and what the device's clock shows; milliseconds since 1970. */
	startedAt: number;
	at: number;
	script: Script | null;
	events: readonly PlacedEvent[];
}

/** Result of an upload. */
export type Added =
	| { kind: 'added' }
	/** It is not known yet, and no script was sent with it. */
	| { kind: 'no class' }
	/** Its plan and its group are not of this studio. */
	| { kind: 'no plan' }
	/** It has more events than any class. */
	| { kind: 'too many' };

/**
 * Adds what a device sends of a class that it led: the class itself the first time, and its events, in any order, each
 * once. The class of a plan that was removed meanwhile is taken like any other.
 */
export async function addToSession(db: Db, owner: Owner, id: string, sent: SentTeaching): Promise<Added> {
	return db.transaction(async (tx): Promise<Added> => {
		const isKnown = await held(tx, owner, id);
		if (isKnown === 'not ours') return { kind: 'no plan' };
		if (!isKnown) {
			if (!sent.script) return { kind: 'no class' };
			const groupId = await groupOfSent(tx, owner.studioId, sent);
			if (groupId === null) return { kind: 'no plan' };
			if (!(await begin(tx, owner, id, groupId, { ...sent, script: sent.script })))
				return { kind: 'no plan' };
		}
		const now = Date.now();
		await updateUnversioned(tx, teachingSession, eq(teachingSession.id, id), {
			heardAt: new Date(now),
			aheadMs: sent.at - now
		});
		const [had] = await tx
			.select({ events: count() })
			.from(teachingEvent)
			.where(eq(teachingEvent.sessionId, id));
		if ((had?.events ?? 0) + sent.events.length > EVENT_LIMITS.events + EVENT_LIMITS.eventsAtOnce)
			return { kind: 'too many' };
		// one that is there already stays as it is
		const rows = sent.events.map(({ place, event }) => ({ sessionId: id, eventId: event.id, place, event }));
		if (rows.length) await tx.insert(teachingEvent).ignore().values(rows);
		return { kind: 'added' };
	});
}

/** Holds a class that was led until the end of the transaction; false where it is not known. */
async function held(tx: Db, { studioId }: Owner, id: string): Promise<boolean | 'not ours'> {
	const [known] = await tx
		.select({ studioId: teachingSession.studioId })
		.from(teachingSession)
		.where(eq(teachingSession.id, id))
		.for('update');
	return known !== undefined && (known.studioId === studioId || 'not ours');
}

/** The group of a class that was led: that of its plan, also of one that was removed, else the one that the device names. */
async function groupOfSent(
	tx: Db,
	studioId: string,
	{ planId, groupId }: SentTeaching
): Promise<string | null> {
	const plan = (await getPlan(tx, studioId, planId)) ?? (await removedPlan(tx, studioId, planId));
	if (plan) return plan.groupId;
	if (groupId === null) return null;
	const mine = and(eq(classGroup.id, groupId), eq(classGroup.studioId, studioId));
	const [known] = await tx.select({ id: classGroup.id }).from(classGroup).where(mine);
	return known?.id ?? null;
}

/** Writes down that a class was begun; false where the id is another studio's. */
async function begin(
	tx: Db,
	{ studioId, teacherId }: Owner,
	id: string,
	groupId: string,
	{ planId, startedAt, at, script, events }: SentTeaching & { script: Script }
): Promise<boolean> {
	await holdQuota(tx, 'classes led', teachingSession, eq(teachingSession.studioId, studioId));
	const began = putRight(startedAt, at, Date.now(), lastedMs(events));
	// the same first message may come twice at once: then one waits here for the other
	await tx
		.insert(teachingSession)
		.values({
			id,
			studioId,
			teacherId,
			groupId,
			planId,
			startedAt: new Date(began.at),
			deviceStartedAt: began.isPutRight ? new Date(startedAt) : null,
			script
		})
		.onDuplicateKeyUpdate({ set: { id } });
	return (await held(tx, { studioId, teacherId }, id)) === true;
}

/** From the first to the last of some events, by the clock that only runs on. */
function lastedMs(events: readonly PlacedEvent[]): number {
	const times = events.map(({ event }) => event.monoMs);
	return times.length ? times.reduce((a, b) => Math.max(a, b)) - times.reduce((a, b) => Math.min(a, b)) : 0;
}

/** A class that was led, with what happened in it in the order of its device; null for another studio's. */
export async function getTeachingSession(
	db: Db,
	studioId: string,
	id: string
): Promise<StoredSession | null> {
	const [row] = await db
		.select()
		.from(teachingSession)
		.where(and(eq(teachingSession.id, id), eq(teachingSession.studioId, studioId)));
	if (!row) return null;
	const events = await db
		.select({ event: teachingEvent.event })
		.from(teachingEvent)
		.where(eq(teachingEvent.sessionId, id))
		.orderBy(asc(teachingEvent.place), asc(teachingEvent.eventId));
	const { planId, groupId, startedAt, deviceStartedAt, script } = row;
	return {
		id,
		planId,
		groupId,
		startedAt,
		deviceStartedAt,
		script,
		events: events.map(({ event }) => event)
	};
}

/** When a class that was led began, by the server's clock and, where that was put right, by the device's. */
export async function beganOf(
	db: Db,
	studioId: string,
	id: string
): Promise<Pick<StoredSession, 'startedAt' | 'deviceStartedAt'> | null> {
	const [row] = await db
		.select({ startedAt: teachingSession.startedAt, deviceStartedAt: teachingSession.deviceStartedAt })
		.from(teachingSession)
		.where(and(eq(teachingSession.id, id), eq(teachingSession.studioId, studioId)));
	return row ?? null;
}

/** The classes that were led from a plan, the oldest first; two devices on one class are two of them. */
export async function ledOfPlan(db: Db, studioId: string, planId: string): Promise<StoredSession[]> {
	const rows = await db
		.select({ id: teachingSession.id })
		.from(teachingSession)
		.where(and(eq(teachingSession.studioId, studioId), eq(teachingSession.planId, planId)))
		.orderBy(asc(teachingSession.startedAt));
	const led = [];
	for (const { id } of rows) {
		const stored = await getTeachingSession(db, studioId, id);
		if (stored) led.push(stored);
	}
	return led;
}

/** The same, with what became of each. */
export async function ledFromPlan(
	db: Db,
	studioId: string,
	planId: string,
	work: RunTask
): Promise<{ stored: StoredSession; tally: Tally }[]> {
	const all = await ledOfPlan(db, studioId, planId);
	return Promise.all(
		all.map(async (stored) => ({
			stored,
			tally: await work('tallyOfLed', { script: stored.script, events: stored.events })
		}))
	);
}

/** A device that was not heard for so long does not lead any more. */
const GONE_AFTER_MS = 60_000;

/** When the other devices of the studio began that lead the class of a plan just now, the first one first. */
export async function othersOnClass(
	db: Db,
	studioId: string,
	planId: string,
	id: string,
	now: Date
): Promise<Date[]> {
	const rows = await db
		.select({ startedAt: teachingSession.startedAt, id: teachingSession.id })
		.from(teachingSession)
		.where(
			and(
				eq(teachingSession.studioId, studioId),
				eq(teachingSession.planId, planId),
				ne(teachingSession.id, id),
				eq(teachingSession.isOver, false),
				gt(teachingSession.heardAt, new Date(now.getTime() - GONE_AFTER_MS))
			)
		)
		.orderBy(asc(teachingSession.startedAt));
	return rows.map(({ startedAt }) => startedAt);
}

/** Keeps what the device last said: whether the class is over. */
export const setOver = (db: Db, studioId: string, id: string, isOver: boolean): Promise<boolean> =>
	updateUnversioned(
		db,
		teachingSession,
		and(eq(teachingSession.id, id), eq(teachingSession.studioId, studioId))!,
		{ isOver }
	);

/**
 * Writes down as taught what was led to its end, whatever became of its plan: where nothing is written down of that class
 * yet, or only what was by itself when it seemed to have ended before.
 * @param today the studio's day
 * @returns the plan of what was written down
 */
export async function writeDownEnded(
	db: Db,
	owner: Owner,
	id: string,
	today: string,
	work: RunTask
): Promise<string | null> {
	const led = await getTeachingSession(db, owner.studioId, id);
	if (!led) return null;
	const { script, events, planId, groupId } = led;
	const plan = (await getPlan(db, owner.studioId, planId)) ?? (await removedPlan(db, owner.studioId, planId));
	const became = await work('notesOfLed', { script, events, plan: plan?.plan ?? null });
	if (!became) return null;
	const people = await mentionable(db, owner, groupId);
	const notes = { ...became, note: withMentions(became.note, people) };
	const written = await recordOfPlan(db, owner.studioId, planId);
	if (written && (written.ledBy !== id || sameNotes(written.run, notes))) return null;
	// answers given since then stay
	const { sore, there } = written?.run ?? {};
	const asked = { ...(sore ? { sore } : {}), ...(there ? { there } : {}) };
	const place = {
		groupId,
		planId,
		title: plan?.plan.title ?? script.title,
		taughtOn: plan?.plannedOn ?? today,
		startsAt: plan?.plan.startsAt ?? script.startsAt
	};
	const isSaved = await writeLedRecord(
		db,
		owner,
		id,
		place,
		written?.version ?? 0,
		{ ...notes, ...asked },
		plan?.plan ?? null
	);
	return isSaved ? planId : null;
}

/** The classes that were led from a plan, the oldest first, with how many events each has. */
export function sessionsOfPlan(db: Db, studioId: string, planId: string) {
	return db
		.select({
			id: teachingSession.id,
			startedAt: teachingSession.startedAt,
			events: count(teachingEvent.eventId)
		})
		.from(teachingSession)
		.leftJoin(teachingEvent, eq(teachingEvent.sessionId, teachingSession.id))
		.where(and(eq(teachingSession.studioId, studioId), eq(teachingSession.planId, planId)))
		.groupBy(teachingSession.id, teachingSession.startedAt)
		.orderBy(asc(teachingSession.startedAt));
}
