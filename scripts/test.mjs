// `npm test`: lint, types, unit tests, build, browser tests; installs what is missing first.
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { ensureChromium, ensureMariadb, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
await ensureChromium();

const bin = (name) => `node_modules/.bin/${name}`;
const production = { ...process.env, NODE_ENV: 'production' };
/** So many parts of the browser tests run beside each other, each with its own server, database and browser. */
const AT_ONCE = Math.min(2, availableParallelism());
/** More parts than that: who is done early takes another. */
const PARTS = 2 * AT_ONCE;
const parts = Array.from({ length: PARTS }, (_, i) => ({
	name: `browser tests ${i + 1}/${PARTS}`,
	command: bin('playwright'),
	args: ['test', `--shard=${i + 1}/${PARTS}`],
	env: { ...process.env, E2E_RESULTS: `test-results/${i + 1}` }
}));
/** What stands in one row runs beside each other, the last row so many at once; the next row waits for it. */
const ROWS = [
	[{ name: 'sync', command: bin('svelte-kit'), args: ['sync'] }],
	[
		{ name: 'format', command: bin('prettier'), args: ['--check', '--log-level', 'warn', '.'] },
		{ name: 'lint', command: bin('eslint'), args: ['.'] },
		{
			name: 'types',
			command: bin('svelte-check'),
			args: ['--tsconfig', './tsconfig.json', '--fail-on-warnings', '--output', 'human']
		}
	],
	[{ name: 'unit tests', command: bin('vitest'), args: ['run'] }],
	[{ name: 'build', command: bin('vite'), args: ['build', '--logLevel', 'error'], env: production }],
	[
		{
			name: 'attacks, the short form',
			command: process.execPath,
			args: ['--import', 'tsx', 'tests/attack/run.ts', '--short']
		}
	],
	parts
];
/** What each step took, for the closing lines. */
const took = [];
const begun = Date.now();
let passed = 0;
let failed = 0;
let flaky = 0;
for (const row of ROWS) {
	const codes = await inTurn(row, row === parts ? AT_ONCE : row.length);
	if (codes.every((code) => code === 0)) continue;
	failed = Math.max(1, failed);
	break;
}
console.log(`\n${took.join(', ')}; in all ${Math.round((Date.now() - begun) / 1000)} s`);
console.log(`${passed + flaky} passed, ${failed} failed${flaky ? `, ${flaky} only at the second try` : ''}`);
process.exit(failed ? 1 : 0);

/** Runs steps, so many at once; what each ended with. */
async function inTurn(steps, atOnce) {
	const left = [...steps];
	const codes = [];
	const take = async () => {
		for (let step; (step = left.shift());) codes.push(await done(step));
	};
	await Promise.all(Array.from({ length: atOnce }, take));
	return codes;
}

/** Runs a step to its end and counts what it tested. */
async function done({ name, command, args, env = process.env }) {
	const from = Date.now();
	console.log(`\n== ${name}`);
	const { code, output } = await shown(command, args, env);
	count(output);
	const seconds = Math.round((Date.now() - from) / 1000);
	console.log(`== ${name}: ${code === 0 ? 'ok' : `failed (${code})`}, ${seconds} s`);
	took.push(`${name} ${seconds} s`);
	return code;
}

/** Runs a command with its output shown and kept. */
function shown(command, args, env) {
	return new Promise((done) => {
		const child = spawn(command, args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
		let output = '';
		for (const stream of [child.stdout, child.stderr])
			stream.on('data', (data) => {
				output += data;
				process.stdout.write(data);
			});
		child.once('close', (code) => done({ code: code ?? 1, output }));
	});
}

/** Adds the closing counts of Vitest ("Tests  12 passed (12)") and Playwright ("12 passed (3s)"). */
function count(output) {
	// eslint-disable-next-line no-control-regex
	const plain = output.replace(/\u001b\[[0-9;]*m/g, '');
	for (const [, number, word] of plain.matchAll(
		/^\s+(?:Tests\s+(?:\d+ failed \| )?)?(\d+) (passed|failed|flaky)\b/gm
	)) {
		if (word === 'passed') passed += Number(number);
		else if (word === 'flaky') flaky += Number(number);
		else failed += Number(number);
	}
}
