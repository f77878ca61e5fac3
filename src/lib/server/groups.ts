import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Group } from '../core/group';
import type { KitKind } from '../core/movement';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { classGroup, groupKit } from './db/schema';
import { clearRows, updateFrom } from './db/versioned';
import { holdQuota } from './quotas';
import type { Saved } from './saved';

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
		.where(eq(classGroup.studioId, studioId))
		.orderBy(asc(classGroup.weekday), asc(classGroup.startsAt));
	const kit = await kitOf(
		db,
		rows.map((row) => row.id)
	);
	return rows.map((row) => stored(row, kit));
}

/** Ids and names of the groups of a studio, without their documents, by weekday and time. */
export function groupNames(db: Db, studioId: string): Promise<{ id: string; name: string }[]> {
	return db
		.select({ id: classGroup.id, name: classGroup.name })
		.from(classGroup)
		.where(eq(classGroup.studioId, studioId))
		.orderBy(asc(classGroup.weekday), asc(classGroup.startsAt));
}

/** One group of this studio; null for another studio's and for none at all. */
export async function getGroup(db: Db, studioId: string, id: string): Promise<StoredGroup | null> {
	const [row] = await db
		.select()
		.from(classGroup)
		.where(and(eq(classGroup.id, id), eq(classGroup.studioId, studioId)));
	return row ? stored(row, await kitOf(db, [row.id])) : null;
}

export async function createGroup(db: Db, studioId: string, group: Group): Promise<string> {
	const id = newId();
	await db.transaction(async (tx) => {
		await holdQuota(tx, 'groups', classGroup, eq(classGroup.studioId, studioId));
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
): Promise<Saved<StoredGroup>> {
	const done = await db.transaction(async (tx) => {
		const row = and(eq(classGroup.id, id), eq(classGroup.studioId, studioId))!;
		if (!(await updateFrom(tx, classGroup, row, fromVersion, columns(group)))) return false;
		await clearRows(tx, groupKit, eq(groupKit.groupId, id));
		await writeKit(tx, id, group);
		return true;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getGroup(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

async function writeKit(tx: Db, groupId: string, group: Group): Promise<void> {
	const rows = Object.entries(group.kit)
		.filter(([, count]) => count !== undefined && count > 0)
		.map(([kind, count]) => ({ groupId, kind: kind as KitKind, count: count as number }));
	if (rows.length) await tx.insert(groupKit).values(rows);
}

function columns(group: Group) {
	const { kit: _kit, ...document } = group;
	return { name: group.name, weekday: group.weekday, startsAt: group.startsAt, document };
}

async function kitOf(db: Db, groupIds: string[]): Promise<Map<string, Group['kit']>> {
	const kit = new Map<string, Group['kit']>(groupIds.map((id) => [id, {}]));
	if (groupIds.length === 0) return kit;
	const rows = await db.select().from(groupKit).where(inArray(groupKit.groupId, groupIds));
	for (const row of rows) (kit.get(row.groupId) as Group['kit'])[row.kind] = row.count;
	return kit;
}

function stored(row: typeof classGroup.$inferSelect, kit: Map<string, Group['kit']>): StoredGroup {
	return { id: row.id, version: row.version, group: { ...row.document, kit: kit.get(row.id) ?? {} } };
}
