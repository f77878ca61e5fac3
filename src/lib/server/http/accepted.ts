import { daysAgo } from '../../core/calendar';
import { createHash } from 'node:crypto';
import { error } from '@sveltejs/kit';
import { and, eq, lt } from 'drizzle-orm';
import { contentText } from '../../core/plan';
import type { Db } from '../db/open';
import { accepted } from '../db/schema';
import { clearRows, updateUnversioned } from '../db/versioned';

/** For how long a request may come again and still be known. */
const TOKEN_DAYS = 3;

/** Stands in a row until there is an answer; seen by no one else. */
const NOT_YET = '';

const hashOf = (asked: unknown): string =>
	createHash('sha256')
		.update(contentText(asked ?? null))
		.digest('hex');

/** Token that a client sends with a creation: random, 16 to 40 letters, digits, - and _. */
export const TOKEN = /^[A-Za-z0-9_-]{16,40}$/;

/**
 * Does something once for a token, in one transaction: the same request again, also at the same moment, gets the same
 * answer; another request under a token that was used is refused with 409. `act` gives the answer, which must be plain JSON;
 * when it throws, nothing is done and the token is free.
 * @param asked what is asked for: plain JSON, by which a request is known again
 */
export function once<T>(
	db: Db,
	studioId: string,
	token: string,
	asked: unknown,
	act: (tx: Db) => Promise<T>
): Promise<T> {
	const askedHash = hashOf(asked);
	return db.transaction(async (tx) => {
		const mine = and(eq(accepted.studioId, studioId), eq(accepted.token, token))!;
		// waits here while another request with this token is under way; with an update and not ignored, since two that
		// wait with the weaker lock of an ignored insert would wait for each other
		await tx
			.insert(accepted)
			.values({ studioId, token, askedHash, answer: NOT_YET })
			.onDuplicateKeyUpdate({ set: { token } });
		const [row] = await tx
			.select({ answer: accepted.answer, askedHash: accepted.askedHash })
			.from(accepted)
			.where(mine);
		if (row && row.askedHash !== null && row.askedHash !== askedHash)
			error(409, 'This was sent before with other contents. Reload the page.');
		if (row && row.answer !== NOT_YET) return JSON.parse(row.answer) as T;
		const answer = await act(tx);
		await updateUnversioned(tx, accepted, mine, { answer: JSON.stringify(answer) });
		return answer;
	});
}

/**
 * A save that a client may send again under the same token (its answer was lost): it is made once, and the second time
 * answered like the first. One that was not taken leaves no trace, and may be sent again from another version.
 */
export async function saveOnce<S extends { kind: string }>(
	db: Db,
	studioId: string,
	token: string | null,
	asked: unknown,
	save: (tx: Db) => Promise<S>
): Promise<S> {
	if (token === null || !TOKEN.test(token)) return save(db);
	try {
		return await once(db, studioId, token, asked, async (tx) => {
			const saved = await save(tx);
			if (saved.kind !== 'saved') throw new NotTaken(saved);
			return saved;
		});
	} catch (thrown) {
		if (thrown instanceof NotTaken) return thrown.saved as S;
		throw thrown;
	}
}

class NotTaken extends Error {
	constructor(readonly saved: unknown) {
		super('not saved');
	}
}

export const forgetAccepted = (db: Db, now: Date): Promise<number> =>
	clearRows(db, accepted, lt(accepted.acceptedAt, daysAgo(now, TOKEN_DAYS)));
