import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import ts from 'typescript-eslint';
import { keyedEach } from './scripts/eslint-keyed-each.js';
import svelteConfig from './svelte.config.js';

/**
 * The floors of docs/architecture.md: a floor imports only from floors below it. Each entry names a floor and
 * what it must not import.
 */
const ABOVE_CORE = ['catalogue', 'server', 'client', 'ui', 'demo'];
/** A folder of the core shows its index and nothing else. */
const WHOLE_FACE = {
	regex:
		'(core/|^\\.\\./)(anatomy|movement|style|adapt|figure|people|plan|pace|clock|orbit|checks|fit|reorder|group|formats|drawing|calendar|hip-test|propose|load|series|icalendar|validation)/.+',
	message: 'import a folder of the core by its index'
};
const floor = (files, forbidden, message) => ({
	files,
	rules: {
		'no-restricted-imports': ['error', { patterns: [{ regex: forbidden, message }, WHOLE_FACE] }]
	}
});
const inLib = (names) => `(^\\$lib/|/)(${names.join('|')})(/|$)`;

const floors = [
	floor(
		['src/lib/core/**'],
		`${inLib(ABOVE_CORE)}|^(\\$app|\\$env|svelte|@sveltejs|drizzle|mysql2|carbon|node:|better-auth)`,
		'the core imports nothing above it: no framework, no database, no Node'
	),
	floor(
		['src/lib/catalogue/**'],
		inLib(['server', 'client', 'ui', 'demo']),
		'the catalogue stands on the core only'
	),
	floor(['src/lib/server/**'], inLib(['client', 'ui']), 'the server floor knows nothing of the browser'),
	floor(
		['src/lib/client/**'],
		inLib(['server', 'ui']),
		'browser state imports neither the server nor components'
	),
	floor(['src/lib/ui/**'], inLib(['server']), 'components draw what they are given')
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
		rules: {
			'no-undef': 'off', // TypeScript does this
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
		plugins: { orbit: { rules: { 'keyed-each': keyedEach } } },
		rules: {
			'svelte/no-navigation-without-resolve': 'off', // the app is served from the root of its host
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
