import { daysAgo } from '../../core/calendar';
import { and, asc, count, desc, eq, isNotNull, isNull, lt } from 'drizzle-orm';
import type { Student } from '../../core/group';
import {
	linesAbout,
	mentions,
	namesAsWord,
	withNames,
	withoutName,
	type Mentionable
} from '../../core/people';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { checkIn, classRecord, student } from '../db/schema';
import { clearRows, updateUnversioned, updateFrom } from '../db/versioned';
import { holdQuota } from '../http/quotas';
import type { Removal, SaveResult } from '../http/save-result';
import type { Owner } from '../http/owner';

export interface StoredStudent {
	id: string;
	version: number;
	student: Student;
}

/** For how long a person who was removed can be brought back: then nothing of them is left. */
export const KEPT_STUDENT_DAYS = 7;

const whose = ({ studioId, teacherId }: Owner) =>
	and(eq(student.studioId, studioId), eq(student.teacherId, teacherId))!;
const mine = (owner: Owner) => and(whose(owner), isNull(student.removedAt))!;

export async function listStudents(db: Db, owner: Owner, groupId: string): Promise<StoredStudent[]> {
	const rows = await db
		.select()
		.from(student)
		.where(and(mine(owner), eq(student.groupId, groupId)))
		.orderBy(asc(student.id));
	return rows
		.map(({ id, version, document }) => ({ id, version, student: document }))
		.sort((a, b) => a.student.name.localeCompare(b.student.name, 'en'));
}

/** Whom this teacher may mention in notes on a group. */
export const mentionable = async (db: Db, owner: Owner, groupId: string): Promise<Mentionable[]> =>
	(await listStudents(db, owner, groupId)).map(({ id, student: { name } }) => ({ id, name }));

/** Notes as their teacher reads them: with the names of those whom they mention. */
export const readable = <N extends { note: string }>(notes: N, people: readonly Mentionable[]): N => ({
	...notes,
	note: withNames(notes.note, people)
});

/** The group must belong to the studio: check that first. */
export async function createStudent(
	db: Db,
	owner: Owner,
	groupId: string,
	document: Student
): Promise<string> {
	const id = newRowId();
	await holdQuota(db, 'students', student, and(mine(owner), eq(student.groupId, groupId))!);
	await db.insert(student).values({ id, ...owner, groupId, document });
	return id;
}

export async function saveStudent(
	db: Db,
	owner: Owner,
	id: string,
	fromVersion: number,
	document: Student
): Promise<SaveResult<StoredStudent>> {
	const one = and(mine(owner), eq(student.id, id))!;
	if (await updateFrom(db, student, one, fromVersion, { document }))
		return { kind: 'saved', version: fromVersion + 1 };
	const [row] = await db.select().from(student).where(one);
	return row
		? { kind: 'stale', current: { id, version: row.version, student: row.document } }
		: { kind: 'missing' };
}

/**
 * Removes a person, in the version that was looked at, with what was measured of them. For a week they can be brought back;
 * then nothing of them is left. What was written down of classes stays as it is: see {@link notesThatName}.
 */
export async function removeStudent(db: Db, owner: Owner, id: string, fromVersion: number): Promise<Removal> {
	const one = and(mine(owner), eq(student.id, id))!;
	if (await updateFrom(db, student, one, fromVersion, { removedAt: new Date() })) return 'removed';
	const left = await db.select({ id: student.id }).from(student).where(one);
	return left.length ? 'stale' : 'missing';
}

/** Brings a removed person back, with what was measured of them; null where there is none. */
export async function restoreStudent(db: Db, owner: Owner, id: string): Promise<StoredStudent | null> {
	return db.transaction(async (tx) => {
		const gone = and(whose(owner), eq(student.id, id), isNotNull(student.removedAt))!;
		const [row] = await tx.select().from(student).where(gone).for('update');
		if (!row) return null;
		await holdQuota(tx, 'students', student, and(mine(owner), eq(student.groupId, row.groupId))!);
		await updateUnversioned(tx, student, gone, { removedAt: null });
		return { id, version: row.version, student: row.document };
	});
}

/** The people of a group that this teacher removed and can bring back, the last one first. */
export async function removedStudents(
	db: Db,
	owner: Owner,
	groupId: string
): Promise<{ id: string; name: string }[]> {
	const rows = await db
		.select({ id: student.id, document: student.document })
		.from(student)
		.where(and(whose(owner), eq(student.groupId, groupId), isNotNull(student.removedAt)))
		.orderBy(desc(student.removedAt));
	return rows.map(({ id, document }) => ({ id, name: document.name }));
}

/** Takes out for good, with what was measured of them, who were not brought back within the week. */
export const forgetStudents = (db: Db, now: Date): Promise<number> =>
	clearRows(db, student, lt(student.removedAt, daysAgo(now, KEPT_STUDENT_DAYS)));

/** A note that this teacher wrote down of a class of the group, in which a name stands as a word. */
export interface NoteWithName {
	recordId: string;
	version: number;
	on: string;
	title: string;
	note: string;
}

/**
 * The notes of a group's classes in which the name of one of its people stands as a word: whose name it is only the
 * teacher knows, who decides for each. With how many check-ins are kept of them. Null where there is no such person of this teacher.
 */
export async function notesThatName(
	db: Db,
	owner: Owner,
	id: string
): Promise<{ groupId: string; checkIns: number; notes: NoteWithName[] } | null> {
	const [known] = await db
		.select()
		.from(student)
		.where(and(whose(owner), eq(student.id, id)));
	if (!known) return null;
	const runs = await db
		.select()
		.from(classRecord)
		.where(
			and(
				eq(classRecord.studioId, owner.studioId),
				eq(classRecord.groupId, known.groupId),
				eq(classRecord.teacherId, owner.teacherId)
			)
		)
		.orderBy(desc(classRecord.taughtOn));
	const notes = runs
		.filter(({ document }) => namesAsWord(document.note, known.document.name))
		.map(({ id: recordId, version, taughtOn, title, document }) => ({
			recordId,
			version,
			on: taughtOn,
			title,
			note: document.note
		}));
	const [measured] = await db.select({ n: count() }).from(checkIn).where(eq(checkIn.studentId, id));
	return { groupId: known.groupId, checkIns: measured?.n ?? 0, notes };
}

/** Takes a name out of one note, in the version that was looked at, because its teacher said so. */
export function takeNameOut(
	db: Db,
	owner: Owner,
	id: string,
	recordId: string,
	fromVersion: number
): Promise<Removal> {
	return db.transaction(async (tx): Promise<Removal> => {
		const note = (await notesThatName(tx, owner, id))?.notes.find((one) => one.recordId === recordId);
		if (!note) return 'missing';
		const one = and(eq(classRecord.studioId, owner.studioId), eq(classRecord.id, recordId))!;
		const [row] = await tx.select().from(classRecord).where(one);
		const [known] = await tx
			.select()
			.from(student)
			.where(and(whose(owner), eq(student.id, id)));
		if (!row || !known) return 'missing';
		const document = { ...row.document, note: withoutName(row.document.note, known.document.name) };
		return (await updateFrom(tx, classRecord, one, fromVersion, { document })) ? 'removed' : 'stale';
	});
}

/** All data about a person, to be handed to them; null where there is no such person of this teacher. */
export async function dataOfStudent(db: Db, owner: Owner, id: string) {
	const [row] = await db
		.select()
		.from(student)
		.where(and(mine(owner), eq(student.id, id)));
	if (!row) return null;
	const taken = await db
		.select()
		.from(checkIn)
		.where(eq(checkIn.studentId, id))
		.orderBy(asc(checkIn.takenOn));
	const runs = await db
		.select()
		.from(classRecord)
		.where(and(eq(classRecord.studioId, owner.studioId), eq(classRecord.groupId, row.groupId)));
	return {
		writtenDown: row.document,
		measured: taken.map(({ takenOn, document }) => ({ on: takenOn, ...document })),
		// words about others in the same note are not theirs
		mentionedIn: runs
			.filter(({ document }) => mentions(document.note).includes(id))
			.map(({ taughtOn, title, document }) => ({
				on: taughtOn,
				class: title,
				note: linesAbout(document.note, id, row.document.name)
			}))
	};
}
