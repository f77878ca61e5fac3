/**
 * `npm run mutate [-- FOLDER ... --sample N --seed N]`: changes one operator or figure at a time, of the core, of the server's
 * repositories or of the client's saving and teaching, and runs the tests of its folder. The seed, printed at first, says which
 * (today's day where none is given); `--all N` spreads N changes over all folders by their size. A change that no test notices has survived: either a test is missing, or the change means the same.
 * No file is written: the tests are given the changed text (mutate.config.ts).
 */
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { seededRandom } from '../src/lib/core/propose';

/** Folders under src/lib, each with the tests that are about it. A folder that ends with "/." is taken without those in it. */
const TESTS: Record<string, readonly string[]> = {
	'core/anatomy': ['anatomy', 'orbit'],
	'core/movement': ['conditions', 'catalogue', 'catalogue-quality', 'forms', 'substitution'],
	'core/rules': ['checks', 'ordering', 'style', 'objective'],
	'core/text': ['doc-examples', 'small-faults', 'measure'],
	'core/hip-tests': ['measure', 'conditions', 'doc-examples', 'ladder-offers', 'learned-server'],
	'core/measure': ['measure', 'ladder-offers', 'learned-server'],
	'core/people': ['mention', 'small-faults', 'group', 'teach', 'forms'],
	'core/pace': ['pace', 'clock', 'learned-pace', 'spread', 'versions'],
	'core/style': ['style', 'checks'],
	'core/plan': ['plan', 'paste', 'flow', 'given-doses', 'versions'],
	'core/clock': ['clock', 'small-faults', 'spread', 'flow', 'given-doses', 'relations'],
	'core/orbit': ['orbit', 'relations'],
	'core/training-load': ['training-load'],
	'core/calendar': ['calendar', 'series-dates', 'series'],
	'core/group': ['group', 'formats', 'small-faults', 'server'],
	'core/record': ['run', 'history', 'taught-classes', 'learned-server', 'versions'],
	'core/substitution': ['substitution', 'ways', 'small-faults', 'teach'],
	'core/fit': ['fit'],
	'core/checks': ['checks', 'another-pace'],
	'core/analysis': ['checks', 'another-pace'],
	'core/ordering': ['ordering', 'another-pace'],
	'core/propose': ['objective', 'compose', 'propose-around', 'change', 'propose', 'questions'],
	'core/series': ['series', 'series-dates', 'series-checks', 'series-load', 'series-view', 'versions'],
	'core/figure': ['figure'],
	'core/teach': ['teach', 'teach-words', 'sessions', 'learned-pace'],
	'core/view-models': ['view-models', 'series-view', 'teach'],
	'core/formats': ['formats', 'damaged-files', 'history', 'icalendar'],
	'core/validation': ['versions', 'damaged-files', 'formats', 'requests', 'forms'],
	'server/account': ['accounts', 'server'],
	'server/group': ['server', 'learned-server'],
	'server/http': ['requests', 'server', 'series-server', 'icalendar'],
	'server/plan': ['server', 'own-movements'],
	'server/record': ['sessions', 'learned-server', 'server'],
	'server/series': ['series-server'],
	'server/studio': ['own-movements', 'server'],
	'server/db': ['server', 'upgrade', 'windows', 'accounts', 'queries'],
	'client/page': ['idle', 'forms'],
	'client/plan': ['editor'],
	'client/saving': ['autosave', 'editor'],
	'client/worker': ['worker'],
	'client/teach': ['upload', 'teach-device']
};

/** Operators, each with what it is changed to. */
const SWAPS = new Map<ts.SyntaxKind, string>([
	[ts.SyntaxKind.PlusToken, '-'],
	[ts.SyntaxKind.MinusToken, '+'],
	[ts.SyntaxKind.AsteriskToken, '/'],
	[ts.SyntaxKind.SlashToken, '*'],
	[ts.SyntaxKind.PercentToken, '*'],
	[ts.SyntaxKind.LessThanToken, '<='],
	[ts.SyntaxKind.LessThanEqualsToken, '<'],
	[ts.SyntaxKind.GreaterThanToken, '>='],
	[ts.SyntaxKind.GreaterThanEqualsToken, '>'],
	[ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
	[ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
	[ts.SyntaxKind.AmpersandAmpersandToken, '||'],
	[ts.SyntaxKind.BarBarToken, '&&'],
	[ts.SyntaxKind.QuestionQuestionToken, '&&']
]);

interface Mutant {
	file: string;
	from: number;
	to: number;
	text: string;
	line: number;
	words: string;
}

function mutantsOf(file: string): Mutant[] {
	const text = readFileSync(file, 'utf8');
	const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
	const found: Mutant[] = [];
	const add = (from: number, to: number, by: string) => {
		const line = source.getLineAndCharacterOfPosition(from).line + 1;
		found.push({ file, from, to, text: by, line, words: `${text.slice(from, to)} -> ${by}` });
	};
	const visit = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node)) return;
		if (ts.isBinaryExpression(node)) {
			const { operatorToken: operator } = node;
			const by = SWAPS.get(operator.kind);
			// texts are put together by + too: minus of those is no fault that anybody makes
			const ofText = operator.kind === ts.SyntaxKind.PlusToken && /['"`]/.test(node.getText());
			if (by && !ofText) add(operator.getStart(), operator.end, by);
		} else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
			add(node.getStart(), node.operand.getStart(), '');
		else if (ts.isNumericLiteral(node)) add(node.getStart(), node.end, `(${node.text} + 1)`);
		else if (node.kind === ts.SyntaxKind.TrueKeyword) add(node.getStart(), node.end, 'false');
		else if (node.kind === ts.SyntaxKind.FalseKeyword) add(node.getStart(), node.end, 'true');
		ts.forEachChild(node, visit);
	};
	visit(source);
	return found;
}

/** A changed run that takes this many times as long as the unchanged one, and a minute more, runs for ever. */
const TIMES_AS_LONG = 4;
const MORE_MS = 60_000;

/** Runs the tests of a folder, with a change or without one. Returns whether they pass and how long they took. */
function runTests(tests: readonly string[], mutant: Mutant | null, mostMs: number) {
	return new Promise<{ passed: boolean; ms: number }>((done) => {
		const from = Date.now();
		const files = tests.map((name) => `tests/unit/${name}.test.ts`);
		const run = spawn(
			'node_modules/.bin/vitest',
			['run', '--config', 'scripts/mutate.config.ts', '--bail', '1', '--reporter', 'dot', ...files],
			{ env: { ...process.env, MUTANT: JSON.stringify(mutant ?? {}) }, stdio: 'ignore', detached: true }
		);
		const timer = setTimeout(() => process.kill(-run.pid!, 'SIGKILL'), mostMs);
		run.on('close', (code) => {
			clearTimeout(timer);
			done({ passed: code === 0, ms: Date.now() - from });
		});
	});
}

const args = process.argv.slice(2);
const option = (name: string, usual: number) => {
	const at = args.indexOf(`--${name}`);
	return at === -1 ? usual : Number(args.splice(at, 2)[1]);
};
const sample = option('sample', 20);
const over = option('all', 0);
const seed = option('seed', Number(new Date().toISOString().slice(0, 10).replaceAll('-', '')));
const random = seededRandom(seed);
console.log(`seed ${seed}`);
const folders = args.length ? args : Object.keys(TESTS);
const candidates = new Map(folders.map((folder) => [folder, mutantsIn(folder)]));
const whole = [...candidates.values()].reduce((sum, { length }) => sum + length, 0);
let noticed = 0;
let all = 0;
for (const [folder, mutants] of candidates) {
	const wanted = over ? Math.max(1, Math.round((over * mutants.length) / whole)) : sample;
	const chosen = mutants.length <= wanted ? mutants : pick(mutants, wanted);
	const survivors: Mutant[] = [];
	if (chosen.length === 0) continue;
	const unchanged = await runTests(TESTS[folder]!, null, 3_600_000);
	if (!unchanged.passed) throw new Error(`the tests of ${folder} fail without a change`);
	const mostMs = TIMES_AS_LONG * unchanged.ms + MORE_MS;
	const queue = [...chosen];
	const work = async () => {
		for (let mutant = queue.pop(); mutant; mutant = queue.pop())
			if ((await runTests(TESTS[folder]!, mutant, mostMs)).passed) survivors.push(mutant);
	};
	await Promise.all(Array.from({ length: Math.min(2, availableParallelism()) }, work));
	noticed += chosen.length - survivors.length;
	all += chosen.length;
	console.log(`${folder}: ${chosen.length - survivors.length} of ${chosen.length} noticed`);
	for (const { file, line, words } of survivors) console.log(`  survived: ${file}:${line} ${words}`);
}
console.log(`score: ${noticed} of ${all}, ${Math.round((100 * noticed) / Math.max(1, all))} %`);

/** All changes that could be made in a folder. */
function mutantsIn(folder: string): Mutant[] {
	if (!TESTS[folder])
		throw new Error(`no tests are named for ${folder}; there are ${Object.keys(TESTS).join(', ')}`);
	const root = join('src/lib', folder);
	return readdirSync(root, { recursive: !folder.endsWith('/.'), encoding: 'utf8' })
		.filter((name) => name.endsWith('.ts'))
		.flatMap((name) => mutantsOf(join(root, name)));
}

function pick(mutants: readonly Mutant[], count: number): Mutant[] {
	const left = [...mutants];
	return Array.from({ length: count }, () => left.splice(random.below(left.length), 1)[0]!);
}
