import { and, asc, between, count, desc, eq, gte, inArray, isNotNull, lt, max, type SQL } from 'drizzle-orm';
import { slugsOf, type ClassPlan } from '../../core/plan';
import { sameNotes, type ClassRecord, type FamiliarMovements, type ClassNotes } from '../../core/record';
import { newRowId } from '../db/ids';
import type { Db } from '../db/open';
import { classRecord, recordMovement } from '../db/schema';
import { clearRows, deleteFrom, updateFrom } from '../db/versioned';
import { getPlan, lockPlan, plannedBefore, plannedBetween, removedPlan } from '../plan/plans';
import { holdQuota, QUOTAS } from '../http/quotas';
import type { Removal, SaveResult } from '../http/save-result';
import type { Owner } from '../http/owner';

export interface StoredRecord {
	id: string;
	version: number;
	groupId: string;
	/** The class that it was written down from by itself; null where no device led it, or a teacher wrote since. */
	ledBy: string | null;
	run: ClassRecord;
}

/** A class that was taught, as it is written down: with its place beside what is said of it. */
type NewRecord = Pick<
	typeof classRecord.$inferInsert,
	'studioId' | 'groupId' | 'teacherId' | 'planId' | 'title' | 'taughtOn' | 'startsAt'
>;

/** Writes a run down, with the movements that it gave. Every run that is added comes through here. */
export async function addRecord(
	tx: Db,
	place: NewRecord,
	notes: ClassNotes,
	slugs: readonly string[],
	ledBy: string | null = null
): Promise<string> {
	const id = newRowId();
	await holdQuota(tx, 'runs', classRecord, eq(classRecord.studioId, place.studioId));
	await tx
		.insert(classRecord)
		.values({ id, ...place, document: notes, ledBy, ledVersion: ledBy === null ? null : 1 });
	await indexMovements(tx, id, notes, slugs);
	return id;
}

async function indexMovements(tx: Db, recordId: string, { leftOut }: ClassNotes, slugs: readonly string[]) {
	const rows = slugs.filter((slug) => !leftOut.includes(slug)).map((slug) => ({ recordId, slug }));
	if (rows.length) await tx.insert(recordMovement).values(rows);
}

/**
 * Writes down how the class of a plan went, for the first time (from version 0) or anew. Its day and time are those of
 * the plan; a plan without a day was taught on `today`.
 */
export function saveRecordOfPlan(
	db: Db,
	{ studioId, teacherId }: Owner,
	planId: string,
	fromVersion: number,
	notes: ClassNotes,
	today: string
): Promise<SaveResult<StoredRecord>> {
	return db.transaction(async (tx): Promise<SaveResult<StoredRecord>> => {
		const plan = (await lockPlan(tx, studioId, planId)) ? await getPlan(tx, studioId, planId) : null;
		const before = await recordOfPlan(tx, studioId, planId);
		if (!before && !plan) return { kind: 'missing' };
		if ((before?.version ?? 0) !== fromVersion)
			return before ? { kind: 'stale', current: before } : { kind: 'missing' };
		const slugs = plan ? slugsOf(plan.plan) : [];
		if (!before) {
			const { groupId, plannedOn, plan: document } = plan!;
			const { title, startsAt } = document;
			const taughtOn = plannedOn ?? today;
			await addRecord(tx, { studioId, groupId, teacherId, planId, title, taughtOn, startsAt }, notes, slugs);
			return { kind: 'saved', version: 1 };
		}
		// an answer about the day after changes nothing of how it went
		const ledVersion = before.ledBy && sameNotes(before.run, notes) ? fromVersion + 1 : null;
		const changed = await updateFrom(tx, classRecord, one(studioId, before.id), fromVersion, {
			document: notes,
			ledVersion
		});
		if (!changed) return { kind: 'stale', current: before };
		// of a plan that is gone, what was given stays as it was written down
		if (plan) {
			await clearRows(tx, recordMovement, eq(recordMovement.recordId, before.id));
			await indexMovements(tx, before.id, notes, slugs);
		}
		return { kind: 'saved', version: fromVersion + 1 };
	});
}

/**
 * Writes down by itself what a device led to its end: for the first time (from version 0), or over what was written so
 * before. False where a teacher wrote it down meanwhile.
 * @param plan null where it is not known any more: then the movements are not listed
 */
export function writeLedRecord(
	db: Db,
	{ studioId, teacherId }: Owner,
	ledBy: string,
	place: { groupId: string; planId: string; title: string; taughtOn: string; startsAt: string },
	fromVersion: number,
	notes: ClassNotes,
	plan: ClassPlan | null
): Promise<boolean> {
	return db.transaction(async (tx) => {
		await lockPlan(tx, studioId, place.planId);
		const before = await recordOfPlan(tx, studioId, place.planId);
		if ((before?.version ?? 0) !== fromVersion) return false;
		const slugs = plan ? slugsOf(plan) : [];
		if (!before) {
			await addRecord(tx, { studioId, teacherId, ...place }, notes, slugs, ledBy);
			return true;
		}
		const changes = { document: notes, ledBy, ledVersion: fromVersion + 1 };
		if (!(await updateFrom(tx, classRecord, one(studioId, before.id), fromVersion, changes))) return false;
		await clearRows(tx, recordMovement, eq(recordMovement.recordId, before.id));
		await indexMovements(tx, before.id, notes, slugs);
		return true;
	});
}

/** The group of a plan's class, also of one that was removed and of one that was written down; null where there is none. */
export async function groupOfTaught(db: Db, studioId: string, planId: string): Promise<string | null> {
	const plan = (await getPlan(db, studioId, planId)) ?? (await removedPlan(db, studioId, planId));
	return plan?.groupId ?? (await recordOfPlan(db, studioId, planId))?.groupId ?? null;
}

/** Takes back what was written down of a plan's class, in the version that was looked at. */
export async function removeRecordOfPlan(
	db: Db,
	studioId: string,
	planId: string,
	fromVersion: number
): Promise<Removal> {
	const run = await recordOfPlan(db, studioId, planId);
	if (!run) return 'missing';
	return (await deleteFrom(db, classRecord, one(studioId, run.id), fromVersion)) ? 'removed' : 'stale';
}

/** Returns the record of a plan's class; null while there is none. */
export async function recordOfPlan(db: Db, studioId: string, planId: string): Promise<StoredRecord | null> {
	const [run] = await recordsOfPlans(db, studioId, [planId]);
	return run ?? null;
}

/** Returns the records of the classes of these plans. */
export async function recordsOfPlans(
	db: Db,
	studioId: string,
	planIds: readonly string[]
): Promise<StoredRecord[]> {
	if (planIds.length === 0) return [];
	const rows = await db
		.select()
		.from(classRecord)
		.where(and(eq(classRecord.studioId, studioId), inArray(classRecord.planId, [...planIds])));
	return rows.map(stored);
}

/** A class of a group that was written down, as its history lists it. */
export interface TaughtClass {
	id: string;
	planId: string | null;
	title: string;
	run: ClassRecord;
}

/** The classes of a group that were written down, the newest first: all of them, or one page. */
export async function historyOfGroup(
	db: Db,
	studioId: string,
	groupId: string,
	page?: { from: number; size: number }
): Promise<TaughtClass[]> {
	const rows = await db
		.select()
		.from(classRecord)
		.where(and(eq(classRecord.studioId, studioId), eq(classRecord.groupId, groupId)))
		.orderBy(desc(classRecord.taughtOn), desc(classRecord.startsAt), asc(classRecord.id))
		.limit(page?.size ?? QUOTAS.runs)
		.offset(page?.from ?? 0);
	return rows.map((row) => ({ id: row.id, planId: row.planId, title: row.title, run: stored(row).run }));
}

/** How many classes of a group were written down. */
export async function taughtCount(db: Db, studioId: string, groupId: string): Promise<number> {
	const [row] = await db
		.select({ n: count() })
		.from(classRecord)
		.where(and(eq(classRecord.studioId, studioId), eq(classRecord.groupId, groupId)));
	return row?.n ?? 0;
}

/** Sets the day on which the class of a plan was really taught, in the version that was looked at. */
export async function setTaughtDay(
	db: Db,
	studioId: string,
	planId: string,
	fromVersion: number,
	on: string
): Promise<Removal> {
	const run = await recordOfPlan(db, studioId, planId);
	if (!run) return 'missing';
	// the teacher said so: nothing is written over it by itself any more
	const changes = { taughtOn: on, ledVersion: null };
	return (await updateFrom(db, classRecord, one(studioId, run.id), fromVersion, changes))
		? 'removed'
		: 'stale';
}

/**
 * The class of a group that was last written down from a plan before a day, and not long ago, that has not been asked about yet
 * how it sat; null where there is none.
 */
export async function lastRecordWithoutFeedback(
	db: Db,
	studioId: string,
	groupId: string,
	before: string,
	notBefore: string
): Promise<StoredRecord | null> {
	const [row] = await db
		.select()
		.from(classRecord)
		.where(
			and(
				eq(classRecord.studioId, studioId),
				eq(classRecord.groupId, groupId),
				isNotNull(classRecord.planId),
				lt(classRecord.taughtOn, before),
				gte(classRecord.taughtOn, notBefore)
			)
		)
		.orderBy(desc(classRecord.taughtOn), desc(classRecord.startsAt))
		.limit(1);
	return row && row.document.there === undefined ? stored(row) : null;
}

/** Writes down a class that was taught without a plan. The group must belong to the studio: check that first. */
export const addRecordWithoutPlan = (
	tx: Db,
	{ studioId, teacherId }: Owner,
	groupId: string,
	place: { title: string; on: string; startsAt: string },
	notes: ClassNotes
): Promise<string> =>
	addRecord(
		tx,
		{
			studioId,
			teacherId,
			groupId,
			planId: null,
			title: place.title,
			taughtOn: place.on,
			startsAt: place.startsAt
		},
		notes,
		[]
	);

/** Ids of the plans of a studio whose class was written down as taught. */
export async function taughtPlans(db: Db, studioId: string): Promise<Set<string>> {
	const rows = await db
		.select({ planId: classRecord.planId })
		.from(classRecord)
		.where(eq(classRecord.studioId, studioId));
	return new Set(rows.flatMap(({ planId }) => (planId === null ? [] : [planId])));
}

/** Movements that a group met before a day and since a day: in taught classes, else in planned ones. */
export interface Met {
	known: FamiliarMovements;
	lately: FamiliarMovements;
}

/**
 * Returns the movements that a group met before a day, and those since `lately`. Where no class before that day has
 * a record, planned classes count as planned.
 */
export async function metBefore(
	db: Db,
	studioId: string,
	groupId: string,
	day: string,
	lately: string
): Promise<Met> {
	const taught = await db
		.select({ slug: recordMovement.slug, last: max(classRecord.taughtOn) })
		.from(classRecord)
		.innerJoin(recordMovement, eq(recordMovement.recordId, classRecord.id))
		.where(
			and(eq(classRecord.studioId, studioId), eq(classRecord.groupId, groupId), lt(classRecord.taughtOn, day))
		)
		.groupBy(recordMovement.slug);
	const from = taught.length ? 'taught' : 'planned';
	const met = taught.length ? taught : await plannedBefore(db, studioId, groupId, day);
	const slugs = (rows: typeof met) => rows.map(({ slug }) => slug);
	return {
		known: { from, slugs: slugs(met) },
		lately: { from, slugs: slugs(met.filter(({ last }) => last !== null && last >= lately)) }
	};
}

/**
 * Returns the movements used from one day to another, by one group or the whole studio; from planned classes where
 * none was taught.
 */
export async function usedBetween(
	db: Db,
	studioId: string,
	from: string,
	to: string,
	groupId?: string
): Promise<FamiliarMovements> {
	const whose = and(
		eq(classRecord.studioId, studioId),
		groupId === undefined ? undefined : eq(classRecord.groupId, groupId)
	)!;
	if (await any(db, whose))
		return { from: 'taught', slugs: await slugsIn(db, and(whose, between(classRecord.taughtOn, from, to))!) };
	return { from: 'planned', slugs: await plannedBetween(db, studioId, from, to, groupId) };
}

const one = (studioId: string, id: string) =>
	and(eq(classRecord.studioId, studioId), eq(classRecord.id, id))!;

async function any(db: Db, runs: SQL): Promise<boolean> {
	const [row] = await db.select({ n: count() }).from(classRecord).where(runs);
	return (row?.n ?? 0) > 0;
}

async function slugsIn(db: Db, runs: SQL): Promise<string[]> {
	const rows = await db
		.selectDistinct({ slug: recordMovement.slug })
		.from(classRecord)
		.innerJoin(recordMovement, eq(recordMovement.recordId, classRecord.id))
		.where(runs);
	return rows.map((row) => row.slug);
}

function stored(row: typeof classRecord.$inferSelect): StoredRecord {
	const { id, version, groupId, planId, taughtOn, startsAt, ledVersion, document } = row;
	const ledBy = ledVersion === version ? row.ledBy : null;
	return { id, version, groupId, ledBy, run: { ...document, planId, on: taughtOn, startsAt } };
}
