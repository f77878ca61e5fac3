import { env } from '$env/dynamic/private';
import { openDb, type Db } from './open';

let handle: ReturnType<typeof openDb> | undefined;

/** The process's one database handle; opened at first use, so that a build or a unit test needs no database. */
export function db(): Db {
	if (!handle) {
		if (!env.DATABASE_URL) throw new Error('DATABASE_URL is not set');
		handle = openDb(env.DATABASE_URL);
	}
	return handle.db;
}

/** Whether the process is ending: whoever still asks for the database gets no answer. */
export const isClosing = (): boolean => closing;
let closing = false;

export async function closeDb(): Promise<void> {
	closing = true;
	const h = handle;
	handle = undefined;
	await h?.pool.end();
}
