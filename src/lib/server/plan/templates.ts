import { and, asc, eq } from 'drizzle-orm';
import { keptDocument } from '../db/document-column';
import { withVersion } from '../../core/validation';
import { type ClassPlan, PLAN } from '../../core/plan';
import { newRowId } from '../db/ids';
import type { Db } from '../db/open';
import { template } from '../db/schema';
import { deleteFrom, updateFrom } from '../db/versioned';
import { holdQuota } from '../http/quotas';
import { forgetOneRemoved, keepRemoved, lookAtRemoved } from '../studio/trash';
import type { Removal, SaveResult } from '../http/save-result';

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
	const id = newRowId();
	await holdQuota(db, 'templates', template, eq(template.studioId, studioId));
	await db.insert(template).values({ id, studioId, title: document.title, document });
	return id;
}

export async function saveTemplate(
	db: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	document: ClassPlan
): Promise<SaveResult<StoredTemplate>> {
	const changes = { title: document.title, document };
	if (await updateFrom(db, template, one(studioId, id), fromVersion, changes))
		return { kind: 'saved', version: fromVersion + 1 };
	const current = await getTemplate(db, studioId, id);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

/** Removes the version that was looked at; for some weeks it can be brought back. */
export function removeTemplate(db: Db, studioId: string, id: string, fromVersion: number): Promise<Removal> {
	return db.transaction(async (tx) => {
		const [row] = await tx.select().from(template).where(one(studioId, id)).for('update');
		if (!row) return 'missing';
		if (!(await deleteFrom(tx, template, one(studioId, id), fromVersion))) return 'stale';
		const kept = { ...row, document: withVersion(PLAN, row.document) };
		await keepRemoved(tx, studioId, 'template', id, kept);
		return 'removed';
	});
}

/** Puts a removed template back under its id; its title, or null when there is nothing to bring back. */
export function restoreTemplate(db: Db, studioId: string, id: string): Promise<string | null> {
	return db.transaction(async (tx) => {
		const row = await lookAtRemoved<typeof template.$inferSelect>(tx, studioId, 'template', id);
		if (!row) return null;
		await holdQuota(tx, 'templates', template, eq(template.studioId, studioId));
		const { title, version } = row;
		const document = keptDocument<ClassPlan>(PLAN, row.document);
		await tx.insert(template).values({ id, studioId, title, document, version: version + 1 });
		await forgetOneRemoved(tx, studioId, 'template', id);
		return title;
	});
}

const one = (studioId: string, id: string) => and(eq(template.id, id), eq(template.studioId, studioId))!;

const stored = (row: typeof template.$inferSelect): StoredTemplate => ({
	id: row.id,
	version: row.version,
	plan: row.document
});
