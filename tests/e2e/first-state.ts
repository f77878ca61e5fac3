import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { createConnection, type Connection, type RowDataPacket } from 'mysql2/promise';

/** The database that holds what the demo's was before the first test. */
const KEPT = 'app_before';

const left = (file: string) => readFileSync(`${process.env.E2E_RESULTS}/${file}`, 'utf8');
/** The process that runs the app and its database: SIGUSR1 stops the database, SIGUSR2 starts it again. */
export const servePid = () => Number(left('serve.pid'));

/** Keeps a copy of all that the demo holds now. */
export async function keepFirstState(): Promise<void> {
	await withDatabase(async (db) => {
		await db.query(`DROP DATABASE IF EXISTS ${KEPT}`);
		await db.query(`CREATE DATABASE ${KEPT}`);
		for (const table of await tables(db)) {
			await db.query(`CREATE TABLE ${KEPT}.\`${table}\` LIKE \`${table}\``);
			await db.query(`INSERT INTO ${KEPT}.\`${table}\` SELECT * FROM \`${table}\``);
		}
	});
}

/** Brings that back: what a test that failed has left would make its second try fail too. */
export async function backToFirstState(): Promise<void> {
	await withDatabase(async (db) => {
		await db.query('SET foreign_key_checks = 0');
		for (const table of await tables(db)) {
			await db.query(`DELETE FROM \`${table}\``);
			await db.query(`INSERT INTO \`${table}\` SELECT * FROM ${KEPT}.\`${table}\``);
		}
	});
}

async function tables(db: Connection): Promise<string[]> {
	const [rows] = await db.query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
	return rows.map((row) => String(row[0]));
}

async function withDatabase(work: (db: Connection) => Promise<void>): Promise<void> {
	const db = await connected();
	try {
		await work(db);
	} finally {
		await db.end();
	}
}

/** The test that failed may have stopped the database. */
async function connected(): Promise<Connection> {
	const uri = left('database.url');
	try {
		return await createConnection(uri);
	} catch {
		process.kill(servePid(), 'SIGUSR2');
	}
	for (let tries = 1; ; tries++) {
		await pause(500);
		try {
			return await createConnection(uri);
		} catch (error) {
			if (tries === 60) throw error;
		}
	}
}
