// `npm test`: lint, types, unit tests, build, browser tests; installs what is missing first.
import { spawn } from 'node:child_process';
import { ensureChromium, ensureMariadb, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
await ensureChromium();

const bin = (name) => `node_modules/.bin/${name}`;
const production = { ...process.env, NODE_ENV: 'production' };
const steps = [
	['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
	['lint', bin('eslint'), ['.']],
	['sync', bin('svelte-kit'), ['sync']],
	[
		'types',
		bin('svelte-check'),
		['--tsconfig', './tsconfig.json', '--fail-on-warnings', '--output', 'human']
	],
	['unit tests', bin('vitest'), ['run']],
	['build', bin('vite'), ['build', '--logLevel', 'error'], production],
	['browser tests', bin('playwright'), ['test']]
];
let passed = 0;
let failed = 0;
let flaky = 0;
for (const [name, command, args, env] of steps) {
	const from = Date.now();
	console.log(`\n== ${name}`);
	const { code, output } = await shown(command, args, env ?? process.env);
	count(output);
	console.log(
		`== ${name}: ${code === 0 ? 'ok' : `failed (${code})`}, ${Math.round((Date.now() - from) / 1000)} s`
	);
	if (code === 0) continue;
	failed = Math.max(1, failed);
	break;
}
console.log(
	`\n${passed + flaky} passed, ${failed} failed${flaky ? `, ${flaky} only at the second try` : ''}`
);
process.exit(failed ? 1 : 0);

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
