import type { TestProject } from 'vitest/node';
import { startMariadb } from '../scripts/mariadb.mjs';

declare module 'vitest' {
	interface ProvidedContext {
		mariadbUrl: string;
	}
}

/** One MariaDB for all files of tests; each that needs one makes a database of its own in it (tests/unit/database.ts). */
export default async function oneMariadb(project: TestProject): Promise<() => Promise<unknown>> {
	const server = await startMariadb();
	project.provide('mariadbUrl', server.url);
	return () => server.stop();
}
