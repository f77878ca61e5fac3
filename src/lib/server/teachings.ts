import { and, asc, count, eq } from 'drizzle-orm';
import { sameNotes } from '../core/run';
import {
	isTaught,
	notesAtEarlierEnds,
	notesOfTally,
	tally,
	type RunEvent,
	type Script,
	type Tally
} from '../core/teach';
import type { Db } from './db/open';
import { teaching, teachingEvent } from './db/schema';
import { runOfPlan, saveRunOfPlan } from './runs';
import { setSwitch } from './db/versioned';
import { getPlan } from './plans';
import { holdQuota } from './quotas';

/** A class that was led, as it is stored. */
export interface StoredTeaching {
	id: string;
	planId: string;
	groupId: string;
	startedAt: Date;
	script: Script;
	events: RunEvent[];
}

/** An event with its place in the log of its device. */
export interface PlacedEvent {
	place: number;
	event: RunEvent;
}

interface Owner {
	studioId: string;
	teacherId: string;
}

/**
 * Adds what a device sends of a class that it led: the class itself the first time, and its events, in any order, each
 * once. `no class` where it is not known yet and no script was sent with it; `no plan` where the plan is not of this studio.
 */
export async function addToTeaching(
	db: Db,
	{ studioId, teacherId }: Owner,
	id: string,
	sent: {
		planId: string;
		startedAt: number;
		script: Script | null;
		events: readonly PlacedEvent[];
		/** What the device's clock shows, milliseconds since 1970. */
		at: number;
	}
): Promise<'added' | 'no class' | 'no plan'> {
	return db.transaction(async (tx) => {
		const [known] = await tx
			.select({ studioId: teaching.studioId })
			.from(teaching)
			.where(eq(teaching.id, id))
			.for('update');
		if (known && known.studioId !== studioId) return 'no plan';
		if (!known) {
			if (!sent.script) return 'no class';
			const plan = await getPlan(tx, studioId, sent.planId);
			if (!plan) return 'no plan';
			await holdQuota(tx, 'classes led', teaching, eq(teaching.studioId, studioId));
			await tx.insert(teaching).values({
				id,
				studioId,
				teacherId,
				groupId: plan.groupId,
				planId: plan.id,
				startedAt: new Date(sent.startedAt),
				script: sent.script
			});
		}
		const now = Date.now();
		await setSwitch(tx, teaching, eq(teaching.id, id), {
			heardAt: new Date(now),
			aheadMs: sent.at - now
		});
		// one that is there already stays as it is
		const rows = sent.events.map(({ place, event }) => ({ teachingId: id, eventId: event.id, place, event }));
		if (rows.length) await tx.insert(teachingEvent).ignore().values(rows);
		return 'added';
	});
}

/** A class that was led, with what happened in it in the order of its device; null for another studio's. */
export async function getTeaching(db: Db, studioId: string, id: string): Promise<StoredTeaching | null> {
	const [row] = await db
		.select()
		.from(teaching)
		.where(and(eq(teaching.id, id), eq(teaching.studioId, studioId)));
	if (!row) return null;
	const events = await db
		.select({ event: teachingEvent.event })
		.from(teachingEvent)
		.where(eq(teachingEvent.teachingId, id))
		.orderBy(asc(teachingEvent.place));
	const { planId, groupId, startedAt, script } = row;
	return { id, planId, groupId, startedAt, script, events: events.map(({ event }) => event) };
}

/** The classes that were led from a plan with what became of them, the oldest first; two devices on one class are two of them. */
export async function ledFromPlan(
	db: Db,
	studioId: string,
	planId: string
): Promise<{ stored: StoredTeaching; tally: Tally }[]> {
	const rows = await db
		.select({ id: teaching.id })
		.from(teaching)
		.where(and(eq(teaching.studioId, studioId), eq(teaching.planId, planId)))
		.orderBy(asc(teaching.startedAt));
	const led = [];
	for (const { id } of rows) {
		const stored = await getTeaching(db, studioId, id);
		if (stored) led.push({ stored, tally: tally(stored.script, stored.events) });
	}
	return led;
}

/**
 * Writes down as taught what was led to its end, where nothing is written down of that class yet, or only what was by
 * itself when it seemed to have ended before.
 * @returns the plan of what was written down
 */
export async function writeDownEnded(
	db: Db,
	owner: Owner,
	id: string,
	today: string
): Promise<string | null> {
	const stored = await getTeaching(db, owner.studioId, id);
	const plan = stored && (await getPlan(db, owner.studioId, stored.planId));
	if (!stored || !plan) return null;
	const became = tally(stored.script, stored.events);
	if (!isTaught(became)) return null;
	const notes = notesOfTally(became, plan.plan);
	const written = await runOfPlan(db, owner.studioId, plan.id);
	if (written && sameNotes(written.run, notes)) return null;
	const before = notesAtEarlierEnds(stored.script, stored.events, plan.plan);
	if (written && !before.some((early) => sameNotes(early, written.run))) return null;
	// what was asked about it since then stays
	const { sore, there } = written?.run ?? {};
	const asked = { ...(sore ? { sore } : {}), ...(there ? { there } : {}) };
	const whole = { ...notes, ...asked };
	const saved = await saveRunOfPlan(db, owner, plan.id, written?.version ?? 0, whole, today);
	return saved.kind === 'saved' ? plan.id : null;
}

/** The classes that were led from a plan, the oldest first, with how many events each has. */
export function teachingsOfPlan(db: Db, studioId: string, planId: string) {
	return db
		.select({ id: teaching.id, startedAt: teaching.startedAt, events: count(teachingEvent.eventId) })
		.from(teaching)
		.leftJoin(teachingEvent, eq(teachingEvent.teachingId, teaching.id))
		.where(and(eq(teaching.studioId, studioId), eq(teaching.planId, planId)))
		.groupBy(teaching.id, teaching.startedAt)
		.orderBy(asc(teaching.startedAt));
}
