import { and, asc, eq } from 'drizzle-orm';
import type { SilencedCheck } from '../../core/checks';
import type { Db } from '../db/open';
import { silencedCheck } from '../db/schema';
import { clearRows } from '../db/versioned';

/** Checks that this teacher does not want to hear of in any class, by their ids. */
export async function silencedChecks(db: Db, teacherId: string): Promise<SilencedCheck[]> {
	return db
		.select({ check: silencedCheck.checkId, reason: silencedCheck.reason })
		.from(silencedCheck)
		.where(eq(silencedCheck.teacherId, teacherId))
		.orderBy(asc(silencedCheck.checkId));
}

/** Silences a check for good; saying it again only changes the reason. */
export async function storeSilencedCheck(
	db: Db,
	teacherId: string,
	{ check, reason }: SilencedCheck
): Promise<void> {
	await db
		.insert(silencedCheck)
		.values({ teacherId, checkId: check, reason })
		.onDuplicateKeyUpdate({ set: { reason } });
}

/** Asks again; nothing happens where the check was not silenced. */
export async function askAgain(db: Db, teacherId: string, check: string): Promise<void> {
	const row = and(eq(silencedCheck.teacherId, teacherId), eq(silencedCheck.checkId, check));
	await clearRows(db, silencedCheck, row!);
}
