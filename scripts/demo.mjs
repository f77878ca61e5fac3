// `npm run demo`: everything from a fresh checkout to a running app with the demo scenario in it.
import { join } from 'node:path';
import { ensureBuilt } from './build.mjs';
import { ensureMariadb, ensurePackages, fail, ROOT } from './setup.mjs';

await ensureMariadb();
const dataDir = join(ROOT, '.data/demo');
// the database needs no packages, and comes up while they are installed and the app is built
const { keepMariadb } = await import('./mariadb.mjs');
const database = process.env.DATABASE_URL
	? Promise.resolve(undefined)
	: keepMariadb({ dataDir: join(dataDir, 'mariadb') });
database.catch(() => undefined);
await ensurePackages();
await ensureBuilt();
const { serve } = await import('./serve.mjs');
const port = Number(process.env.PORT ?? 4321);
const app = await serve({
	port,
	dataDir,
	database: await database,
	demo: true,
	season: true,
	quiet: true
}).catch((error) => fail(`Humble Orbit could not start: ${error.message}`));
console.log(`
Humble Orbit is running at ${app.origin}

  The sign-in page has a button that enters the demo studio, the Saltmarsh Loft.
  By hand: imke@saltmarsh-loft.example with the password headland-at-dusk

Ctrl-C stops it, and the database with it.`);
