// Installs what every command needs before it can start: packages, MariaDB and (for tests) Chromium. Plain Node, no
// packages.
import { spawn } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/**
 * Runs a command with its output shown; resolves with its exit code.
 * @param {string} command @param {string[]} args @param {import('node:child_process').SpawnOptions} [options]
 * @returns {Promise<number>}
 */
export function run(command, args, options = {}) {
	return new Promise((done, reject) => {
		const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
		child.once('error', reject);
		child.once('exit', (code, signal) => done(code ?? (signal ? 1 : 0)));
	});
}

/**
 * Whether the packages of a folder are those of its lock file.
 * @param {string} folder ends with a slash
 */
export function packagesAreInstalled(folder) {
	const installed = `${folder}node_modules/.package-lock.json`;
	return (
		existsSync(installed) && statSync(installed).mtimeMs >= statSync(`${folder}package-lock.json`).mtimeMs
	);
}

/** Installs the packages from the lock file when they are missing or older than it; npm's cache is asked first. */
export async function ensurePackages() {
	if (packagesAreInstalled(ROOT)) return;
	console.log('Installing the npm packages of the lock file ...');
	const env = { ...process.env, IBM_TELEMETRY_DISABLED: 'true' };
	if ((await run('npm', ['ci', '--no-progress', '--prefer-offline'], { env })) !== 0)
		fail('npm ci did not succeed.');
}

export async function ensureMariadb() {
	if (process.env.DATABASE_URL) return;
	const there = existsSync('/usr/sbin/mariadbd') && existsSync('/usr/bin/mariadb-install-db');
	if (!there) await installDebian('MariaDB', ['mariadb-server-core', 'mariadb-client-core']);
}

export async function ensureChromium() {
	if (process.env.CHROMIUM || existsSync('/usr/bin/chromium')) return;
	await installDebian('Chromium', ['chromium']);
}

/** @param {string} what @param {string[]} packages */
async function installDebian(what, packages) {
	const byHand = `apt-get install ${packages.join(' ')}`;
	if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get'))
		fail(`${what} is not installed, and this account may not install it. As root: ${byHand}`);
	console.log(`Installing ${what} from Debian's packages ...`);
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	/** @type {import('node:child_process').StdioOptions} */
	const stdio = ['ignore', 'ignore', 'inherit'];
	await run('apt-get', ['update', '-qq'], { env, stdio });
	const args = ['install', '-y', '-qq', '--no-install-recommends', ...packages];
	if ((await run('apt-get', args, { env, stdio })) !== 0)
		fail(`${what} could not be installed. Try: ${byHand}`);
}

/** @param {string} message @returns {never} */
export function fail(message) {
	console.error(`\n${message}`);
	process.exit(1);
}
