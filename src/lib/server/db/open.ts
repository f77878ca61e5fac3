import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import mysql from 'mysql2/promise';
import * as schema from './schema';

export function openDb(url: string, connectionLimit = 10) {
	const pool = mysql.createPool({ uri: url, connectionLimit, timezone: 'Z', charset: 'utf8mb4' });
	// No relational queries: MariaDB has no LATERAL, so `db.query.x.findMany({ with })` fails there.
	return { pool, db: drizzle(pool, { schema, mode: 'planetscale' }) };
}
export type Db = ReturnType<typeof openDb>['db'];

/** Applies the migrations once, even when several processes start together. */
export async function migrateDb(url: string, migrationsFolder: string): Promise<void> {
	const conn = await mysql.createConnection({ uri: url, timezone: 'Z' });
	try {
		const [rows] = await conn.query<mysql.RowDataPacket[]>("select get_lock('drizzle-migrate', 60) as got");
		if (rows[0]?.got !== 1) throw new Error('could not get the migration lock');
		await migrate(drizzle(conn), { migrationsFolder });
	} finally {
		await conn.end(); // also frees the lock
	}
}
