import { daysAgo } from '../../core/calendar';
import { and, eq, lt } from 'drizzle-orm';
import type { Db } from '../db/open';
import { removed, type RemovedKind } from '../db/schema';
import { clearRows } from '../db/versioned';

/** For how long what was removed can be brought back. */
export const TRASH_DAYS = 30;

/** Keeps what is being removed, in the same transaction. */
export async function keepRemoved(
	tx: Db,
	studioId: string,
	kind: RemovedKind,
	id: string,
	document: unknown
): Promise<void> {
	await clearRows(tx, removed, one(studioId, kind, id));
	await tx.insert(removed).values({ studioId, kind, id, document });
}

/** Returns a removed thing and locks it until the end of the transaction that restores it; null where it does not exist. */
export async function lookAtRemoved<T>(
	tx: Db,
	studioId: string,
	kind: RemovedKind,
	id: string
): Promise<T | null> {
	const [row] = await tx
		.select()
		.from(removed)
		.where(one(studioId, kind, id))
		.for('update');
	return row ? (row.document as T) : null;
}

/** Lets go of the kept copy, once what it holds is where it was. */
export const forgetOneRemoved = (tx: Db, studioId: string, kind: RemovedKind, id: string): Promise<number> =>
	clearRows(tx, removed, one(studioId, kind, id));

/** Returns the title of a removed thing, for offering it back; null where it does not exist. */
export async function removedTitle(
	db: Db,
	studioId: string,
	kind: RemovedKind,
	id: string
): Promise<string | null> {
	const [row] = await db
		.select()
		.from(removed)
		.where(one(studioId, kind, id));
	return row ? ((row.document as { title?: string }).title ?? '') : null;
}

export const forgetRemoved = (db: Db, now: Date): Promise<number> =>
	clearRows(db, removed, lt(removed.removedAt, daysAgo(now, TRASH_DAYS)));

const one = (studioId: string, kind: RemovedKind, id: string) =>
	and(eq(removed.studioId, studioId), eq(removed.kind, kind), eq(removed.id, id))!;
