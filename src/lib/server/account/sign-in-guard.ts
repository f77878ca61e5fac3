import { daysAgo } from '../../core/calendar';
import { createHash } from 'node:crypto';
import { and, eq, inArray, lt, type SQL } from 'drizzle-orm';
import type { Db } from '../db/open';
import { signInFailure, signInPlace } from '../db/schema';
import { clearRows, updateUnversioned } from '../db/versioned';

/** Wrong passwords in a row that cost no waiting: everybody mistypes. Common practice, no source. */
const FREE_TRIES = 5;
const LONGEST_WAIT_SECONDS = 300;
const FORGOTTEN_AFTER_HOURS = 24;
/** A place from which there was no sign-in for so long is a stranger's again. */
const PLACE_KEPT_DAYS = 180;

/** Seconds to wait after a number of wrong passwords in a row: nothing at first, then twice as long each time. */
export function waitSeconds(failures: number): number {
	return failures < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT_SECONDS, 2 ** (failures - FREE_TRIES));
}

/** Where a try comes from: what the browser keeps of an earlier sign-in (null: nothing), and its address. */
export interface SignInOrigin {
	device: string | null;
	address: string;
}

/**
 * Counts a try to sign in to an account as a failure until {@link clearTries} takes it back, so that many tries at once
 * cannot slip through together. Answers with the seconds to wait, or 0 when the try may be made. An address without an
 * account is treated just the same. A device or address that the account was used from counts by itself: whoever guesses
 * elsewhere does not lock it out, and guessing from it is as slow.
 */
export async function claimTry(db: Db, email: string, from: SignInOrigin, now: Date): Promise<number> {
	const accountHash = await counterOf(db, email, from);
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
		await updateUnversioned(tx, signInFailure, mine, { failures: row.failures + 1, lastAt: now });
		return 0;
	});
}

/** The right password: what counted this try starts afresh, and the place is known from now on. */
export async function clearTries(db: Db, email: string, from: SignInOrigin, now: Date): Promise<void> {
	await clearRows(db, signInFailure, eq(signInFailure.accountHash, await counterOf(db, email, from)));
	const accountHash = accountOf(email);
	for (const placeHash of placesOf(from))
		await db
			.insert(signInPlace)
			.values({ accountHash, placeHash, lastAt: now })
			.onDuplicateKeyUpdate({ set: { lastAt: now } });
}

/** Returns the counter of a sign-in attempt: the account, or the account at a place that it has used. */
async function counterOf(db: Db, email: string, from: SignInOrigin): Promise<string> {
	const accountHash = accountOf(email);
	const places: SQL = inArray(signInPlace.placeHash, placesOf(from));
	const [known] = await db
		.select({ placeHash: signInPlace.placeHash })
		.from(signInPlace)
		.where(and(eq(signInPlace.accountHash, accountHash), places))
		.limit(1);
	return known ? hashOf(`${accountHash} ${known.placeHash}`) : accountHash;
}

export const forgetTries = (db: Db, now: Date): Promise<number> =>
	clearRows(
		db,
		signInFailure,
		lt(signInFailure.lastAt, new Date(now.getTime() - FORGOTTEN_AFTER_HOURS * 3600_000))
	);

export const forgetPlaces = (db: Db, now: Date): Promise<number> =>
	clearRows(db, signInPlace, lt(signInPlace.lastAt, daysAgo(now, PLACE_KEPT_DAYS)));

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex');
const accountOf = (email: string) => hashOf(email.trim().toLowerCase());
const placesOf = ({ device, address }: SignInOrigin): string[] => [
	...(device === null ? [] : [hashOf(`device ${device}`)]),
	hashOf(`address ${address}`)
];
