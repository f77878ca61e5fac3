import { and, asc, eq } from 'drizzle-orm';
import type { Student } from '../core/group';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { student } from './db/schema';
import { deleteFrom, updateFrom } from './db/versioned';
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

/** Removes somebody for good, in the version that was looked at: nothing of them is left. */
export async function deleteStudent(db: Db, owner: Owner, id: string, fromVersion: number): Promise<Removal> {
	const one = and(mine(owner), eq(student.id, id))!;
	if (await deleteFrom(db, student, one, fromVersion)) return 'removed';
	const left = await db.select({ id: student.id }).from(student).where(one);
	return left.length ? 'stale' : 'missing';
}
