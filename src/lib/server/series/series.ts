import { type ClassRecords } from '../../core/record';
import { and, asc, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import {
	type Due,
	dueIn,
	type PlannedSeries,
	type Series,
	type SeriesDocument,
	withTimesOfPlans
} from '../../core/series';
import { isAsMarked, PLAN_LIMITS, slugsOf } from '../../core/plan';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { classGroup, plan, series } from '../db/schema';
import { deleteFrom, moveFrom, updateFrom } from '../db/versioned';
import { sameContent } from '../studio/content-hash';
import { addPlanRow, changePlanRow, onePlan } from '../plan/plan-rows';
import { holdQuota } from '../http/quotas';
import { addRecord, recordsOfPlans, taughtPlans } from '../record/records';
import type { SaveResult } from '../http/save-result';
import type { Owner } from '../http/owner';

export interface StoredSeries {
	id: string;
	groupId: string;
	version: number;
	/** Whether a calendar may subscribe. */
	linked: boolean;
	planned: PlannedSeries;
	/** The version of each of its plans, and of what is written down of each of its classes. */
	planVersions: Record<string, number>;
	runVersions: Record<string, number>;
}

export interface SeriesListing {
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
	const taught = await taughtPlans(db, studioId);
	return all
		.map(({ id, series: s }) => ({ id, title: s.title, due: dueIn(s, planned, taught, days, today) }))
		.filter(({ due }) => due.length > 0);
}

/** All series of a studio, the newest first. */
export async function listSeries(db: Db, studioId: string): Promise<SeriesListing[]> {
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

/** Ids, titles and groups of the series of a studio, without their documents; the newest first. */
export function seriesTitles(
	db: Db,
	studioId: string
): Promise<{ id: string; groupId: string; title: string }[]> {
	return db
		.select({ id: series.id, groupId: series.groupId, title: series.title })
		.from(series)
		.where(eq(series.studioId, studioId))
		.orderBy(desc(series.startsOn), asc(series.title));
}

/** Returns the title of a series, for a link to it; null for another studio's. */
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
export async function getSeries(db: Db, studioId: string, id: string): Promise<StoredSeries | null> {
	const [row] = await db
		.select()
		.from(series)
		.where(and(eq(series.id, id), eq(series.studioId, studioId)));
	if (!row) return null;
	const plans = await db
		.select()
		.from(plan)
		.where(and(eq(plan.studioId, studioId), eq(plan.seriesId, row.id)));
	const runs = await recordsOfPlans(
		db,
		studioId,
		row.document.classes.map(({ id }) => id)
	);
	return {
		id: row.id,
		groupId: row.groupId,
		version: row.version,
		linked: row.linkHash !== null,
		planned: withTimesOfPlans({
			series: row.document,
			plans: Object.fromEntries(plans.map((p) => [p.id, p.document])),
			runs: Object.fromEntries(runs.map(({ run }) => [run.planId, run]))
		}),
		planVersions: Object.fromEntries(plans.map((p) => [p.id, p.version])),
		runVersions: Object.fromEntries(runs.map(({ run, version }) => [run.planId, version]))
	};
}

/**
 * The group must belong to the studio: check that first. What is written down of classes comes along as taught by
 * `teacherId`. A class that the group has already at the day and time of one of its classes is that class: it is taken in
 * as it is, and the group is not booked twice.
 */
export async function createSeries(
	db: Db,
	{ studioId, teacherId }: Owner,
	groupId: string,
	planned: SeriesDocument,
	runs: ClassRecords = {}
): Promise<string> {
	const id = newRowId();
	await db.transaction(async (tx) => {
		await holdQuota(tx, 'series', series, eq(series.studioId, studioId));
		const there = await plansAtItsTimes(tx, studioId, groupId, planned);
		const classes = planned.series.classes.map((c) => ({ ...c, id: there.get(c.id)?.id ?? c.id }));
		await tx
			.insert(series)
			.values({ id, studioId, groupId, ...seriesColumns({ ...planned.series, classes }) });
		await writePlans(tx, { id, studioId, groupId }, planned, {}, null);
		for (const taken of there.values())
			await moveFrom(tx, plan, onePlan(studioId, taken.id), taken.version, { seriesId: id });
		for (const c of planned.series.classes) {
			const run = runs[c.id];
			if (!run) continue;
			const { planId, on: taughtOn, startsAt, ...notes } = run;
			const document = planned.plans[c.id];
			const place = {
				studioId,
				groupId,
				teacherId,
				planId,
				taughtOn,
				startsAt,
				title: document?.title ?? ''
			};
			await addRecord(tx, place, notes, document ? slugsOf(document) : []);
		}
	});
	return id;
}

/** The classes of a group, in no series yet, at the day and time of classes of this one that have no plan; by their ids. */
async function plansAtItsTimes(
	tx: Db,
	studioId: string,
	groupId: string,
	{ series: { classes }, plans }: SeriesDocument
): Promise<Map<string, { id: string; version: number }>> {
	const open = classes.filter(({ id }) => !plans[id]);
	const days = [...new Set(open.map(({ on }) => on))];
	if (days.length === 0) return new Map();
	const rows = await tx
		.select()
		.from(plan)
		.where(
			and(
				eq(plan.studioId, studioId),
				eq(plan.groupId, groupId),
				isNull(plan.seriesId),
				inArray(plan.plannedOn, days)
			)
		)
		.orderBy(asc(plan.id));
	const found = new Map<string, { id: string; version: number }>();
	for (const { id, on, startsAt } of open) {
		const taken = rows.find(
			(row) =>
				row.plannedOn === on &&
				row.document.startsAt === startsAt &&
				![...found.values()].some((other) => other.id === row.id)
		);
		if (taken) found.set(id, taken);
	}
	return found;
}

/** A saved series: also the versions that its plans have now, and what was kept apart of them. */
export interface SavedSeries {
	kind: 'saved';
	version: number;
	planVersions: Record<string, number>;
	/** Titles of classes that were changed elsewhere while they were out of the series; each is a class of its own now. */
	keptApart: string[];
}

/**
 * Saves a series and its plans as one: over the versions that the change began from, or not at all. `planVersions` are
 * those of the plans, also of plans that this window took out of the series and brings back. Each change of one of its
 * plans at the desk counts as a change of the series too.
 */
export async function saveSeries(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	planVersions: Readonly<Record<string, number>>,
	planned: SeriesDocument
): Promise<SavedSeries | Exclude<SaveResult<StoredSeries>, { kind: 'saved' }>> {
	try {
		return await db.transaction(async (tx): Promise<SavedSeries> => {
			const before = await getSeries(tx, studioId, id);
			if (!before) throw new NotFrom('missing');
			const row = and(eq(series.id, id), eq(series.studioId, studioId))!;
			if (!(await updateFrom(tx, series, row, fromVersion, seriesColumns(planned.series))))
				throw new NotFrom('stale');
			const of = { id, studioId, groupId: before.groupId };
			const keptApart = await writePlans(tx, of, planned, planVersions, before);
			const ids = [...new Set([...Object.keys(planned.plans), ...Object.keys(before.planVersions)])];
			const rows = await plansById(tx, studioId, ids);
			const versions = Object.fromEntries(rows.map((plan) => [plan.id, plan.version]));
			return { kind: 'saved', version: fromVersion + 1, planVersions: versions, keptApart };
		});
	} catch (error) {
		if (!(error instanceof NotFrom)) throw error;
		const current = await getSeries(db, studioId, id);
		return current ? { kind: 'stale', current } : { kind: 'missing' };
	}
}

/** Takes a transaction back: something in it is not what the change began from. */
class NotFrom extends Error {}

/** Ids of plans that a series may not take: classes of another series. */
export async function foreignPlans(
	db: Db,
	studioId: string,
	seriesId: string | null,
	ids: readonly string[]
): Promise<string[]> {
	const rows = await plansById(db, studioId, ids);
	return rows.filter((row) => row.seriesId !== seriesId && row.seriesId !== null).map((row) => row.id);
}

export async function plansById(db: Db, studioId: string, ids: readonly string[]) {
	if (ids.length === 0) return [];
	return db
		.select()
		.from(plan)
		.where(and(eq(plan.studioId, studioId), inArray(plan.id, [...ids])));
}

/**
 * Brings the plans of a series to what it says. One that no longer has a class goes, unless it was changed by hand: that
 * one stays as a class of the group without a day. A plan that comes back into the series and was changed elsewhere in
 * the meantime is kept apart as a class of its own: the titles of those.
 */
async function writePlans(
	tx: Db,
	of: { id: string; studioId: string; groupId: string },
	{ series: { classes }, plans }: SeriesDocument,
	known: Readonly<Record<string, number>>,
	before: StoredSeries | null
): Promise<string[]> {
	const one = (id: string) => onePlan(of.studioId, id);
	const held = (changed: boolean) => {
		if (!changed) throw new NotFrom('stale');
	};
	const rows = await plansById(tx, of.studioId, Object.keys(plans));
	const byId = new Map(rows.map((row) => [row.id, row]));
	await holdQuota(
		tx,
		'classes',
		plan,
		eq(plan.studioId, of.studioId),
		Object.keys(plans).length - rows.length
	);
	const keptApart: string[] = [];
	for (const c of classes) {
		const document = Object.hasOwn(plans, c.id) ? plans[c.id] : undefined;
		if (!document) continue;
		const row = byId.get(c.id);
		const place = { plannedOn: c.on, seriesId: of.id };
		if (!row) {
			const { studioId, groupId } = of;
			await addPlanRow(tx, { id: c.id, studioId, groupId, ...place }, document);
		} else if (sameContent(row.document, document)) {
			if (row.plannedOn !== c.on || row.seriesId !== of.id)
				held(await moveFrom(tx, plan, one(c.id), row.version, place));
		} else {
			const begunFrom = Object.hasOwn(known, c.id) ? known[c.id] : undefined;
			if (begunFrom !== row.version) {
				held(row.seriesId !== of.id);
				keptApart.push(await keepApart(tx, row));
			}
			held(await changePlanRow(tx, of.studioId, c.id, row.version, document, place));
		}
	}
	if (!before) return keptApart;
	const proposed = new Map(before.planned.series.classes.map((c) => [c.id, c.proposedAs]));
	for (const [id, document] of Object.entries(before.planned.plans)) {
		if (Object.hasOwn(plans, id)) continue;
		const version = before.planVersions[id] as number;
		if (isAsMarked(document, proposed.get(id))) held(await deleteFrom(tx, plan, one(id), version));
		else held(await moveFrom(tx, plan, one(id), version, { seriesId: null, plannedOn: null }));
	}
	return keptApart;
}

/** Puts what a plan holds into a plan of its own; its title. */
async function keepApart(tx: Db, row: typeof plan.$inferSelect): Promise<string> {
	const title = `${row.title || 'Untitled class'} (other version)`.slice(0, PLAN_LIMITS.titleCharacters);
	const { studioId, groupId, plannedOn } = row;
	await addPlanRow(tx, { id: newRowId(), studioId, groupId, plannedOn }, { ...row.document, title });
	return title;
}

/** The columns of a series that repeat what its document says, and the document. */
export function seriesColumns(document: Series) {
	return { title: document.title, startsOn: document.startsOn, document };
}
