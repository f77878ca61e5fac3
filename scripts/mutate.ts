/**
 * `npm run mutate [-- FOLDER ... --sample N --seed N]`: changes one operator or figure of the core at a time and runs the
 * tests of its folder. A change that no test notices has survived: either a test is missing, or the change means the same.
 * No file is written: the tests are given the changed text (mutate.config.ts).
 */
import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { seededRandom } from '../src/lib/core/propose';

/** Folders of the core, each with the tests that are about it. */
const TESTS: Record<string, readonly string[]> = {
	rules: ['checks', 'ordering', 'style', 'planner-optimum'],
	clock: ['clock', 'spread', 'flow', 'relations'],
	fit: ['fit'],
	checks: ['checks'],
	ordering: ['ordering'],
	orbit: ['orbit', 'relations'],
	pace: ['pace', 'clock', 'versions'],
	plan: ['plan', 'paste', 'flow', 'versions'],
	run: ['run', 'versions'],
	series: ['series', 'series-dates', 'series-checks', 'series-view', 'versions'],
	'training-load': ['training-load'],
	validation: ['versions', 'damaged-files', 'formats', 'requests']
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

/** Longer than this the tests of a folder never take: the change made something run for ever. */
const MOST_MS = 180_000;

/** Whether a test of the folder fails with this change. */
function isNoticed(mutant: Mutant, tests: readonly string[]): Promise<boolean> {
	return new Promise((done) => {
		const files = tests.map((name) => `tests/unit/${name}.test.ts`);
		const run = spawn(
			'node_modules/.bin/vitest',
			['run', '--config', 'scripts/mutate.config.ts', '--bail', '1', '--reporter', 'dot', ...files],
			{ env: { ...process.env, MUTANT: JSON.stringify(mutant) }, stdio: 'ignore', detached: true }
		);
		const timer = setTimeout(() => process.kill(-run.pid!, 'SIGKILL'), MOST_MS);
		run.on('close', (code) => {
			clearTimeout(timer);
			done(code !== 0);
		});
	});
}

const args = process.argv.slice(2);
const option = (name: string, usual: number) => {
	const at = args.indexOf(`--${name}`);
	return at === -1 ? usual : Number(args.splice(at, 2)[1]);
};
const sample = option('sample', 20);
const random = seededRandom(option('seed', 1));
const folders = args.length ? args : Object.keys(TESTS);
let noticed = 0;
let all = 0;
for (const folder of folders) {
	const tests = TESTS[folder];
	if (!tests) throw new Error(`no tests are named for ${folder}; there are ${Object.keys(TESTS).join(', ')}`);
	const root = join('src/lib/core', folder);
	const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((name) =>
		name.endsWith('.ts')
	);
	const mutants = files.flatMap((name) => mutantsOf(join(root, name)));
	const chosen = mutants.length <= sample ? mutants : pick(mutants, sample);
	const survivors: Mutant[] = [];
	const queue = [...chosen];
	const work = async () => {
		for (let mutant = queue.pop(); mutant; mutant = queue.pop())
			if (!(await isNoticed(mutant, tests))) survivors.push(mutant);
	};
	await Promise.all(Array.from({ length: Math.min(2, availableParallelism()) }, work));
	noticed += chosen.length - survivors.length;
	all += chosen.length;
	console.log(`${folder}: ${chosen.length - survivors.length} of ${chosen.length} noticed`);
	for (const { file, line, words } of survivors) console.log(`  survived: ${file}:${line} ${words}`);
}
console.log(`score: ${noticed} of ${all}, ${Math.round((100 * noticed) / Math.max(1, all))} %`);

function pick(mutants: readonly Mutant[], count: number): Mutant[] {
	const left = [...mutants];
	return Array.from({ length: count }, () => left.splice(random.below(left.length), 1)[0]!);
}
