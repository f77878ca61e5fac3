#!/usr/bin/env node
// `npx orbit ...`: checks a plan without a screen. The command itself is TypeScript over the same core.
import { existsSync } from 'node:fs';

if (!existsSync(new URL('../node_modules/tsx', import.meta.url))) {
	console.error('orbit: the packages are not installed yet; run `npm ci` in the project first');
	process.exit(1);
}
// whoever reads closed the pipe, as `head` does: that is no error
process.stdout.on('error', (error) => process.exit(error.code === 'EPIPE' ? 0 : 1));
const { register } = await import('tsx/esm/api');
register();
const { main } = await import('../src/cli/orbit.ts');
process.exitCode = await main(process.argv.slice(2));
