import { createHash } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { dayInZone } from '../../core/calendar';
import type { GroupCheckIn } from '../../core/hip-tests';
import { contentText } from '../../core/plan';
import { addCheckIn } from '../group/check-ins';
import type { RunTask } from '../compute/tasks';
import type { Db } from '../db/open';
import { checkIn } from '../db/schema';
import { updateFrom } from '../db/versioned';
import { getTeachingSession } from '../record/sessions';
import type { Owner } from '../http/owner';

/** The same each time for one test at one moment of one class: what is counted again takes its place. */
const idOf = (session: string, { test, moment }: GroupCheckIn): string =>
	createHash('sha256').update([session, test, moment].join('/')).digest('base64url').slice(0, 16);

/** Keeps what was counted while a class was led, on the day of the class; what is kept of it already follows it. */
export async function keepCountsOfClass(
	db: Db,
	owner: Owner,
	sessionId: string,
	timeZone: string,
	work: RunTask
): Promise<void> {
	const led = await getTeachingSession(db, owner.studioId, sessionId);
	if (!led) return;
	const on = dayInZone(led.startedAt, timeZone);
	const counts = await work('countsOfLed', { script: led.script, events: led.events });
	for (const counted of counts) {
		const id = idOf(sessionId, counted);
		await db.transaction(async (tx) => {
			const one = and(eq(checkIn.id, id), eq(checkIn.studioId, owner.studioId))!;
			const [kept] = await tx
				.select({ version: checkIn.version, document: checkIn.document })
				.from(checkIn)
				.where(one)
				.for('update');
			if (!kept) await addCheckIn(tx, owner, led.groupId, null, on, counted, id);
			else if (contentText(kept.document) !== contentText(counted))
				await updateFrom(tx, checkIn, one, kept.version, { document: counted });
		});
	}
}
