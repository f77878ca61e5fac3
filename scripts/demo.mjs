// `npm run demo`: everything from a fresh checkout to a running app with the demo scenario in it.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ensureMariadb, ensurePackages, fail, ROOT, run } from './setup.mjs';

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

/** Builds when there is no build of just these sources: a second start takes seconds. */
async function ensureBuilt() {
	const stamp = join(ROOT, 'build/.sources');
	const now = sourceHash();
	if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
	console.log('Building (about half a minute; the next start needs none) ...');
	const code = await run(
		process.execPath,
		['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'error'],
		{
			env: { ...process.env, NODE_ENV: 'production', ORBIT_BUILD: 'local' }
		}
	);
	if (code !== 0) fail('The build did not succeed.');
	mkdirSync(join(ROOT, 'build'), { recursive: true });
	writeFileSync(stamp, now);
}

function sourceHash() {
	const hash = createHash('sha256');
	const visit = (path) => {
		if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
		else hash.update(path.slice(ROOT.length)).update(readFileSync(path));
	};
	for (const part of ['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'])
		visit(join(ROOT, part));
	return hash.digest('hex');
}
