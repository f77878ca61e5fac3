import { daysAgo } from '../../core/calendar';
import { and, asc, desc, eq, inArray, isNotNull, isNull, lt, type SQL } from 'drizzle-orm';
import type { Group, Kit } from '../../core/group';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { classGroup, classRecord, groupKit, plan, series } from '../db/schema';
import { clearRows, updateUnversioned, updateFrom } from '../db/versioned';
import { holdQuota } from '../http/quotas';
import { TRASH_DAYS } from '../studio/trash';
import type { Removal, SaveResult } from '../http/save-result';
import { kitRows, sharedKit } from '../studio/studio-kit';

type Row = typeof classGroup.$inferSelect;

export interface StoredGroup {
	id: string;
	version: number;
	group: Group;
}

/** All groups of a studio, by weekday and time. */
export async function listGroups(db: Db, studioId: string): Promise<StoredGroup[]> {
	const rows = await db
		.select()
		.from(classGroup)
		.where(there(studioId))
		.orderBy(asc(classGroup.weekday), asc(classGroup.startsAt));
	const kit = await kitOf(db, studioId, rows);
	return rows.map((row) => stored(row, kit));
}

/** Ids and names of the groups of a studio, without their documents, by weekday and time. */
export function groupNames(db: Db, studioId: string): Promise<{ id: string; name: string }[]> {
	return db
		.select({ id: classGroup.id, name: classGroup.name })
		.from(classGroup)
		.where(there(studioId))
		.orderBy(asc(classGroup.weekday), asc(classGroup.startsAt));
}

/** One group of this studio; null for another studio's and for none at all. */
export async function getGroup(db: Db, studioId: string, id: string): Promise<StoredGroup | null> {
	const [row] = await db
		.select()
		.from(classGroup)
		.where(and(eq(classGroup.id, id), there(studioId)));
	return row ? stored(row, await kitOf(db, studioId, [row])) : null;
}

export async function createGroup(db: Db, studioId: string, group: Group): Promise<string> {
	const id = newRowId();
	await db.transaction(async (tx) => {
		await holdQuota(tx, 'groups', classGroup, there(studioId));
		await tx.insert(classGroup).values({ id, studioId, ...columns(group) });
		await writeKit(tx, id, group);
	});
	return id;
}

/** Saves over the version that the change began from; `stale` brings what is stored now. */
export async function saveGroup(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	group: Group
): Promise<SaveResult<StoredGroup>> {
	const done = await db.transaction(async (tx) => {
		const row = and(eq(classGroup.id, id), there(studioId))!;
		if (!(await updateFrom(tx, classGroup, row, fromVersion, columns(group)))) return false;
		await clearRows(tx, groupKit, eq(groupKit.groupId, id));
		await writeKit(tx, id, group);
		return true;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getGroup(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

/**
 * Removes a group that has neither classes nor series, as it was looked at. `used`: it has some, which would go with it. Its
 * people, kit and check-ins stay with it, and for some weeks it can be brought back with all of them.
 */
export async function removeGroup(
	db: Db,
	studioId: string,
	id: string,
	version: number
): Promise<Removal | 'used'> {
	return db.transaction(async (tx) => {
		const mine = and(eq(classGroup.id, id), there(studioId))!;
		const [row] = await tx.select({ id: classGroup.id }).from(classGroup).where(mine).for('update');
		if (!row) return 'missing';
		for (const table of [plan, series, classRecord]) {
			const [used] = await tx.select({ id: table.id }).from(table).where(eq(table.groupId, id)).limit(1);
			if (used) return 'used';
		}
		const isGone = await updateFrom(tx, classGroup, mine, version, { removedAt: new Date() });
		return isGone ? 'removed' : 'stale';
	});
}

/** Brings a removed group back with all that hangs on it; its name, or null where there is none to bring back. */
export function restoreGroup(db: Db, studioId: string, id: string): Promise<string | null> {
	return db.transaction(async (tx) => {
		const gone = and(
			eq(classGroup.id, id),
			eq(classGroup.studioId, studioId),
			isNotNull(classGroup.removedAt)
		)!;
		const [row] = await tx.select({ name: classGroup.name }).from(classGroup).where(gone).for('update');
		if (!row) return null;
		await holdQuota(tx, 'groups', classGroup, there(studioId));
		await updateUnversioned(tx, classGroup, gone, { removedAt: null });
		return row.name;
	});
}

/** Whether the group of something that is brought back is there, or comes back with it. */
export async function groupComesBack(tx: Db, studioId: string, id: string): Promise<boolean> {
	const mine = and(eq(classGroup.id, id), eq(classGroup.studioId, studioId));
	const [row] = await tx.select({ removedAt: classGroup.removedAt }).from(classGroup).where(mine);
	return row !== undefined && (row.removedAt === null || (await restoreGroup(tx, studioId, id)) !== null);
}

/** The groups of a studio that were removed and can be brought back, the last one first. */
export async function removedGroups(db: Db, studioId: string): Promise<{ id: string; name: string }[]> {
	return db
		.select({ id: classGroup.id, name: classGroup.name })
		.from(classGroup)
		.where(and(eq(classGroup.studioId, studioId), isNotNull(classGroup.removedAt)))
		.orderBy(desc(classGroup.removedAt));
}

/** Takes out for good what was removed so long ago that it is not brought back any more. */
export const forgetGroups = (db: Db, now: Date): Promise<number> =>
	clearRows(db, classGroup, lt(classGroup.removedAt, daysAgo(now, TRASH_DAYS)));

/** The groups of a studio that are not removed. */
const there = (studioId: string): SQL =>
	and(eq(classGroup.studioId, studioId), isNull(classGroup.removedAt))!;

/** A group that shares the studio's kit has none of its own. */
async function writeKit(tx: Db, groupId: string, { sharesKit, kit }: Group): Promise<void> {
	const rows = sharesKit ? [] : kitRows(kit).map((row) => ({ groupId, ...row }));
	if (rows.length) await tx.insert(groupKit).values(rows);
}

function columns(group: Group) {
	const { kit: _kit, ...document } = group;
	return { name: group.name, weekday: group.weekday, startsAt: group.startsAt, document };
}

async function kitOf(db: Db, studioId: string, rows: Row[]): Promise<Map<string, Kit>> {
	const shared = rows.some(({ document }) => document.sharesKit) ? await sharedKit(db, studioId) : {};
	const kit = new Map<string, Kit>(
		rows.map(({ id, document }) => [id, document.sharesKit ? { ...shared } : {}])
	);
	const own = rows.flatMap(({ id, document }) => (document.sharesKit ? [] : [id]));
	if (own.length === 0) return kit;
	const counted = await db.select().from(groupKit).where(inArray(groupKit.groupId, own));
	for (const row of counted) kit.get(row.groupId)![row.kind] = row.count;
	return kit;
}

function stored(row: Row, kit: Map<string, Kit>): StoredGroup {
	return { id: row.id, version: row.version, group: { ...row.document, kit: kit.get(row.id) ?? {} } };
}
