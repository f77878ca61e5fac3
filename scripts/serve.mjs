// Runs the production build with a database: a private MariaDB, or the one that DATABASE_URL names.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { dyingWithParent, freePort, keepMariadb, startMariadb } from './mariadb.mjs';
import { ROOT } from './setup.mjs';

/**
 * @param {{ port: number, dataDir?: string, demo?: boolean, season?: boolean, quiet?: boolean,
 *   database?: { url: string, stop: () => Promise<unknown> } }} options
 *   without dataDir the database is thrown away at the end; a taken port is exchanged for a free one;
 *   a database that is handed in is stopped with the rest
 */
export async function serve({
	port: wanted,
	dataDir,
	demo = false,
	season = false,
	quiet = false,
	database
}) {
	const port = (await isFree(wanted)) ? wanted : await freePort();
	const origin = `http://127.0.0.1:${port}`;
	const own =
		database ??
		(process.env.DATABASE_URL ? null : await keepMariadb({ dataDir: dataDir && join(dataDir, 'mariadb') }));
	const tilt = demo ? await startInclinometer() : null;
	const app = spawn(...dyingWithParent(process.execPath, ['scripts/app.mjs']), {
		cwd: ROOT,
		// its own process group: a Ctrl-C in the terminal reaches only this process, which stops things in order
		detached: true,
		stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
		env: {
			...process.env,
			NODE_ENV: 'production',
			HOST: '127.0.0.1',
			PORT: String(port),
			ORIGIN: origin,
			ADDRESS_HEADER: '',
			AUTH_SECRET: process.env.AUTH_SECRET ?? secret(dataDir),
			DATABASE_URL: own?.url ?? process.env.DATABASE_URL,
			MIGRATIONS_DIR: join(ROOT, 'drizzle'),
			...(demo ? { ORBIT_DEMO: '1' } : {}),
			...(season ? { ORBIT_SEASON: '1' } : {}),
			...(tilt ? { INCLINOMETER_PORT: String(tilt.port) } : {})
		}
	});
	const ended = new Promise((done) => app.once('exit', (code, signal) => done(code ?? (signal ? 0 : 1))));
	/** @type {Promise<unknown> | undefined} */
	let stopping;
	const stop = () =>
		(stopping ??= (async () => {
			if (app.exitCode === null && app.signalCode === null) app.kill('SIGTERM');
			const late = setTimeout(() => app.kill('SIGKILL'), STOP_SECONDS * 1000);
			const code = await ended;
			clearTimeout(late);
			tilt?.stop();
			await own?.stop();
			return code;
		})());
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
		process.once(signal, () => stop().then(() => process.exit(0)));
	void ended.then(async (code) => {
		const alone = !stopping;
		await stop();
		if (alone) process.exit(Number(code) || 1);
	});
	await answering(origin, ended);
	return { origin, stop, pid: app.pid };
}

/** The stand-in for an inclinometer that comes with the demo. */
async function startInclinometer() {
	const port = await freePort();
	const child = spawn(...dyingWithParent(process.execPath, ['scripts/inclinometer.mjs']), {
		cwd: ROOT,
		detached: true,
		stdio: ['ignore', 'ignore', 'inherit'],
		env: { ...process.env, INCLINOMETER_PORT: String(port) }
	});
	return { port, stop: () => child.kill('SIGTERM') };
}

/** After this the web server has ended, whatever it was doing; the database then ends in order. */
const STOP_SECONDS = 5;

/** Kept beside the data, so that sign-ins survive a restart; thrown away with throw-away data. */
function secret(/** @type {string | undefined} */ dataDir) {
	const file = dataDir && join(dataDir, 'secret');
	if (file && existsSync(file)) return readFileSync(file, 'utf8');
	const made = randomBytes(32).toString('hex');
	if (file) {
		mkdirSync(dirname(file), { recursive: true });
		writeFileSync(file, made, { mode: 0o600 });
	}
	return made;
}

/** @param {number} port @returns {Promise<boolean>} */
function isFree(port) {
	return new Promise((done) => {
		const probe = createServer();
		probe.once('error', () => done(false));
		probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
	});
}

/** @param {string} origin @param {Promise<unknown>} ended */
async function answering(origin, ended) {
	let over = false;
	void ended.then(() => (over = true));
	for (let tries = 0; tries < 300 && !over; tries++) {
		try {
			const response = await fetch(`${origin}/sign-in`);
			if (response.ok) return;
		} catch {
			// not yet
		}
		await new Promise((r) => setTimeout(r, 200));
	}
	throw new Error(over ? 'the server ended at once' : 'the server did not answer within a minute');
}

/** Where the browser tests look for the number of this process, and for the database. */
const RESULTS = join(ROOT, process.env.E2E_RESULTS ?? 'test-results/1');

/**
 * For the browser tests: throw-away data with the demo scenario, on PORT. SIGUSR1 stops the database, SIGUSR2
 * starts it again on the same data and port, so that a test can see what the app makes of it.
 */
async function serveForTests() {
	const folder = mkdtempSync(join(existsSync('/dev/shm') ? '/dev/shm' : tmpdir(), 'orbit-e2e-'));
	process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
	const dataDir = join(folder, 'mariadb');
	let running = await startMariadb({ dataDir });
	const { port, url } = running;
	process.on('SIGUSR1', () => void running.stop());
	process.on('SIGUSR2', async () => {
		await running.stop();
		running = await startMariadb({ dataDir, port });
	});
	writeFileSync(join(RESULTS, 'serve.pid'), String(process.pid));
	writeFileSync(join(RESULTS, 'database.url'), url);
	await serve({
		port: Number(process.env.PORT ?? 4173),
		demo: true,
		season: process.env.E2E_SEASON === '1',
		database: { url, stop: () => running.stop() }
	});
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	mkdirSync(RESULTS, { recursive: true });
	await serveForTests();
}
