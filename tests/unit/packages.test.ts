/** Whoever installs without what only development needs can run every command: what they import is a dependency. */
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { builtinModules } from 'node:module';
import { expect, it } from 'vitest';

/** All modules that a module reaches by its imports, types aside, and the packages that they name. */
function reached(entry: string): { files: Set<string>; packages: Set<string> } {
	const files = new Set<string>();
	const packages = new Set<string>();
	const open = [entry];
	for (let file = open.pop(); file; file = open.pop()) {
		if (files.has(file)) continue;
		files.add(file);
		const text = readFileSync(file, 'utf8');
		for (const [statement, named] of text.matchAll(
			/^(?:import|export)\b(?! type\b)[^;]*?from '([^']+)'|^import '([^']+)'|import\('([^']+)'\)/gm
		)) {
			const name = named ?? /'([^']+)'/.exec(statement)![1]!;
			if (name.startsWith('node:') || builtinModules.includes(name)) continue;
			if (!name.startsWith('.')) {
				packages.add(
					name
						.split('/')
						.slice(0, name.startsWith('@') ? 2 : 1)
						.join('/')
				);
				continue;
			}
			const at = join(dirname(file), name);
			// built files hold their packages, or name dependencies
			if (at.startsWith('build')) continue;
			const found = [at, `${at}.ts`, `${at}.js`, join(at, 'index.ts')].find(
				(path) => /\.(ts|js|mjs|json)$/.test(path) && existsSync(path)
			);
			if (found && !found.endsWith('.json')) open.push(found);
		}
	}
	return { files, packages };
}

it.each(['src/cli/orbit.ts', 'scripts/app.mjs', 'scripts/serve.mjs'])('%s', (entry) => {
	const { files, packages } = reached(entry);
	const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8'));
	expect([...packages].filter((name) => !(name in dependencies))).toEqual([]);
	if (entry.endsWith('orbit.ts')) {
		expect(files.size).toBeGreaterThan(200);
		expect([...packages]).toEqual(expect.arrayContaining(['yup', 'simple-statistics', 'date-fns']));
	}
});
