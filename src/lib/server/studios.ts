import { asc, eq } from 'drizzle-orm';
import type { Db } from './db/open';
import { newId } from './db/ids';
import { membership, studio } from './db/schema';

export type Studio = typeof studio.$inferSelect;

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
	const made: Studio = { id: newId(), name, timeZone };
	await db.transaction(async (tx) => {
		await tx.insert(studio).values(made);
		await tx.insert(membership).values({ studioId: made.id, teacherId });
	});
	return made;
}
