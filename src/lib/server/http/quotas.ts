import { error } from '@sveltejs/kit';
import { count, type SQL } from 'drizzle-orm';
import type { MySqlTable } from 'drizzle-orm/mysql-core';
import type { Db } from '../db/open';

/** The most of a kind that a studio (of students: a group) may hold. Far more than one needs; common practice, no source. */
export const QUOTAS = {
	classes: 5000,
	groups: 100,
	runs: 5000,
	'classes led': 5000,
	series: 300,
	templates: 500,
	'own movements': 500,
	'kept states of movements': 5000,
	students: 200,
	'check-ins': 20_000
} as const;

/** Refuses with 422 when `adding` more rows would be over the quota. To be called in the transaction that adds them. */
export async function holdQuota(
	db: Db,
	what: keyof typeof QUOTAS,
	table: MySqlTable,
	rows: SQL,
	adding = 1
): Promise<void> {
	const [counted] = await db.select({ rows: count() }).from(table).where(rows);
	if ((counted?.rows ?? 0) + adding > QUOTAS[what])
		error(422, `There is room for ${QUOTAS[what]} ${what}. Remove some that are no longer needed first.`);
}
