import { daysAgo } from '../../core/calendar';
import { and, asc, desc, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import { type Dated } from '../../core/measure';
import { peopleIn, type CheckIn, type GroupCheckIn, type StudentCheckIn } from '../../core/hip-tests';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { checkIn, studio, student, teachingSession } from '../db/schema';
import { clearRows, deleteFrom, updateFrom } from '../db/versioned';
import { holdQuota } from '../http/quotas';
import type { Removal } from '../http/save-result';
import type { Owner } from '../http/owner';

export interface StoredCheckIn<T extends CheckIn = CheckIn> extends Dated<T> {
	id: string;
	version: number;
	studentId: string | null;
}

/** Fewer people than this can be told from one another: their counts are for the teacher who took them alone. */
export const FEWEST_TO_SHARE = 5;

const stored = (row: typeof checkIn.$inferSelect): StoredCheckIn => ({
	id: row.id,
	version: row.version,
	studentId: row.studentId,
	on: row.takenOn,
	checkIn: row.document
});

/** Counts of a whole group that this teacher may see, the oldest first. */
export async function groupCheckIns(
	db: Db,
	{ studioId, teacherId }: Owner,
	groupId: string
): Promise<StoredCheckIn<GroupCheckIn>[]> {
	const rows = await db
		.select()
		.from(checkIn)
		.where(and(eq(checkIn.studioId, studioId), eq(checkIn.groupId, groupId), isNull(checkIn.studentId)))
		.orderBy(asc(checkIn.takenOn), asc(checkIn.updatedAt));
	return rows
		.filter((row) => {
			if (row.teacherId === teacherId) return true;
			const { counts } = row.document as GroupCheckIn;
			return Math.max(peopleIn(counts.left), peopleIn(counts.right)) >= FEWEST_TO_SHARE;
		})
		.map(stored) as StoredCheckIn<GroupCheckIn>[];
}

/** Returns all readings that this teacher took of people, in every group: the error of their hands comes from these. */
export async function readingsOfTeacher(db: Db, { studioId, teacherId }: Owner): Promise<StudentCheckIn[]> {
	const rows = await db
		.select({ document: checkIn.document })
		.from(checkIn)
		.where(
			and(eq(checkIn.studioId, studioId), eq(checkIn.teacherId, teacherId), isNotNull(checkIn.studentId))
		);
	return rows.map(({ document }) => document).filter((one) => one.kind === 'readings');
}

/** Returns this teacher's measurements of the people of a group, oldest first; no other teacher sees them. */
export async function studentCheckIns(
	db: Db,
	{ studioId, teacherId }: Owner,
	groupId: string
): Promise<StoredCheckIn<StudentCheckIn>[]> {
	const rows = await db
		.select({ checkIn })
		.from(checkIn)
		.innerJoin(student, eq(student.id, checkIn.studentId))
		.where(
			and(
				eq(checkIn.studioId, studioId),
				eq(checkIn.groupId, groupId),
				eq(checkIn.teacherId, teacherId),
				isNull(student.removedAt)
			)
		)
		.orderBy(asc(checkIn.takenOn), asc(checkIn.updatedAt));
	return rows.map((row) => stored(row.checkIn)) as StoredCheckIn<StudentCheckIn>[];
}

/**
 * Keeps a check-in of a group of the studio (check that first), or of one of its people.
 * @returns null where there is no such person of this teacher in it
 */
export async function addCheckIn(
	tx: Db,
	owner: Owner,
	groupId: string,
	studentId: string | null,
	on: string,
	document: CheckIn,
	id = newRowId(),
	deviceOn: string | null = null
): Promise<string | null> {
	if (studentId !== null) {
		const mine = and(
			eq(student.studioId, owner.studioId),
			eq(student.teacherId, owner.teacherId),
			eq(student.groupId, groupId),
			eq(student.id, studentId),
			isNull(student.removedAt)
		);
		const [known] = await tx.select({ id: student.id }).from(student).where(mine);
		if (!known) return null;
	}
	await holdQuota(tx, 'check-ins', checkIn, eq(checkIn.studioId, owner.studioId));
	await tx.insert(checkIn).values({ id, ...owner, groupId, studentId, takenOn: on, deviceOn, document });
	return id;
}

/** The check-in of a group or its people that this teacher kept last; null where there is none. */
export async function lastKept(
	db: Db,
	{ studioId, teacherId }: Owner,
	groupId: string
): Promise<{ id: string; version: number } | null> {
	const [row] = await db
		.select({ id: checkIn.id, version: checkIn.version })
		.from(checkIn)
		.where(
			and(eq(checkIn.studioId, studioId), eq(checkIn.groupId, groupId), eq(checkIn.teacherId, teacherId))
		)
		.orderBy(desc(checkIn.updatedAt))
		.limit(1);
	return row ?? null;
}

/** Takes a check-in of this teacher out, in the version that was looked at. */
export async function removeCheckIn(db: Db, owner: Owner, id: string, fromVersion: number): Promise<Removal> {
	const one = and(
		eq(checkIn.studioId, owner.studioId),
		eq(checkIn.teacherId, owner.teacherId),
		eq(checkIn.id, id)
	)!;
	if (await deleteFrom(db, checkIn, one, fromVersion)) return 'removed';
	const left = await db.select({ id: checkIn.id }).from(checkIn).where(one);
	return left.length ? 'stale' : 'missing';
}

const YEAR_DAYS = 365;

/**
 * Takes out what each studio has kept for its years: what was measured, and the steps of classes that were led. The years
 * count from when the server received it, for the clock of a device may stand in another year.
 */
export async function forgetMeasured(db: Db, now: Date): Promise<void> {
	const studios = await db.select({ id: studio.id, keepYears: studio.keepYears }).from(studio);
	for (const { id, keepYears } of studios) {
		const before = daysAgo(now, keepYears * YEAR_DAYS);
		await clearRows(db, checkIn, and(eq(checkIn.studioId, id), lt(checkIn.receivedAt, before))!);
		await clearRows(
			db,
			teachingSession,
			and(eq(teachingSession.studioId, id), lt(teachingSession.receivedAt, before))!
		);
	}
}

/** For how many years the studio keeps what was measured, with the version of that setting. */
export async function keepsFor(db: Db, studioId: string): Promise<{ version: number; keepYears: number }> {
	const [row] = await db
		.select({ version: studio.version, keepYears: studio.keepYears })
		.from(studio)
		.where(eq(studio.id, studioId));
	return row ?? { version: 0, keepYears: 2 };
}

/** Sets it; false where it was changed meanwhile. */
export const setKeepYears = (
	db: Db,
	studioId: string,
	fromVersion: number,
	keepYears: number
): Promise<boolean> => updateFrom(db, studio, eq(studio.id, studioId), fromVersion, { keepYears });
