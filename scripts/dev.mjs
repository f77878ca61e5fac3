// `npm run dev`: a lasting development database and the app with reload.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureMariadb, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
const { startMariadb } = await import('./mariadb.mjs');
const own = process.env.DATABASE_URL
	? null
	: await startMariadb({ dataDir: join(ROOT, '.data/dev/mariadb') });
const port = process.env.PORT ?? '5173';
const vite = spawn(
	process.execPath,
	['node_modules/vite/bin/vite.js', 'dev', '--host', '127.0.0.1', '--port', port, '--strictPort'],
	{
		cwd: ROOT,
		detached: true,
		stdio: 'inherit',
		env: {
			...process.env,
			DATABASE_URL: process.env.DATABASE_URL ?? own?.url,
			MIGRATIONS_DIR: join(ROOT, 'drizzle'),
			ORIGIN: `http://127.0.0.1:${port}`,
			AUTH_SECRET: 'for-development-only-not-a-secret-at-all',
			ORBIT_DEMO: '1'
		}
	}
);
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => vite.kill('SIGTERM'));
vite.once('exit', async (code) => {
	await own?.stop();
	process.exit(code ?? 0);
});
