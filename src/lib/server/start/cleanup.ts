import { lt } from 'drizzle-orm';
import { forgetMeasured } from '../group/check-ins';
import { forgetAccepted } from '../http/accepted';
import type { Db } from '../db/open';
import { rateLimit, session } from '../db/schema';
import { clearRows } from '../db/versioned';
import { forgetRemoved } from '../studio/trash';
import { forgetGroups } from '../group/groups';
import { forgetPlaces, forgetTries } from '../account/sign-in-guard';
import { forgetStudents } from '../group/students';

const EVERY_MS = 3600_000;

/** Takes out what has had its time: old sessions, counters and marks, and what was removed weeks ago. */
export async function tidy(db: Db, now: Date): Promise<void> {
	await clearRows(db, session, lt(session.expiresAt, now));
	await clearRows(db, rateLimit, lt(rateLimit.lastRequest, now.getTime() - EVERY_MS));
	await forgetTries(db, now);
	await forgetAccepted(db, now);
	await forgetRemoved(db, now);
	await forgetStudents(db, now);
	await forgetGroups(db, now);
	await forgetPlaces(db, now);
	await forgetMeasured(db, now);
}

/** Tidies now and each hour; what goes wrong is told to `failed` and tried again the next hour. Ends with the result. */
export function tidyHourly(db: Db, failed: (error: unknown) => void): () => void {
	const run = () => void tidy(db, new Date()).catch(failed);
	run();
	const timer = setInterval(run, EVERY_MS);
	timer.unref();
	return () => clearInterval(timer);
}
