// `npm test`: format, lint, order of rooms, types, unit tests, build, attacks and browser tests, as many side by side as there are cores;
// installs what is missing first. `npm test -- PART ...` runs only the parts whose names begin so.
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { ensureChromium, ensureMariadb, ensurePackages, ROOT } from './setup.mjs';

await ensurePackages();
await ensureMariadb();
await ensureChromium();

const bin = (name) => `node_modules/.bin/${name}`;
const local = { ...process.env, NODE_ENV: 'production', ORBIT_BUILD: 'local' };
const CORES = availableParallelism();
/** Number of steps that run side by side. */
const AT_ONCE = Math.max(2, CORES);
/** Number of parts of the browser tests, each with its own server, database and browser. */
const BROWSER_PARTS = 6;

/**
 * A step, what it waits for, and how many of those that may run at once it counts for. The order is that in which they are
 * begun where several may be.
 */
const STEPS = [
	{ name: 'sync', command: bin('svelte-kit'), args: ['sync'] },
	{
		name: 'build',
		command: bin('vite'),
		args: ['build', '--logLevel', 'error'],
		env: local,
		after: ['sync']
	},
	{
		name: 'format',
		command: bin('prettier'),
		args: ['--check', '--log-level', 'warn', '--cache', '--cache-strategy', 'content', '.'],
		after: ['sync']
	},
	{
		name: 'lint',
		command: bin('eslint'),
		// no cache: its configuration holds functions, by which ESLint cannot know it again
		args: ['.'],
		after: ['sync']
	},
	{
		name: 'rooms',
		command: bin('depcruise'),
		args: ['--config', '.dependency-cruiser.mjs', 'src', 'tests', 'bench', 'scripts'],
		after: ['sync']
	},
	{
		name: 'types',
		command: bin('svelte-check'),
		args: ['--tsconfig', './tsconfig.json', '--fail-on-warnings', '--output', 'human'],
		after: ['sync']
	},
	// not beside the build: both write what SvelteKit generates, and a build of half of it does not start
	{ name: 'unit', command: bin('vitest'), args: ['run', '--reporter', 'dot'], after: ['build'] },
	...Array.from({ length: BROWSER_PARTS }, (_, i) => ({
		name: `browser ${i + 1}/${BROWSER_PARTS}`,
		command: bin('playwright'),
		args: ['test', `--shard=${i + 1}/${BROWSER_PARTS}`],
		env: { ...process.env, E2E_RESULTS: `test-results/${i + 1}` },
		after: ['build']
	})),
	{
		name: 'attacks',
		command: process.execPath,
		args: ['--import', 'tsx', 'tests/attack/run.ts', '--short'],
		after: ['build']
	}
];

const asked = process.argv.slice(2);
const needed = new Set(STEPS.filter(({ name }) => asked.some((part) => name.startsWith(part))));
for (const step of needed)
	for (const name of step.after ?? []) needed.add(STEPS.find((other) => other.name === name));
const waiting = asked.length ? STEPS.filter((step) => needed.has(step)) : [...STEPS];

/** A line by which Vitest or Playwright names a test that failed. */
const NAMES_A_FAILURE = /^\s*(?:×|✘|FAIL\b|FAILED:|\d+\) \[)/;

/** Returns the text without the colour codes of a terminal. */
// eslint-disable-next-line no-control-regex
const plain = (text) => text.replace(/\u001b\[[0-9;]*m/g, '');

const begun = Date.now();
const secondsSince = (from) => Math.round((Date.now() - from) / 1000);
/** Result of each step, for the summary. */
const done = new Map();
const running = new Set();
let [passed, failed] = [0, 0];
/** Lines of what failed, said at once and again at the end. */
const failures = [];

await new Promise((over) => {
	const next = () => {
		if (waiting.length === 0 && running.size === 0) return over(undefined);
		for (const step of [...waiting]) {
			if (running.size >= AT_ONCE) return;
			const before = (step.after ?? []).filter((name) => !done.get(name)?.ok);
			// a step that it waits for has failed
			if (before.some((name) => done.has(name))) {
				waiting.splice(waiting.indexOf(step), 1);
				done.set(step.name, { ok: false, seconds: 0, skipped: true });
				continue;
			}
			if (before.length) continue;
			waiting.splice(waiting.indexOf(step), 1);
			running.add(step);
			void runStep(step).finally(() => {
				running.delete(step);
				next();
			});
		}
		if (waiting.length === 0 && running.size === 0) over(undefined);
	};
	next();
});

console.log('\n== what took how long');
for (const [name, { ok, seconds, skipped }] of done)
	console.log(`${String(seconds).padStart(5)} s  ${name}${skipped ? ': not run' : ok ? '' : ': FAILED'}`);
console.log(`${String(secondsSince(begun)).padStart(5)} s  in all`);
if (failures.length) console.log(`\n== what failed\n${failures.join('\n')}`);
const broken = [...done.values()].some(({ ok }) => !ok);
console.log(`\n${passed} passed, ${failed || (broken ? 1 : 0)} failed`);
process.exit(broken ? 1 : 0);

/** Runs a step to its end; its output is shown whole where it fails, and what failed in it as soon as that is known. */
async function runStep({ name, command, args, env = process.env }) {
	const from = Date.now();
	console.log(`== ${name}: begun at ${secondsSince(begun)} s`);
	const { code, output } = await heard(name, command, args, env);
	const { passed: good, failed: bad } = counted(output);
	passed += good;
	failed += bad;
	const ok = code === 0;
	done.set(name, { ok, seconds: secondsSince(from) });
	if (!ok) {
		console.log(`\n== ${name}: what it said\n${output}`);
		if (!failures.some((line) => line.startsWith(`${name}: `))) failures.push(`${name}: ended with ${code}`);
	}
	const tests = good + bad ? `, ${good} passed${bad ? `, ${bad} failed` : ''}` : '';
	console.log(`== ${name}: ${ok ? 'ok' : `failed (${code})`}, ${secondsSince(from)} s${tests}`);
}

/** Runs a command and keeps what it says; a test that fails is named at once. */
function heard(name, command, args, env) {
	return new Promise((ended) => {
		const child = spawn(command, args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe'] });
		let output = '';
		let line = '';
		for (const stream of [child.stdout, child.stderr])
			stream.on('data', (data) => {
				output += data;
				const lines = (line + plain(String(data))).split('\n');
				line = lines.pop() ?? '';
				for (const said of lines) {
					if (!NAMES_A_FAILURE.test(said)) continue;
					const failure = `${name}: ${said.trim()}`;
					if (failures.includes(failure)) continue;
					failures.push(failure);
					console.log(`FAILED in ${failure}`);
				}
			});
		child.once('close', (code) => ended({ code: code ?? 1, output }));
	});
}

/** The closing counts of Vitest ("Tests  12 passed (12)"), Playwright ("12 passed (3s)") and the attacks. */
function counted(output) {
	const counts = { passed: 0, failed: 0 };
	for (const [, number, word] of plain(output).matchAll(
		/^\s+(?:Tests\s+(?:\d+ failed \| )?)?(\d+) (passed|failed)\b/gm
	))
		counts[word] += Number(number);
	for (const [, number] of plain(output).matchAll(/^\s+Tests\s+(\d+) failed \|/gm))
		counts.failed += Number(number);
	return counts;
}
