import { createHash } from 'node:crypto';
import { eq, lt } from 'drizzle-orm';
import type { Db } from './db/open';
import { signInFailure } from './db/schema';
import { clearRows, setSwitch } from './db/versioned';

/** Wrong passwords in a row that cost no waiting: everybody mistypes. Common practice, no source. */
const FREE_TRIES = 5;
const LONGEST_WAIT_SECONDS = 300;
const FORGOTTEN_AFTER_HOURS = 24;

/** Seconds to wait after so many wrong passwords in a row: nothing at first, then twice as long each time. */
export function waitSeconds(failures: number): number {
	return failures < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_SECONDS, 2 ** (failures - FREE_TRIES));
}

/**
 * Counts a try to sign in to an account as a failure until {@link clearTries} takes it back, so that many tries at once
 * cannot slip through together. Answers with the seconds to wait, or 0 when the try may be made. An address without an
 * account is treated just the same.
 */
export function claimTry(db: Db, email: string, now: Date): Promise<number> {
	const accountHash = hashOf(email);
	const mine = eq(signInFailure.accountHash, accountHash);
	return db.transaction(async (tx) => {
		// an insert that only ignores what is there would hold a weaker lock, and two of those wait for each other
		await tx
			.insert(signInFailure)
			.values({ accountHash, failures: 0, lastAt: now })
			.onDuplicateKeyUpdate({ set: { accountHash } });
		const [row] = await tx.select().from(signInFailure).where(mine);
		if (!row) return 0;
		const passed = (now.getTime() - row.lastAt.getTime()) / 1000;
		const left = Math.ceil(waitSeconds(row.failures) - passed);
		if (left > 0) return left;
		await setSwitch(tx, signInFailure, mine, { failures: row.failures + 1, lastAt: now });
		return 0;
	});
}

/** The right password: the account starts afresh. */
export const clearTries = (db: Db, email: string): Promise<number> =>
	clearRows(db, signInFailure, eq(signInFailure.accountHash, hashOf(email)));

export const forgetTries = (db: Db, now: Date): Promise<number> =>
	clearRows(
		db,
		signInFailure,
		lt(signInFailure.lastAt, new Date(now.getTime() - FORGOTTEN_AFTER_HOURS * 3600_000))
	);

const hashOf = (email: string) => createHash('sha256').update(email.trim().toLowerCase()).digest('hex');
