import { asc, eq } from 'drizzle-orm';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { USUAL_KIT } from '../../core/group';
import { membership, studio, teacher } from '../db/schema';
import { writeStudioKit } from './studio-kit';

export type Studio = Pick<typeof studio.$inferSelect, 'id' | 'name' | 'timeZone'>;

/** The studio that a teacher works in: the first of which they are a member. */
export async function studioOf(db: Db, teacherId: string): Promise<Studio | null> {
	const [row] = await db
		.select({ studio })
		.from(membership)
		.innerJoin(studio, eq(membership.studioId, studio.id))
		.where(eq(membership.teacherId, teacherId))
		.orderBy(asc(studio.name))
		.limit(1);
	return row?.studio ?? null;
}

export async function createStudio(
	db: Db,
	teacherId: string,
	name: string,
	timeZone: string
): Promise<Studio> {
	const made: Studio = { id: newRowId(), name, timeZone };
	await db.transaction(async (tx) => {
		await tx.insert(studio).values(made);
		await tx.insert(membership).values({ studioId: made.id, teacherId });
		await writeStudioKit(tx, made.id, USUAL_KIT);
	});
	return made;
}

const NAME_CHARACTERS = 120;

/**
 * The studio that a teacher works in. One that has none gets one now: everything belongs to a studio, so nobody is
 * without one, whatever came between opening the account and this.
 */
export async function studioFor(
	db: Db,
	who: { id: string; name: string },
	timeZone: string
): Promise<Studio | null> {
	const known = await studioOf(db, who.id);
	if (known) return known;
	return db.transaction(async (tx) => {
		const account = tx.select({ id: teacher.id }).from(teacher).where(eq(teacher.id, who.id));
		if ((await account.for('update')).length === 0) return null; // the account is gone
		const meanwhile = await studioOf(tx, who.id);
		return meanwhile ?? createStudio(tx, who.id, studioNameOf(who.name), timeZone);
	});
}

/** "Imke Oyelaran’s studio", cut where it would not fit. */
export function studioNameOf(name: string): string {
	const after = '’s studio';
	return [...name].slice(0, NAME_CHARACTERS - after.length).join('') + after;
}
