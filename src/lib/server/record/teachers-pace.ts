import { and, desc, eq, gt, max } from 'drizzle-orm';
import { learnKinds, type PaceModel } from '../../core/pace';
import { kindOfPlan, isTaught, sidesTogether, evidenceOfMinutes } from '../../core/teach';
import type { RunTask } from '../compute/tasks';
import type { Db } from '../db/open';
import { plan, taughtTime } from '../db/schema';
import { clearRows } from '../db/versioned';
import { getPlan } from '../plan/plans';
import { recordOfPlan } from './records';
import { catalogueWith, movementsFor, outdatedMovements, studioCatalogue } from '../studio/studio-catalogue';
import { getStyle } from '../studio/styles';
import { ledFromPlan, type StoredSession } from './sessions';
import type { Owner } from '../http/owner';

/** Learned pace fades: classes before this many would add almost nothing. */
const MOST_CLASSES = 120;

/** The pace of a teacher: what they said of it, and what their classes show. */
export async function paceOfTeacher(db: Db, teacherId: string): Promise<PaceModel> {
	const { pace } = (await getStyle(db, teacherId)).style;
	const learned = pace.learns === false ? null : await learnedPace(db, teacherId, pace);
	return learned ? { ...pace, learned } : pace;
}

/** Returns the pace that the classes of a teacher show; null where none has a record. */
export async function learnedPace(
	db: Db,
	teacherId: string,
	{ classKind }: PaceModel
): Promise<NonNullable<PaceModel['learned']> | null> {
	const rows = await db
		.select({ document: taughtTime.document })
		.from(taughtTime)
		.where(eq(taughtTime.teacherId, teacherId))
		.orderBy(desc(taughtTime.taughtOn), desc(taughtTime.learnedAt))
		.limit(MOST_CLASSES);
	if (rows.length === 0) return null;
	return learnKinds(rows.map(({ document }) => document).reverse(), classKind);
}

/** When something was last learned of a teacher's pace, if that was after a plan was last changed; null where it was not. */
export async function learnedSince(
	db: Db,
	{ studioId, teacherId }: Owner,
	planId: string
): Promise<string | null> {
	const one = and(eq(plan.studioId, studioId), eq(plan.id, planId));
	const [row] = await db
		.select({ at: max(taughtTime.learnedAt) })
		.from(taughtTime)
		.innerJoin(plan, one)
		.where(and(eq(taughtTime.teacherId, teacherId), gt(taughtTime.learnedAt, plan.updatedAt)));
	return row?.at ? row.at.toISOString() : null;
}

/**
 * Works out what the class of a plan says of the pace of who taught it, once it is written down or written down anew: from
 * its steps where it was led, else from its minutes.
 */
export async function learnFromPlan(
	db: Db,
	{ studioId, teacherId }: Owner,
	planId: string,
	work: RunTask
): Promise<void> {
	const run = await recordOfPlan(db, studioId, planId);
	const stored = run && (await getPlan(db, studioId, planId));
	if (!stored) return;
	const taught = stored.plan;
	const current = await studioCatalogue(db, studioId);
	const [moved = []] = await outdatedMovements(db, studioId, current, [taught]);
	const { find } = catalogueWith(current, moved);
	const movements = movementsFor(current, moved);
	const kind = kindOfPlan(taught, (await getStyle(db, teacherId)).style.pace);
	const led = (await ledFromPlan(db, studioId, planId, work)).findLast(({ tally }) => isTaught(tally));
	const { minutes, leftOut } = run.run;
	const told =
		(led && (await work('timeOfLed', { ...stepsOf(led.stored), plan: taught, kind, movements }))) ??
		evidenceOfMinutes(taught, find, kind, minutes, leftOut);
	const sides = led && sidesTogether(led.tally);
	const document = told && (sides ? { ...told, sides } : told);
	await clearRows(db, taughtTime, eq(taughtTime.recordId, run.id));
	if (document)
		await db.insert(taughtTime).values({ recordId: run.id, teacherId, taughtOn: run.run.on, document });
}

const stepsOf = ({ script, events }: StoredSession) => ({ script, events });
