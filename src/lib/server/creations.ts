import { and, eq, lt } from 'drizzle-orm';
import type { Db } from './db/open';
import { creation } from './db/schema';
import { clearRows, setSwitch } from './db/versioned';

/** For how long a request may come again and still be known. */
const KEPT_DAYS = 3;

/** Stands in a row until what is made has its id; seen by nobody else. */
const NOT_YET = '';

/** What a client must send along to make something: of its own making, 16 to 40 letters, digits, - and _. */
export const TOKEN = /^[A-Za-z0-9_-]{16,40}$/;

/**
 * Makes something once for a token, in one transaction: the same request again, also at the same moment, answers with
 * what was made. `make` returns its id.
 */
export function once(
	db: Db,
	studioId: string,
	token: string,
	make: (tx: Db) => Promise<string>
): Promise<string> {
	return db.transaction(async (tx) => {
		const mine = and(eq(creation.studioId, studioId), eq(creation.token, token))!;
		// waits here while another request with this token is under way; with an update and not ignored, since two that
		// wait with the weaker lock of an ignored insert would wait for each other
		await tx
			.insert(creation)
			.values({ studioId, token, madeId: NOT_YET })
			.onDuplicateKeyUpdate({ set: { token } });
		const [row] = await tx.select({ madeId: creation.madeId }).from(creation).where(mine);
		if (row && row.madeId !== NOT_YET) return row.madeId;
		const madeId = await make(tx);
		await setSwitch(tx, creation, mine, { madeId });
		return madeId;
	});
}

export const forgetCreations = (db: Db, now: Date): Promise<number> =>
	clearRows(db, creation, lt(creation.madeAt, new Date(now.getTime() - KEPT_DAYS * 24 * 3600_000)));
