import { and, asc, eq, sql } from 'drizzle-orm';
import type { ClassPlan } from '../core/plan';
import { newId } from './db/ids';
import type { Db } from './db/open';
import { template } from './db/schema';
import type { Saved } from './saved';

export interface StoredTemplate {
	id: string;
	version: number;
	plan: ClassPlan;
}

/** The templates of a studio by their titles. */
export async function listTemplates(db: Db, studioId: string): Promise<StoredTemplate[]> {
	const rows = await db
		.select()
		.from(template)
		.where(eq(template.studioId, studioId))
		.orderBy(asc(template.title), asc(template.id));
	return rows.map(stored);
}

/** One template of this studio; null for another studio's and for none at all. */
export async function getTemplate(db: Db, studioId: string, id: string): Promise<StoredTemplate | null> {
	const [row] = await db
		.select()
		.from(template)
		.where(and(eq(template.id, id), eq(template.studioId, studioId)));
	return row ? stored(row) : null;
}

/** Keeps a class as a template. */
export async function createTemplate(db: Db, studioId: string, document: ClassPlan): Promise<string> {
	const id = newId();
	await db.insert(template).values({ id, studioId, title: document.title, document });
	return id;
}

export async function saveTemplate(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	document: ClassPlan
): Promise<Saved<StoredTemplate>> {
	const [result] = await db
		.update(template)
		.set({ title: document.title, document, version: sql`${template.version} + 1` })
		.where(and(eq(template.id, id), eq(template.studioId, studioId), eq(template.version, fromVersion)));
	if (result.affectedRows === 1) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getTemplate(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

/** Removes the version that was looked at; false when it is another by now, or gone. */
export async function deleteTemplate(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number
): Promise<boolean> {
	const [result] = await db
		.delete(template)
		.where(and(eq(template.id, id), eq(template.studioId, studioId), eq(template.version, fromVersion)));
	return result.affectedRows === 1;
}

const stored = (row: typeof template.$inferSelect): StoredTemplate => ({
	id: row.id,
	version: row.version,
	plan: row.document
});
