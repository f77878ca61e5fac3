import { and, asc, eq, sql } from 'drizzle-orm';
import type { Student } from '../core/people';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { student } from './db/schema';
import type { Saved } from './saved';

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
	and(eq(student.studioId, studioId), eq(student.teacherId, teacherId));

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
	const [result] = await db
		.update(student)
		.set({ document, version: sql`${student.version} + 1` })
		.where(and(mine(owner), eq(student.id, id), eq(student.version, fromVersion)));
	if (result.affectedRows === 1) return { kind: 'saved', version: fromVersion + 1 };
	const [row] = await db
		.select()
		.from(student)
		.where(and(mine(owner), eq(student.id, id)));
	return row
		? { kind: 'stale', current: { id, version: row.version, student: row.document } }
		: { kind: 'missing' };
}

/** Removes somebody for good: nothing of them is left. */
export async function deleteStudent(db: Db, owner: Owner, id: string): Promise<boolean> {
	const [result] = await db.delete(student).where(and(mine(owner), eq(student.id, id)));
	return result.affectedRows === 1;
}
