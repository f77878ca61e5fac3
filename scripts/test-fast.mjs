// `npm run test:fast [-- FILTER ...]`: the unit tests that matter at each change, without what searches, spawns or draws
// for long. Everything runs in `npm test`.
import { spawnSync } from 'node:child_process';
import { ensureMariadb } from './setup.mjs';

/** Files of tests that take many seconds each. */
const SLOW = [
	'cli',
	'crossing',
	'damaged-files',
	'doses',
	'figure',
	'fit',
	'icalendar',
	'keyed-each',
	'moves',
	'ordering',
	'planner-optimum',
	'planner-reference',
	'propose',
	'propose-around',
	'queries',
	'series-dates',
	'series-propose',
	'spread',
	'upgrade',
	'windows'
];

await ensureMariadb();
const without = SLOW.flatMap((name) => ['--exclude', `tests/unit/${name}.test.ts`]);
const { status } = spawnSync(
	'node_modules/.bin/vitest',
	['run', '--reporter', 'dot', ...without, ...process.argv.slice(2)],
	{ stdio: 'inherit' }
);
process.exit(status ?? 1);
