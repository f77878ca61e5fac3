/**
 * `npm run texts [-- WORDS]`: lists every text that a teacher can read, each with its place: words between tags, attributes
 * that are read out or shown, and strings of code that are sentences or labels. With WORDS only those that contain them.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse, type AST } from 'svelte/compiler';
import ts from 'typescript';

export interface Text {
	file: string;
	line: number;
	/** With `{...}` where a value stands. */
	words: string;
}

/** Folders whose strings reach a teacher. */
const FOLDERS = ['src/lib/ui', 'src/routes', 'src/lib/core', 'src/lib/client', 'src/lib/server', 'src/cli'];
/** Files whose strings are not read by teachers: names of columns, keys, types and the like. */
const NOT_READ = /\/db\/(schema|migrate)\.ts$|\/service-worker\.ts$|\.d\.ts$|\/calendar\/zones\.ts$/;
/** Attributes whose value is shown or read out. */
const SHOWN =
	/^(label|labelText|title|subtitle|placeholder|helperText|alt|aria-label|summary|name|text|words|heading|legendText|iconDescription|labelA|labelB|invalidText|warnText|modalHeading|primaryButtonText|secondaryButtonText|kept|empty|hint|unit|shown|lead|message|say)$/;
/** Arguments and fields whose strings are no text: addresses, keys, kinds. */
const NO_TEXT =
	/^(href|src|class|id|type|kind|size|role|name|key|for|method|style|d|viewBox|fill|stroke|transform|slot|value)$/;

/** All texts of the given folders, in the order of their files and lines. */
export function textsOf(folders: readonly string[] = FOLDERS): Text[] {
	return folders
		.flatMap((folder) =>
			readdirSync(folder, { recursive: true, encoding: 'utf8' })
				.sort()
				.map((name) => join(folder, name))
		)
		.filter((file) => /\.(svelte|ts)$/.test(file) && !NOT_READ.test(file))
		.flatMap((file) => (file.endsWith('.svelte') ? textsOfComponent(file) : textsOfCode(file)));
}

/** Whether a string of code is for a reader: several words, or one that begins with a capital and is no key. */
const isText = (words: string): boolean => {
	const plain = words.replaceAll(/\{\.\.\.\}/g, '').trim();
	if (!/[A-Za-z]{2}/.test(plain)) return false;
	if (/^[\w./@:[\]$-]+$/.test(plain)) return false;
	if (/^(SELECT|INSERT|UPDATE|DELETE|CREATE|ALTER|SET|SHOW|DROP)\b/.test(plain)) return false;
	return /[a-z] [a-z(]|[a-z][,;:.!?](\s|$)/i.test(plain);
};

const templateWords = (node: ts.TemplateExpression): string =>
	node.head.text + node.templateSpans.map(({ literal }) => `{...}${literal.text}`).join('');

function textsInCode(file: string, code: string, lineOfStart: number): Text[] {
	const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true);
	const found: Text[] = [];
	const add = (node: ts.Node, words: string) => {
		if (!isText(words)) return;
		const { line } = source.getLineAndCharacterOfPosition(node.getStart());
		found.push({ file, line: lineOfStart + line, words: words.replaceAll(/\s+/g, ' ').trim() });
	};
	const visit = (node: ts.Node): void => {
		if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
		if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
		else if (ts.isTemplateExpression(node)) add(node, templateWords(node));
		ts.forEachChild(node, visit);
	};
	visit(source);
	return found;
}

const textsOfCode = (file: string): Text[] => textsInCode(file, readFileSync(file, 'utf8'), 1);

function textsOfComponent(file: string): Text[] {
	const code = readFileSync(file, 'utf8');
	const lineAt = (at: number) => code.slice(0, at).split('\n').length;
	const ast = parse(code, { modern: true });
	const found: Text[] = [];
	const add = (at: number, words: string) => {
		const one = words.replaceAll(/\s+/g, ' ').trim();
		if (/[A-Za-z]{2}/.test(one)) found.push({ file, line: lineAt(at), words: one });
	};
	/** Words of one run of text and values between tags. */
	const inline = (nodes: readonly AST.Fragment['nodes'][number][]): void => {
		let words = '';
		let from = -1;
		const close = () => {
			if (from >= 0) add(from, words);
			[words, from] = ['', -1];
		};
		for (const node of nodes) {
			if (node.type === 'Text') {
				if (from < 0 && node.data.trim()) from = node.start;
				words += node.data;
			} else if (node.type === 'ExpressionTag') words += '{...}';
			else close();
		}
		close();
	};
	const seen = new WeakSet<object>();
	const walk = (node: unknown, parent: unknown): void => {
		if (!node || typeof node !== 'object' || seen.has(node)) return;
		seen.add(node);
		if (Array.isArray(node)) {
			for (const one of node) walk(one, parent);
			return;
		}
		const of = node as {
			type?: string;
			nodes?: AST.Fragment['nodes'];
			name?: string;
			value?: unknown;
			start?: number;
		};
		if (of.type === 'Fragment' && of.nodes) inline(of.nodes);
		if (of.type === 'Attribute' && SHOWN.test(of.name ?? '') && Array.isArray(of.value)) {
			const words = (of.value as { type: string; data?: string }[])
				.map((part) => (part.type === 'Text' ? part.data : '{...}'))
				.join('');
			add(of.start!, words);
		}
		if (of.type === 'Attribute' && NO_TEXT.test(of.name ?? '')) return;
		if (of.type === 'Literal' && typeof of.value === 'string' && isText(of.value)) add(of.start!, of.value);
		if (of.type === 'TemplateLiteral') {
			const { quasis } = node as unknown as { quasis: { value: { cooked: string } }[] };
			const words = quasis.map(({ value }) => value.cooked).join('{...}');
			if (isText(words)) add(of.start!, words);
		}
		for (const [key, child] of Object.entries(node)) if (key !== 'parent') walk(child, node);
	};
	for (const part of [ast.module, ast.instance])
		if (part) {
			const { start, end } = part.content as unknown as { start: number; end: number };
			found.push(...textsInCode(file, code.slice(start, end), lineAt(start)));
		}
	walk(ast.fragment, null);
	return found.sort((a, b) => a.line - b.line);
}

if (process.argv[1]?.endsWith('texts.ts')) {
	const wanted = process.argv.slice(2).join(' ').toLowerCase();
	for (const { file, line, words } of textsOf())
		if (words.toLowerCase().includes(wanted)) console.log(`${file}:${line}\t${words}`);
}
