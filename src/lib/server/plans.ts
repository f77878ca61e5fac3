import { and, asc, between, desc, eq, lt, sql } from 'drizzle-orm';
import { itemsOf, type ClassPlan } from '../core/plan';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { classGroup, plan, series } from './db/schema';
import type { Saved } from './saved';
import { touchSeries } from './series';

export interface StoredPlan {
	id: string;
	groupId: string;
	taughtOn: string | null;
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
		.where(and(eq(plan.studioId, studioId), between(plan.taughtOn, from, to)))
		.orderBy(asc(plan.taughtOn), asc(classGroup.startsAt));
	return rows.map((row) => ({ ...stored(row.plan), groupName: row.groupName }));
}

/** Ids of the groups of a studio that have at least one plan. */
export async function groupsWithPlans(db: Db, studioId: string): Promise<string[]> {
	const rows = await db.selectDistinct({ id: plan.groupId }).from(plan).where(eq(plan.studioId, studioId));
	return rows.map((row) => row.id);
}

/** The plans of one group, the newest day first. */
export async function plansOfGroup(db: Db, studioId: string, groupId: string): Promise<StoredPlan[]> {
	const rows = await db
		.select()
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId)))
		.orderBy(desc(plan.taughtOn), desc(plan.updatedAt));
	return rows.map(stored);
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
	taughtOn: string | null,
	document: ClassPlan
): Promise<string> {
	const id = newId();
	await db.insert(plan).values({ id, studioId, groupId, taughtOn, ...columns(document) });
	return id;
}

/** Saves over the version that the change began from; `stale` brings what is stored now. */
export async function savePlan(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	document: ClassPlan
): Promise<Saved<StoredPlan>> {
	const done = await db.transaction(async (tx) => {
		const seriesId = await seriesOf(tx, id);
		const [result] = await tx
			.update(plan)
			.set({ ...columns(document), version: sql`${plan.version} + 1` })
			.where(and(eq(plan.id, id), eq(plan.studioId, studioId), eq(plan.version, fromVersion)));
		if (result.affectedRows === 1) await touchSeries(tx, seriesId);
		return result.affectedRows === 1;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getPlan(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

export async function deletePlan(db: Db, studioId: string, id: string): Promise<boolean> {
	return db.transaction(async (tx) => {
		const seriesId = await seriesOf(tx, id);
		const [result] = await tx.delete(plan).where(and(eq(plan.id, id), eq(plan.studioId, studioId)));
		if (result.affectedRows === 1) await touchSeries(tx, seriesId);
		return result.affectedRows === 1;
	});
}

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/**
 * The series of a plan, held until the end of the transaction: whoever saves a series takes it and its plans in the same
 * order, so that neither waits for the other for ever.
 */
async function seriesOf(tx: Tx, planId: string): Promise<string | null> {
	const [row] = await tx.select({ seriesId: plan.seriesId }).from(plan).where(eq(plan.id, planId));
	if (!row?.seriesId) return null;
	await tx.select({ id: series.id }).from(series).where(eq(series.id, row.seriesId)).for('update');
	return row.seriesId;
}

function columns(document: ClassPlan) {
	return { title: document.title, lengthSeconds: document.lengthSeconds, document };
}

function stored(row: typeof plan.$inferSelect): StoredPlan {
	return {
		id: row.id,
		groupId: row.groupId,
		taughtOn: row.taughtOn,
		seriesId: row.seriesId,
		version: row.version,
		plan: row.document
	};
}

/** Slugs in the classes of a group on earlier days: what the group has met. */
export async function taughtBefore(
	db: Db,
	studioId: string,
	groupId: string,
	before: string
): Promise<string[]> {
	const rows = await db
		.select({ document: plan.document })
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.groupId, groupId), lt(plan.taughtOn, before)));
	return slugsIn(rows);
}

/** Slugs used in classes from one day to another, of one group or of the whole studio. */
export async function usedBetween(
	db: Db,
	studioId: string,
	from: string,
	to: string,
	groupId?: string
): Promise<string[]> {
	const rows = await db
		.select({ document: plan.document })
		.from(plan)
		.where(
			and(
				eq(plan.studioId, studioId),
				between(plan.taughtOn, from, to),
				groupId ? eq(plan.groupId, groupId) : undefined
			)
		);
	return slugsIn(rows);
}

const slugsIn = (rows: { document: ClassPlan }[]) => [
	...new Set(rows.flatMap(({ document }) => itemsOf(document).map((item) => item.movement)))
];
