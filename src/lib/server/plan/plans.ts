import { and, asc, between, desc, eq, lt, max, ne, type SQL } from 'drizzle-orm';
import { keptDocument } from '../db/document-column';
import { withVersion } from '../../core/validation';
import { type ClassPlan, PLAN } from '../../core/plan';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { classGroup, plan, planMovement, series } from '../db/schema';
import { deleteFrom, raiseVersion } from '../db/versioned';
import { addPlanRow, changePlanRow, onePlan } from './plan-rows';
import { holdQuota, QUOTAS } from '../http/quotas';
import { groupComesBack } from '../group/groups';
import { forgetOneRemoved, keepRemoved, lookAtRemoved } from '../studio/trash';
import type { Removal, SaveResult } from '../http/save-result';

export interface StoredPlan {
	id: string;
	groupId: string;
	plannedOn: string | null;
	/** The series that it is a class of. */
	seriesId: string | null;
	version: number;
	plan: ClassPlan;
}

export interface PlanSummary extends StoredPlan {
	groupName: string;
}

/** Plans of a studio that are to be taught from one day to another (ISO dates, inclusive), in their order. */
export async function plansBetween(
	db: Db,
	studioId: string,
	from: string,
	to: string
): Promise<PlanSummary[]> {
	const rows = await db
		.select({ plan, groupName: classGroup.name })
		.from(plan)
		.innerJoin(classGroup, eq(plan.groupId, classGroup.id))
		.where(and(eq(plan.studioId, studioId), between(plan.plannedOn, from, to)))
		.orderBy(asc(plan.plannedOn), asc(classGroup.startsAt));
	return rows.map((row) => ({ ...stored(row.plan), groupName: row.groupName }));
}

/** Ids of the groups of a studio that have at least one plan. */
export async function groupsWithPlans(db: Db, studioId: string): Promise<string[]> {
	const rows = await db.selectDistinct({ id: plan.groupId }).from(plan).where(eq(plan.studioId, studioId));
	return rows.map((row) => row.id);
}

/** The plans of one group, the newest day first: all of them, or one page. */
export async function plansOfGroup(
	db: Db,
	studioId: string,
	groupId: string,
	page?: { from: number; size: number }
): Promise<StoredPlan[]> {
	const rows = await db
		.select()
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId)))
		.orderBy(desc(plan.plannedOn), desc(plan.updatedAt), asc(plan.id))
		.limit(page?.size ?? QUOTAS.classes)
		.offset(page?.from ?? 0);
	return rows.map(stored);
}

/** The titles and days of the plans of a group, without their documents; the newest day first. */
export function planTitlesOfGroup(
	db: Db,
	studioId: string,
	groupId: string
): Promise<{ id: string; title: string; plannedOn: string | null }[]> {
	return db
		.select({ id: plan.id, title: plan.title, plannedOn: plan.plannedOn })
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId)))
		.orderBy(desc(plan.plannedOn), desc(plan.updatedAt), asc(plan.id));
}

/** The plan of a group with the newest day, or with the newest one before a day; null when it has none. */
export async function lastPlanOfGroup(
	db: Db,
	studioId: string,
	groupId: string,
	before?: { day: string; not: string }
): Promise<StoredPlan | null> {
	return (await lastPlansOfGroup(db, studioId, groupId, 1, before))[0] ?? null;
}

/** Returns the last `count` of them, newest first. */
export async function lastPlansOfGroup(
	db: Db,
	studioId: string,
	groupId: string,
	most: number,
	before?: { day: string; not: string }
): Promise<StoredPlan[]> {
	const earlier = before && and(lt(plan.plannedOn, before.day), ne(plan.id, before.not));
	const rows = await db
		.select()
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId), earlier))
		.orderBy(desc(plan.plannedOn), desc(plan.updatedAt))
		.limit(most);
	return rows.map(stored);
}

/** Holds a plan until the end of the transaction, so that what belongs to it is written once; false when it is not there. */
export async function lockPlan(tx: Db, studioId: string, id: string): Promise<boolean> {
	return (await tx.select({ id: plan.id }).from(plan).where(onePlan(studioId, id)).for('update')).length > 0;
}

/** One plan of this studio; null for another studio's and for none at all. */
export async function getPlan(db: Db, studioId: string, id: string): Promise<StoredPlan | null> {
	const [row] = await db
		.select()
		.from(plan)
		.where(and(eq(plan.id, id), eq(plan.studioId, studioId)));
	return row ? stored(row) : null;
}

/** The group must belong to the studio: check that first. */
export async function createPlan(
	db: Db,
	studioId: string,
	groupId: string,
	plannedOn: string | null,
	document: ClassPlan
): Promise<string> {
	const id = newRowId();
	await holdQuota(db, 'classes', plan, eq(plan.studioId, studioId));
	await db.transaction((tx) => addPlanRow(tx, { id, studioId, groupId, plannedOn }, document));
	return id;
}

/** Saves over the version that the change began from; `stale` brings what is stored now. */
export async function savePlan(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	document: ClassPlan
): Promise<SaveResult<StoredPlan>> {
	const done = await db.transaction(async (tx) => {
		const seriesId = await seriesOf(tx, studioId, id);
		const saved = await changePlanRow(tx, studioId, id, fromVersion, document);
		if (saved) await touchSeries(tx, seriesId);
		return saved;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getPlan(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

/** Removes the version that was looked at; for some weeks it can be brought back. */
export function removePlan(db: Db, studioId: string, id: string, fromVersion: number): Promise<Removal> {
	return db.transaction(async (tx) => {
		const seriesId = await seriesOf(tx, studioId, id);
		const [row] = await tx.select().from(plan).where(onePlan(studioId, id)).for('update');
		if (!row) return 'missing';
		if (!(await deleteFrom(tx, plan, onePlan(studioId, id), fromVersion))) return 'stale';
		await keepRemoved(tx, studioId, 'plan', id, { ...row, document: withVersion(PLAN, row.document) });
		await touchSeries(tx, seriesId);
		return 'removed';
	});
}

/**
 * Puts a removed plan back where it was: into its series too, if that is still there and has made no other in its place. A
 * group that was removed meanwhile comes back with it. Its id, or null when there is nothing to bring back, or no group to
 * bring it back to; the kept copy stays then.
 */
export function restorePlan(db: Db, studioId: string, id: string): Promise<string | null> {
	return db.transaction(async (tx) => {
		const row = await lookAtRemoved<typeof plan.$inferSelect>(tx, studioId, 'plan', id);
		if (!row || !(await groupComesBack(tx, studioId, row.groupId))) return null;
		const { groupId, plannedOn, version } = row;
		const document = keptDocument<ClassPlan>(PLAN, row.document);
		const kept = row.seriesId === null ? null : await lockSeries(tx, studioId, row.seriesId);
		const taken = (await tx.select({ id: plan.id }).from(plan).where(onePlan(studioId, id))).length > 0;
		const back = {
			id: taken ? newRowId() : id,
			studioId,
			groupId,
			plannedOn,
			version: version + 1,
			seriesId: taken ? null : kept
		};
		await holdQuota(tx, 'classes', plan, eq(plan.studioId, studioId));
		await addPlanRow(tx, back, document);
		await touchSeries(tx, back.seriesId);
		await forgetOneRemoved(tx, studioId, 'plan', id);
		return back.id;
	});
}

/** A plan that was removed and can still be brought back, with its group; null where there is none. */
export async function removedPlan(
	db: Db,
	studioId: string,
	id: string
): Promise<{ id: string; groupId: string; plan: ClassPlan; plannedOn: string | null } | null> {
	const row = await lookAtRemoved<typeof plan.$inferSelect>(db, studioId, 'plan', id);
	if (!row) return null;
	const { groupId, plannedOn } = row;
	return { id, groupId, plannedOn, plan: keptDocument<ClassPlan>(PLAN, row.document) };
}

/**
 * The series of a plan, held until the end of the transaction: whoever saves a series takes it and its plans in the same
 * order, so that neither waits for the other for ever.
 */
async function seriesOf(tx: Db, studioId: string, planId: string): Promise<string | null> {
	const [row] = await tx.select({ seriesId: plan.seriesId }).from(plan).where(onePlan(studioId, planId));
	return row?.seriesId ? lockSeries(tx, studioId, row.seriesId) : null;
}

async function lockSeries(tx: Db, studioId: string, seriesId: string): Promise<string | null> {
	const [row] = await tx
		.select({ id: series.id })
		.from(series)
		.where(and(eq(series.id, seriesId), eq(series.studioId, studioId)))
		.for('update');
	return row?.id ?? null;
}

/** A plan of a series was changed or removed: whoever has the series open must know. */
async function touchSeries(db: Db, seriesId: string | null): Promise<void> {
	if (seriesId !== null) await raiseVersion(db, series, eq(series.id, seriesId));
}

function stored(row: typeof plan.$inferSelect): StoredPlan {
	return {
		id: row.id,
		groupId: row.groupId,
		plannedOn: row.plannedOn,
		seriesId: row.seriesId,
		version: row.version,
		plan: row.document
	};
}

/** Slugs in the classes that were planned for a group for earlier days, each with the last of them. */
export function plannedBefore(
	db: Db,
	studioId: string,
	groupId: string,
	before: string
): Promise<{ slug: string; last: string | null }[]> {
	return db
		.select({ slug: planMovement.slug, last: max(plan.plannedOn) })
		.from(plan)
		.innerJoin(planMovement, and(eq(planMovement.studioId, plan.studioId), eq(planMovement.planId, plan.id)))
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId), lt(plan.plannedOn, before)))
		.groupBy(planMovement.slug);
}

/** Slugs in the classes planned from one day to another, for one group or the whole studio. */
export function plannedBetween(
	db: Db,
	studioId: string,
	from: string,
	to: string,
	groupId?: string
): Promise<string[]> {
	const ofGroup = groupId ? eq(plan.groupId, groupId) : undefined;
	return slugsIn(db, and(eq(plan.studioId, studioId), between(plan.plannedOn, from, to), ofGroup)!);
}

async function slugsIn(db: Db, plans: SQL): Promise<string[]> {
	const rows = await db
		.selectDistinct({ slug: planMovement.slug })
		.from(plan)
		.innerJoin(planMovement, and(eq(planMovement.studioId, plan.studioId), eq(planMovement.planId, plan.id)))
		.where(plans);
	return rows.map((row) => row.slug);
}
