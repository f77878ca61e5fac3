/** One name, one thing: what is exported, and every type, has a name of its own in the whole source. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

/** Names that SvelteKit, Svelte or Vite look for in every file of a kind. */
const BY_CONVENTION = new Set([
	...['load', 'actions', 'prerender', 'ssr', 'csr', 'handle', 'Props'],
	...['GET', 'POST', 'PUT', 'PATCH', 'DELETE']
]);

interface Declared {
	file: string;
	isType: boolean;
	isExported: boolean;
}

/** The script of a file: all of a module, the script elements of a component. */
function scriptOf(file: string): string {
	const text = readFileSync(file, 'utf8');
	if (file.endsWith('.ts')) return text;
	return [...text.matchAll(/<script\b[^>]*>([\s\S]*?)<\/script>/g)].map(([, script]) => script).join('\n');
}

function declaredIn(file: string): [name: string, Declared][] {
	const source = ts.createSourceFile(`${file}.ts`, scriptOf(file), ts.ScriptTarget.Latest, true);
	return source.statements.flatMap((statement): [string, Declared][] => {
		const modifiers = ts.canHaveModifiers(statement) ? (ts.getModifiers(statement) ?? []) : [];
		const isExported = modifiers.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
		const isType =
			ts.isInterfaceDeclaration(statement) ||
			ts.isTypeAliasDeclaration(statement) ||
			ts.isClassDeclaration(statement);
		const of = (name: string): [string, Declared] => [name, { file, isType, isExported }];
		if (ts.isVariableStatement(statement))
			return statement.declarationList.declarations.flatMap(({ name }) =>
				ts.isIdentifier(name) ? [of(name.text)] : []
			);
		if ((isType || ts.isFunctionDeclaration(statement)) && statement.name) return [of(statement.name.text)];
		return [];
	});
}

const files = readdirSync('src', { recursive: true, encoding: 'utf8' })
	.map((name) => join('src', name))
	.filter((file) => /\.(ts|svelte)$/.test(file) && !file.endsWith('.d.ts'));
const all = new Map<string, Declared[]>();
for (const [name, declared] of files.flatMap(declaredIn)) all.set(name, [...(all.get(name) ?? []), declared]);

const twice = (which: (declared: Declared) => boolean) =>
	[...all]
		.filter(([name]) => !BY_CONVENTION.has(name))
		.map(([name, places]) => ({ name, files: [...new Set(places.filter(which).map(({ file }) => file))] }))
		.filter((one) => one.files.length > 1);

it('what is exported has one name of its own', () => {
	expect(all.size).toBeGreaterThan(2000);
	expect(twice(({ isExported }) => isExported)).toEqual([]);
});

it('a type has one name of its own, exported or not', () => {
	expect(twice(({ isType }) => isType)).toEqual([]);
});
