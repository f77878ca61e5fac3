import { and, asc, eq, sql } from 'drizzle-orm';
import type { Student } from '../core/group';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { checkIn, classRun, student, teaching, teachingEvent } from './db/schema';
import { deleteFrom, setSwitch, updateFrom } from './db/versioned';
import { holdQuota } from './quotas';
import type { Removal, Saved } from './saved';

export interface StoredStudent {
	id: string;
	version: number;
	student: Student;
}

/** Whose people are meant: every query names the studio and the teacher who wrote them down. */
export interface Owner {
	studioId: string;
	teacherId: string;
}

const mine = ({ studioId, teacherId }: Owner) =>
	and(eq(student.studioId, studioId), eq(student.teacherId, teacherId))!;

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

/** The group must belong to the studio: check that first. */
export async function createStudent(
	db: Db,
	owner: Owner,
	groupId: string,
	document: Student
): Promise<string> {
	const id = newId();
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
): Promise<Saved<StoredStudent>> {
	const one = and(mine(owner), eq(student.id, id))!;
	if (await updateFrom(db, student, one, fromVersion, { document }))
		return { kind: 'saved', version: fromVersion + 1 };
	const [row] = await db.select().from(student).where(one);
	return row
		? { kind: 'stale', current: { id, version: row.version, student: row.document } }
		: { kind: 'missing' };
}

/**
 * Removes somebody for good, in the version that was looked at: nothing of them is left, neither what was measured nor
 * their name in what this teacher wrote down of classes.
 */
export function deleteStudent(db: Db, owner: Owner, id: string, fromVersion: number): Promise<Removal> {
	const one = and(mine(owner), eq(student.id, id))!;
	return db.transaction(async (tx): Promise<Removal> => {
		const [known] = await tx.select().from(student).where(one);
		if (!known) return 'missing';
		if (!(await deleteFrom(tx, student, one, fromVersion))) return 'stale';
		await forgetName(tx, owner, known.document.name);
		return 'removed';
	});
}

/** Stands where a name stood. */
const NO_NAME = '(removed)';

async function forgetName(tx: Db, { studioId, teacherId }: Owner, name: string): Promise<void> {
	const has = (words: string | undefined): words is string => words?.includes(name) === true;
	const without = (words: string) => words.split(name).join(NO_NAME);
	const runs = await tx
		.select()
		.from(classRun)
		.where(and(eq(classRun.studioId, studioId), eq(classRun.teacherId, teacherId)));
	for (const { id, version, document } of runs) {
		if (!has(document.note)) continue;
		await updateFrom(tx, classRun, eq(classRun.id, id), version, {
			document: { ...document, note: without(document.note) }
		});
	}
	const notes = await tx
		.select({
			teachingId: teachingEvent.teachingId,
			eventId: teachingEvent.eventId,
			event: teachingEvent.event
		})
		.from(teachingEvent)
		.innerJoin(teaching, eq(teaching.id, teachingEvent.teachingId))
		.where(
			and(
				eq(teaching.studioId, studioId),
				eq(teaching.teacherId, teacherId),
				eq(sql`json_value(${teachingEvent.event}, '$.do')`, 'note')
			)
		);
	for (const { teachingId, eventId, event } of notes) {
		if (event.do !== 'note' || !has(event.words)) continue;
		const row = and(eq(teachingEvent.teachingId, teachingId), eq(teachingEvent.eventId, eventId))!;
		await setSwitch(tx, teachingEvent, row, { event: { ...event, words: without(event.words) } });
	}
}

/** All that is kept of somebody, to be handed to them; null where there is no such person of this teacher. */
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
		.from(classRun)
		.where(and(eq(classRun.studioId, owner.studioId), eq(classRun.teacherId, owner.teacherId)));
	return {
		writtenDown: row.document,
		measured: taken.map(({ takenOn, document }) => ({ on: takenOn, ...document })),
		namedIn: runs
			.filter(({ document }) => document.note.includes(row.document.name))
			.map(({ taughtOn, title, document }) => ({ on: taughtOn, class: title, note: document.note }))
	};
}
