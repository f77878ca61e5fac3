// `npm run bench [-- NAME ...]`: installs what only the bench needs (bench/package.json), then measures.
import { ensureMariadb, ensurePackages, fail, packagesAreInstalled, ROOT, run } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
const folder = `${ROOT}bench/`;
if (!packagesAreInstalled(folder)) {
	console.log('Installing the packages of the bench ...');
	if ((await run('npm', ['ci', '--no-progress'], { cwd: folder })) !== 0)
		fail('npm ci did not succeed in bench/.');
}
process.exit(await run(process.execPath, ['--import', 'tsx', 'bench/run.ts', ...process.argv.slice(2)]));
