import { createHash, randomBytes } from 'node:crypto';
import { and, asc, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { dueIn, markOf, withTimesOfPlans, type Due, type PlannedSeries, type Series } from '../core/series';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { classGroup, plan, series, studio } from './db/schema';
import { sameContent } from './fingerprint';
import type { Saved } from './saved';

export interface StoredSeries {
	id: string;
	groupId: string;
	version: number;
	/** Whether a calendar may subscribe. */
	linked: boolean;
	planned: PlannedSeries;
}

export interface SeriesSummary {
	id: string;
	groupId: string;
	groupName: string;
	series: Series;
}

/** Series of a studio with what they wait for in a week; those that wait for nothing are left out. */
export async function seriesDue(
	db: Db,
	studioId: string,
	days: readonly string[],
	today: string
): Promise<{ id: string; title: string; due: Due[] }[]> {
	const all = await listSeries(db, studioId);
	if (all.length === 0) return [];
	const rows = await db
		.select({ id: plan.id })
		.from(plan)
		.where(and(eq(plan.studioId, studioId), isNotNull(plan.seriesId)));
	const planned = new Set(rows.map((row) => row.id));
	return all
		.map(({ id, series: s }) => ({ id, title: s.title, due: dueIn(s, planned, days, today) }))
		.filter(({ due }) => due.length > 0);
}

type Tx = Parameters<Parameters<Db['transaction']>[0]>[0];

/** All series of a studio, the newest first. */
export async function listSeries(db: Db, studioId: string): Promise<SeriesSummary[]> {
	const rows = await db
		.select({ series, groupName: classGroup.name })
		.from(series)
		.innerJoin(classGroup, eq(series.groupId, classGroup.id))
		.where(eq(series.studioId, studioId))
		.orderBy(desc(series.startsOn), asc(series.title));
	return rows.map((row) => ({
		id: row.series.id,
		groupId: row.series.groupId,
		groupName: row.groupName,
		series: row.series.document
	}));
}

/** What a series is called, for a link to it; null for another studio's. */
export async function seriesTitle(
	db: Db,
	studioId: string,
	id: string
): Promise<{ id: string; title: string } | null> {
	const [row] = await db
		.select({ id: series.id, title: series.title })
		.from(series)
		.where(and(eq(series.id, id), eq(series.studioId, studioId)));
	return row ?? null;
}

/** One series of this studio with its plans; null for another studio's and for none at all. */
export async function getSeries(db: Db | Tx, studioId: string, id: string): Promise<StoredSeries | null> {
	const [row] = await db
		.select()
		.from(series)
		.where(and(eq(series.id, id), eq(series.studioId, studioId)));
	if (!row) return null;
	const plans = await db.select().from(plan).where(eq(plan.seriesId, row.id));
	return {
		id: row.id,
		groupId: row.groupId,
		version: row.version,
		linked: row.linkHash !== null,
		planned: withTimesOfPlans({
			series: row.document,
			plans: Object.fromEntries(plans.map((p) => [p.id, p.document]))
		})
	};
}

/** The group must belong to the studio: check that first. */
export async function createSeries(
	db: Db,
	studioId: string,
	groupId: string,
	planned: PlannedSeries
): Promise<string> {
	const id = newId();
	await db.transaction(async (tx) => {
		await tx.insert(series).values({ id, studioId, groupId, ...columns(planned.series) });
		await writePlans(tx, { id, studioId, groupId }, planned, null);
	});
	return id;
}

/**
 * Saves a series and its plans as one: over the version that the change began from, or not at all. Each change of one
 * of its plans at the desk counts as a change of the series too.
 */
export async function saveSeries(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	planned: PlannedSeries
): Promise<Saved<StoredSeries>> {
	return db.transaction(async (tx): Promise<Saved<StoredSeries>> => {
		const before = await getSeries(tx, studioId, id);
		if (!before) return { kind: 'missing' };
		const [result] = await tx
			.update(series)
			.set({ ...columns(planned.series), version: sql`${series.version} + 1` })
			.where(and(eq(series.id, id), eq(series.studioId, studioId), eq(series.version, fromVersion)));
		if (result.affectedRows !== 1) return { kind: 'stale', current: before };
		await writePlans(tx, { id, studioId, groupId: before.groupId }, planned, before.planned);
		return { kind: 'saved', version: fromVersion + 1 };
	});
}

/** Ids of plans that a series may not take: they are there already and are not its own. */
export async function foreignPlans(
	db: Db,
	studioId: string,
	seriesId: string | null,
	ids: readonly string[]
): Promise<string[]> {
	if (ids.length === 0) return [];
	const rows = await db
		.select({ id: plan.id, studioId: plan.studioId, seriesId: plan.seriesId })
		.from(plan)
		.where(inArray(plan.id, [...ids]));
	return rows
		.filter((row) => row.studioId !== studioId || (row.seriesId !== seriesId && row.seriesId !== null))
		.map((row) => row.id);
}

/**
 * Brings the plans of a series to what it says. One that no longer has a class goes, unless it was changed by hand: that
 * one stays as a class of the group without a day.
 */
async function writePlans(
	tx: Tx,
	of: { id: string; studioId: string; groupId: string },
	{ series: { classes }, plans }: PlannedSeries,
	before: PlannedSeries | null
): Promise<void> {
	const ids = Object.keys(plans);
	const rows = ids.length ? await tx.select().from(plan).where(inArray(plan.id, ids)) : [];
	const byId = new Map(rows.map((row) => [row.id, row]));
	for (const c of classes) {
		const document = plans[c.id];
		if (!document) continue;
		const row = byId.get(c.id);
		const set = {
			title: document.title,
			lengthSeconds: document.lengthSeconds,
			taughtOn: c.on,
			document,
			seriesId: of.id
		};
		if (!row) await tx.insert(plan).values({ id: c.id, studioId: of.studioId, groupId: of.groupId, ...set });
		else if (row.taughtOn !== c.on || row.seriesId !== of.id || !sameContent(row.document, document))
			await tx
				.update(plan)
				.set({ ...set, version: sql`${plan.version} + 1` })
				.where(and(eq(plan.id, c.id), eq(plan.studioId, of.studioId)));
	}
	if (!before) return;
	const proposed = new Map(before.series.classes.map((c) => [c.id, c.proposedAs]));
	for (const [id, document] of Object.entries(before.plans)) {
		if (plans[id]) continue;
		const own = and(eq(plan.id, id), eq(plan.seriesId, of.id));
		if (markOf(document) === proposed.get(id)) await tx.delete(plan).where(own);
		else await tx.update(plan).set({ seriesId: null, taughtOn: null }).where(own);
	}
}

/** Lets a series go; its classes stay as classes of the group. */
export async function deleteSeries(db: Db, studioId: string, id: string, version: number): Promise<boolean> {
	const [result] = await db
		.delete(series)
		.where(and(eq(series.id, id), eq(series.studioId, studioId), eq(series.version, version)));
	return result.affectedRows === 1;
}

function columns(document: Series) {
	return { title: document.title, startsOn: document.startsOn, document };
}

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** A new secret for subscribing to the dates of a series; the one before no longer opens anything. Shown once. */
export async function makeLink(db: Db, studioId: string, id: string): Promise<string | null> {
	const secret = randomBytes(24).toString('base64url');
	const [result] = await db
		.update(series)
		.set({ linkHash: hashOf(secret) })
		.where(and(eq(series.id, id), eq(series.studioId, studioId)));
	return result.affectedRows === 1 ? secret : null;
}

export async function revokeLink(db: Db, studioId: string, id: string): Promise<boolean> {
	const [result] = await db
		.update(series)
		.set({ linkHash: null })
		.where(and(eq(series.id, id), eq(series.studioId, studioId)));
	return result.affectedRows === 1;
}

/** The series that a secret opens, with its studio; null for one that was revoked or never given. */
export async function seriesOfLink(
	db: Db,
	secret: string
): Promise<{ id: string; studioId: string; studioName: string } | null> {
	const [row] = await db
		.select({ id: series.id, studioId: series.studioId, studioName: studio.name })
		.from(series)
		.innerJoin(studio, eq(series.studioId, studio.id))
		.where(eq(series.linkHash, hashOf(secret)));
	return row ?? null;
}

/** A plan of a series was changed or removed: whoever has the series open must know. */
export async function touchSeries(db: Db | Tx, seriesId: string | null): Promise<void> {
	if (seriesId === null) return;
	await db
		.update(series)
		.set({ version: sql`${series.version} + 1` })
		.where(eq(series.id, seriesId));
}
