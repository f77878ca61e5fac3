import { readMigrationFiles } from 'drizzle-orm/migrator';
import mysql from 'mysql2/promise';

type Connection = mysql.Connection;

/**
 * MariaDB's errors for something that is there already, or gone already: table, column, key, primary key, foreign key
 * (two of them), and what cannot be dropped since it is not there (three).
 */
const DONE_ALREADY = new Set([1050, 1060, 1061, 1068, 1005, 1826, 1091, 1051, 1054]);
/** MariaDB's errors for a table or an index that is not there: for a renaming, whose work is done then. */
const RENAMED_ALREADY = new Set([1146, 1176]);

/** Whether an error of a statement says that its work is done already. */
function isDone(statement: string, errno: number): boolean {
	return DONE_ALREADY.has(errno) || (/ RENAME (TO|INDEX) /.test(statement) && RENAMED_ALREADY.has(errno));
}

/** The name of the lock of a database: servers hold it for all of their databases. */
const lockOf = (url: string) => `humble-orbit-start${new URL(url).pathname}`.slice(0, 64);

/** Waits until no other process prepares this database, then does so; at most a minute. */
export async function whileAlone<T>(url: string, work: (connection: Connection) => Promise<T>): Promise<T> {
	const connection = await mysql.createConnection({ uri: url, timezone: 'Z' });
	try {
		const [rows] = await connection.query<mysql.RowDataPacket[]>('select get_lock(?, 60) as got', [
			lockOf(url)
		]);
		if (rows[0]?.got !== 1) throw new Error('another process has been preparing this database for a minute');
		return await work(connection);
	} finally {
		await connection.end(); // also frees the lock
	}
}

/**
 * Brings the tables to their newest shape. MariaDB cannot take back a change of a table, so each statement is a step
 * with a mark of its own: "begun" before it, "done" after it. A start that was interrupted goes on at its step; where a
 * begun step finds its work done, it was. Safe from several processes at once.
 */
export function migrateDb(url: string, migrationsFolder: string): Promise<void> {
	return whileAlone(url, async (connection) => {
		const migrations = readMigrationFiles({ migrationsFolder });
		const marks = await readMarks(
			connection,
			migrations.map((m) => m.folderMillis)
		);
		for (const { folderMillis, sql } of migrations)
			for (const [step, statement] of sql.entries())
				await takeStep(connection, statement, folderMillis, step, marks(folderMillis, step));
	});
}

type Mark = 'none' | 'begun' | 'done';

async function takeStep(
	connection: Connection,
	statement: string,
	migration: number,
	step: number,
	mark: Mark
) {
	if (mark === 'done') return;
	await setMark(connection, migration, step, 'begun');
	// changes of rows are taken back with their mark; a change of a table ends the transaction by itself
	await connection.beginTransaction();
	try {
		await connection.query(statement);
	} catch (error) {
		await connection.rollback();
		if (mark !== 'begun' || !isDone(statement, (error as { errno?: number }).errno ?? 0)) throw error;
	}
	await setMark(connection, migration, step, 'done');
	await connection.commit();
}

async function setMark(connection: Connection, migration: number, step: number, state: Mark): Promise<void> {
	await connection.query('replace into migration_step (migration, step, state) values (?, ?, ?)', [
		migration,
		step,
		state
	]);
}

/**
 * The mark of every step. Databases of before marks have a list of whole migrations instead: those are done, and the one
 * after them may have been interrupted at any step.
 */
async function readMarks(
	connection: Connection,
	migrations: number[]
): Promise<(migration: number, step: number) => Mark> {
	await connection.query(
		`create table if not exists migration_step
			(migration bigint not null, step int not null, state varchar(5) not null, primary key (migration, step))`
	);
	const [rows] = await connection.query<mysql.RowDataPacket[]>(
		'select migration, step, state from migration_step'
	);
	const kept = new Map(rows.map((row) => [`${row.migration}/${row.step}`, row.state as Mark]));
	const before = await lastWholeMigration(connection);
	const next = before === null ? undefined : migrations.find((m) => m > before);
	return (migration, step) => {
		const mark = kept.get(`${migration}/${step}`);
		if (mark) return mark;
		if (before !== null && migration <= before) return 'done';
		return migration === next && !rows.some((row) => row.migration === next) ? 'begun' : 'none';
	};
}

/** The newest migration in the list that was kept before there were marks; 0 for an empty list, null for none. */
async function lastWholeMigration(connection: Connection): Promise<number | null> {
	const [tables] = await connection.query<mysql.RowDataPacket[]>(
		"show tables like '\\_\\_drizzle\\_migrations'"
	);
	if (tables.length === 0) return null;
	const [rows] = await connection.query<mysql.RowDataPacket[]>(
		'select max(created_at) as newest from __drizzle_migrations'
	);
	return Number(rows[0]?.newest ?? 0);
}
