/** Two and three windows on the same documents, in the short form; `npm run attack` runs ten thousand of each. */
import { afterAll, beforeAll, expect, it } from 'vitest';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb } from '../../src/lib/server/db/open';
import { teacher } from '../../src/lib/server/db/schema';
import { windowsOnDocuments, windowsOnSeries } from '../attack/windows';
import { freshDatabase } from './database';

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;

beforeAll(async () => {
	server = await freshDatabase();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	await handle.db.insert(teacher).values({ id: 'imke', name: 'Imke', email: 'imke@wick-hollow.example' });
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

const RUNS = 60;

it('lose no text of a plan, group, template or own movement', async () => {
	for (let seed = 1; seed <= RUNS; seed++)
		expect([seed, await windowsOnDocuments(handle.db, 'imke', seed)]).toEqual([seed, []]);
});

it('lose no text of a class that is taken out of a series and put back', async () => {
	for (let seed = 1; seed <= RUNS; seed++)
		expect([seed, await windowsOnSeries(handle.db, 'imke', seed)]).toEqual([seed, []]);
});
