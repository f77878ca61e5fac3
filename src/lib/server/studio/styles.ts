import { eq } from 'drizzle-orm';
import { NO_STYLE, type TeacherStyle } from '../../core/style';
import type { Db } from '../db/open';
import { teacherStyle } from '../db/schema';
import { updateFrom } from '../db/versioned';
import type { SaveResult } from '../http/save-result';

export interface StoredStyle {
	version: number;
	style: TeacherStyle;
}

/** A teacher's style; version 0 and nothing chosen where they never set one. */
export async function getStyle(db: Db, teacherId: string): Promise<StoredStyle> {
	const [row] = await db.select().from(teacherStyle).where(eq(teacherStyle.teacherId, teacherId));
	if (!row) return { version: 0, style: NO_STYLE };
	return { version: row.version, style: { choices: row.choices, pace: row.pace } };
}

export async function saveStyle(
	db: Db,
	teacherId: string,
	fromVersion: number,
	{ choices, pace }: TeacherStyle
): Promise<SaveResult<StoredStyle>> {
	if (fromVersion === 0) {
		const [made] = await db.insert(teacherStyle).ignore().values({ teacherId, choices, pace });
		if (made.affectedRows === 1) return { kind: 'saved', version: 1 };
	} else {
		const mine = eq(teacherStyle.teacherId, teacherId);
		if (await updateFrom(db, teacherStyle, mine, fromVersion, { choices, pace }))
			return { kind: 'saved', version: fromVersion + 1 };
	}
	return { kind: 'stale', current: await getStyle(db, teacherId) };
}
