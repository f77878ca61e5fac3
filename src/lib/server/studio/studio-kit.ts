import { eq } from 'drizzle-orm';
import type { Kit } from '../../core/group';
import type { KitKind } from '../../core/movement';
import type { Db } from '../db/open';
import { studio, studioKit } from '../db/schema';
import { clearRows, updateFrom } from '../db/versioned';
import type { SaveResult } from '../http/save-result';

/** Kit of a studio's room, with the version of the studio that it belongs to. */
export interface StudioKit {
	version: number;
	kit: Kit;
}

export async function getStudioKit(db: Db, studioId: string): Promise<StudioKit> {
	const [row] = await db.select({ version: studio.version }).from(studio).where(eq(studio.id, studioId));
	return { version: row?.version ?? 0, kit: await sharedKit(db, studioId) };
}

/** The kit alone, for the groups that share it. */
export async function sharedKit(db: Db, studioId: string): Promise<Kit> {
	const counted = await db.select().from(studioKit).where(eq(studioKit.studioId, studioId));
	return Object.fromEntries(counted.map(({ kind, count }) => [kind, count]));
}

/** Saves over the version that the change began from; `stale` brings what is stored now. */
export async function saveStudioKit(
	db: Db,
	studioId: string,
	fromVersion: number,
	kit: Kit
): Promise<SaveResult<StudioKit>> {
	const done = await db.transaction(async (tx) => {
		if (!(await updateFrom(tx, studio, eq(studio.id, studioId), fromVersion, {}))) return false;
		await writeStudioKit(tx, studioId, kit);
		return true;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	return { kind: 'stale', current: await getStudioKit(db, studioId) };
}

/** Puts this kit in place of what was counted. */
export async function writeStudioKit(tx: Db, studioId: string, kit: Readonly<Kit>): Promise<void> {
	await clearRows(tx, studioKit, eq(studioKit.studioId, studioId));
	const rows = kitRows(kit).map((row) => ({ studioId, ...row }));
	if (rows.length) await tx.insert(studioKit).values(rows);
}

/** Kinds of which there is at least one piece. */
export const kitRows = (kit: Readonly<Kit>): { kind: KitKind; count: number }[] =>
	Object.entries(kit)
		.filter(([, count]) => count > 0)
		.map(([kind, count]) => ({ kind: kind as KitKind, count }));
