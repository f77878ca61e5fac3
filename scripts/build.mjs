// The build of what this machine serves itself. Plain Node, no packages.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fail, ROOT, run } from './setup.mjs';

/** Builds when there is no build of just these sources: a second start takes seconds. */
export async function ensureBuilt() {
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

/** Returns a hash of all files that the build is made from. */
function sourceHash() {
	const hash = createHash('sha256');
	const visit = (/** @type {string} */ path) => {
		if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
		else hash.update(path.slice(ROOT.length)).update(readFileSync(path));
	};
	for (const part of ['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'])
		visit(join(ROOT, part));
	return hash.digest('hex');
}
