import { readdirSync, readFileSync } from 'node:fs';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import ts from 'typescript-eslint';
import { carbonControls } from './scripts/eslint-carbon-controls.js';
import { keyedEach } from './scripts/eslint-keyed-each.js';
import { plainComments } from './scripts/eslint-plain-comments.js';
import svelteConfig from './svelte.config.js';

/** The folders of the core in their order: each imports only from those before it. */
const CORE_ORDER = JSON.parse(readFileSync('src/lib/core/rooms.json', 'utf8')).map(({ name }) => name);
const listed = new Set(CORE_ORDER);
for (const entry of readdirSync('src/lib/core', { withFileTypes: true }))
	if (entry.isDirectory() && !listed.has(entry.name))
		throw new Error(`src/lib/core/${entry.name} has no place in rooms.json`);

/** A folder of the core shows its index and nothing else. */
const pastAnIndex = (before) => ({
	regex: `${before}(${CORE_ORDER.join('|')})/.+`,
	message: 'import a folder of the core by its index'
});
const PAST_AN_INDEX = pastAnIndex('core/');
const inLib = (names) => `(^\\$lib/|/)(${names.join('|')})(/|$)`;
const restricted = (files, patterns) => ({
	files,
	rules: { 'no-restricted-imports': ['error', { patterns: [...patterns, PAST_AN_INDEX] }] }
});

/**
 * The floors of docs/architecture.md: a floor imports only from floors below it. Each entry names a floor and what it
 * must not import.
 */
const OUTSIDE_CORE = {
	regex: `${inLib(['catalogue', 'server', 'client', 'ui', 'demo'])}|^(\\$app|\\$env|svelte|@sveltejs|drizzle|mysql2|carbon|node:|better-auth)`,
	message: 'the core imports nothing above it: no framework, no database, no Node'
};
const above = (names, message) => ({ regex: inLib(names), message });
const floors = [
	...CORE_ORDER.map((folder, i) =>
		restricted(
			[`src/lib/core/${folder}/**`],
			[
				OUTSIDE_CORE,
				pastAnIndex('^(\\.\\./)+'),
				...(i + 1 < CORE_ORDER.length
					? [
							{
								regex: `^(\\.\\./)+(${CORE_ORDER.slice(i + 1).join('|')})$`,
								message: `core/${folder} stands before this folder in rooms.json`
							}
						]
					: [])
			]
		)
	),
	restricted(
		['src/lib/catalogue/**'],
		[above(['server', 'client', 'ui', 'demo'], 'the catalogue stands on the core only')]
	),
	restricted(
		['src/lib/demo/**'],
		[above(['server', 'client', 'ui'], 'demo data are made of the core and the catalogue')]
	),
	restricted(
		['src/lib/server/**'],
		[above(['client', 'ui'], 'the server floor knows nothing of the browser')]
	),
	restricted(
		['src/lib/client/**'],
		[above(['server', 'ui', 'demo'], 'browser state imports neither the server nor components')]
	),
	restricted(['src/lib/ui/**'], [above(['server', 'demo'], 'components draw what they are given')]),
	restricted(
		['src/routes/**/*.server.ts', 'src/routes/**/+server.ts'],
		[above(['client', 'ui', 'demo'], 'what answers on the server knows nothing of the browser')]
	),
	restricted(
		['src/routes/**/*.svelte', 'src/routes/**/+page.ts', 'src/routes/**/+layout.ts'],
		[above(['server', 'demo'], 'a page draws what its load function gives it')]
	),
	restricted(
		['src/cli/**'],
		[above(['server', 'client', 'ui', 'demo'], 'the command line stands on the core and the catalogue')]
	),
	restricted(['tests/**', 'bench/**', 'scripts/**'], [])
];

export default defineConfig(
	globalIgnores(['build/', '.svelte-kit/', 'coverage/', 'drizzle/', 'test-results/', '.data/']),
	js.configs.recommended,
	ts.configs.recommended,
	svelte.configs.recommended,
	prettier,
	svelte.configs.prettier,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		plugins: {
			orbit: {
				rules: {
					'carbon-controls': carbonControls,
					'keyed-each': keyedEach,
					'plain-comments': plainComments
				}
			}
		},
		rules: {
			'no-undef': 'off', // TypeScript does this
			'orbit/plain-comments': 'error',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts', '**/*.svelte.js'],
		languageOptions: {
			parserOptions: {
				extraFileExtensions: ['.svelte'],
				parser: ts.parser,
				svelteConfig
			}
		},
		rules: {
			'svelte/no-navigation-without-resolve': 'off', // the app is served from the root of its host
			'orbit/carbon-controls': 'error',
			'orbit/keyed-each': 'error'
		}
	},
	// a stored document is changed by the version that the change began from, and nowhere else
	{
		files: ['src/lib/server/**'],
		ignores: ['src/lib/server/db/versioned.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector:
						'CallExpression[callee.object.name=/^(db|tx)$/][callee.property.name=/^(update|delete|execute)$/]',
					message: 'change rows through db/versioned.ts'
				}
			]
		}
	},
	// every request of the browser goes through one module
	{
		files: ['src/lib/client/**', 'src/lib/ui/**', 'src/routes/**/*.svelte'],
		ignores: ['src/lib/client/api.ts'],
		rules: { 'no-restricted-globals': ['error', { name: 'fetch', message: 'send through client/api.ts' }] }
	},
	// no clock and no randomness in the core: both are handed in
	{
		files: ['src/lib/core/**'],
		rules: {
			'no-restricted-properties': [
				'error',
				{ object: 'Math', property: 'random', message: 'randomness is handed in' },
				{ object: 'Date', property: 'now', message: 'time is handed in' }
			],
			'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'process', 'fetch']
		}
	},
	...floors
);
