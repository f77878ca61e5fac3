import { createHash, randomBytes } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/open';
import { series, studio } from '../db/schema';
import { updateUnversioned } from '../db/versioned';

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** A new secret for subscribing to the dates of a series; the one before no longer opens anything. Shown once. */
export async function makeLink(db: Db, studioId: string, id: string): Promise<string | null> {
	const secret = randomBytes(24).toString('base64url');
	const one = and(eq(series.id, id), eq(series.studioId, studioId))!;
	return (await updateUnversioned(db, series, one, { linkHash: hashOf(secret) })) ? secret : null;
}

export function revokeLink(db: Db, studioId: string, id: string): Promise<boolean> {
	return updateUnversioned(db, series, and(eq(series.id, id), eq(series.studioId, studioId))!, {
		linkHash: null
	});
}

/** The series that a secret opens, with its studio; null for one that was revoked or never given. */
export async function seriesOfLink(
	db: Db,
	secret: string
): Promise<{ id: string; studioId: string; studioName: string } | null> {
	const [row] = await db
		.select({ id: series.id, studioId: series.studioId, studioName: studio.name })
		.from(series)
		.innerJoin(studio, eq(series.studioId, studio.id))
		.where(eq(series.linkHash, hashOf(secret)));
	return row ?? null;
}
