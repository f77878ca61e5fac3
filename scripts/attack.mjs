// `npm run attack`: installs and builds what is missing, then attacks a server of its own (tests/attack/run.ts).
import { ensureBuilt } from './build.mjs';
import { ensureMariadb, ensurePackages, run } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
await ensureBuilt();
process.exit(
	await run(process.execPath, ['--import', 'tsx', 'tests/attack/run.ts', ...process.argv.slice(2)])
);
