import { drizzle, type MySql2Database } from 'drizzle-orm/mysql2';
import mysql from 'mysql2/promise';
import { setTimeout as pause } from 'node:timers/promises';
import { mayBeTriedAgain } from './errors';
import * as schema from './schema';

/** The database, or a transaction in it. */
export type Db = MySql2Database<typeof schema>;

/** A database that does not answer a query within this time is taken for one that is not there. */
const QUERY_SECONDS = 10;

export function openDb(url: string, connectionLimit = 10) {
	const pool = mysql.createPool({
		uri: url,
		connectionLimit,
		timezone: 'Z',
		// documents are parsed where they are validated
		jsonStrings: true,
		charset: 'utf8mb4',
		connectTimeout: QUERY_SECONDS * 1000
	});
	limitQueries(pool.pool as unknown as Connections);
	// No relational queries: MariaDB has no LATERAL, so `db.query.x.findMany({ with })` fails there.
	const db: Db = drizzle(pool, { schema, mode: 'planetscale' });
	const once = db.transaction.bind(db);
	db.transaction = (work, config) => untilTaken(() => once(work, config));
	return { pool, db };
}

/** So often a transaction is begun before what the database says is believed. */
const MOST_TRIES = 6;
/** Of two that stood in each other's way one waits longer than the other. */
const LONGEST_PAUSE_MS = 40;

/** Begins a transaction anew where the database says so, as after a deadlock: nothing of the one before was kept. */
async function untilTaken<T>(begin: () => Promise<T>): Promise<T> {
	for (let tries = 1; ; tries++) {
		try {
			return await begin();
		} catch (error) {
			if (tries === MOST_TRIES || !mayBeTriedAgain(error)) throw error;
			await pause(Math.random() * LONGEST_PAUSE_MS * tries);
		}
	}
}

/** The parts of the driver's connection and commands that are used here; it types neither. */
interface Command {
	sql?: unknown;
	once(event: 'end', listener: () => void): void;
}
interface DriverConnection {
	addCommand<C extends Command>(command: C): C;
	stream: { destroy(error: Error): void };
}
interface Connections {
	on(event: 'connection', listener: (connection: DriverConnection) => void): unknown;
}

/** Cuts a connection whose query takes too long: the query fails, and the pool makes a new connection. */
function limitQueries(pool: Connections): void {
	pool.on('connection', (connection) => {
		const addCommand = connection.addCommand.bind(connection);
		connection.addCommand = (command) => {
			if (command.sql !== undefined) {
				const timer = setTimeout(() => {
					const error = new Error(`the database did not answer within ${QUERY_SECONDS} s`);
					connection.stream.destroy(Object.assign(error, { code: 'ETIMEDOUT' }));
				}, QUERY_SECONDS * 1000);
				command.once('end', () => clearTimeout(timer));
			}
			return addCommand(command);
		};
	});
}
