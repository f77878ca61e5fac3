// `npm run test:fast [-- FILTER ...]`: the unit tests that what was changed can break, without those that search or draw for
// long; with a filter those whose names hold it. Everything runs in `npm test`.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { ensureMariadb, ROOT } from './setup.mjs';

/** Files of tests that take many seconds each. */
const SLOW = [
	'change',
	'cli',
	'compose',
	'damaged-files',
	'figure',
	'fit',
	'ordering',
	'propose',
	'propose-around',
	'propose-reach',
	'questions',
	'series-propose',
	'small-faults',
	'spread',
	'upgrade',
	'windows'
].map((name) => `tests/unit/${name}.test.ts`);
const gone = SLOW.filter((file) => !existsSync(`${ROOT}${file}`));
if (gone.length) throw new Error(`scripts/test-fast.mjs names what is not there: ${gone.join(', ')}`);

await ensureMariadb();
const filters = process.argv.slice(2);
const git = (/** @type {string[]} */ ...args) =>
	spawnSync('git', args, { cwd: ROOT, encoding: 'utf8' }).stdout.trim();
/** Compares with the last commit, or with the one before where everything is committed. */
const since = git('status', '--porcelain') ? 'HEAD' : 'HEAD~1';
const chosen = filters.length
	? filters
	: ['--changed', since, '--passWithNoTests', ...SLOW.flatMap((file) => ['--exclude', file])];
const { status } = spawnSync('node_modules/.bin/vitest', ['run', '--reporter', 'dot', ...chosen], {
	cwd: ROOT,
	stdio: 'inherit'
});
process.exit(status ?? 1);
