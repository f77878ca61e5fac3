import { readFileSync } from 'node:fs';

/**
 * Svelte preprocessor: rewrites `import { Button, type X } from 'carbon-components-svelte'` (and
 * carbon-icons-svelte) to the components' own files, so that a build need not compile all of Carbon.
 * It reads the installed version's index, leaves type imports alone, and leaves what it does not know.
 * (carbon-preprocess-svelte does this too, but its Node 20 versions map newer components wrongly.)
 * @returns {import('svelte/compiler').PreprocessorGroup}
 */
export function carbonImports() {
	const index = readFileSync(
		new URL('../node_modules/carbon-components-svelte/src/index.js', import.meta.url),
		'utf8'
	);
	/** @type {Map<string, string>} */
	const files = new Map();
	for (const m of index.matchAll(/export \{ default as (\w+) \} from "\.\/([^"]+\.svelte)"/g)) {
		files.set(m[1], `carbon-components-svelte/src/${m[2]}`);
	}
	if (files.size < 100) throw new Error("carbon-components-svelte's index has another form than expected");
	const statement = /import\s*\{([^}]*)\}\s*from\s*(['"])(carbon-components-svelte|carbon-icons-svelte)\2;?/g;
	return {
		name: 'carbon-imports',
		script({ content, filename }) {
			if (!filename || /node_modules/.test(filename)) return;
			const code = content.replace(statement, (whole, names, _quote, pkg) => {
				const rest = [];
				const out = [];
				for (const spec of names
					.split(',')
					.map((/** @type {string} */ s) => s.trim())
					.filter(Boolean)) {
					const [, imported, local = imported] = /^(\w+)(?:\s+as\s+(\w+))?$/.exec(spec) ?? [];
					const file =
						pkg === 'carbon-icons-svelte' && imported
							? `carbon-icons-svelte/lib/${imported}.svelte`
							: files.get(imported ?? '');
					if (file) out.push(`import ${local} from '${file}';`);
					else rest.push(spec);
				}
				if (rest.length) out.push(`import { ${rest.join(', ')} } from '${pkg}';`);
				// one line, then the line breaks that were there: line numbers stay right
				return out.join(' ') + '\n'.repeat((whole.match(/\n/g) ?? []).length);
			});
			return code === content ? undefined : { code };
		}
	};
}
