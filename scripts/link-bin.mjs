// npm does not link a package's own bin into its own node_modules; this makes `npx orbit` work here, offline.
import { chmodSync, existsSync, rmSync, symlinkSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const target = fileURLToPath(new URL('../bin/orbit.mjs', import.meta.url));
const folder = fileURLToPath(new URL('../node_modules/.bin/', import.meta.url));
if (existsSync(folder) && existsSync(target)) {
	rmSync(`${folder}orbit`, { force: true });
	symlinkSync('../../bin/orbit.mjs', `${folder}orbit`);
	chmodSync(target, 0o755);
}
