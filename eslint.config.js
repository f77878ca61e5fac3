import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import jsdoc from 'eslint-plugin-jsdoc';
import svelte from 'eslint-plugin-svelte';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import ts from 'typescript-eslint';
import { carbonControls } from './scripts/eslint-carbon-controls.js';
import { keyedEach } from './scripts/eslint-keyed-each.js';
import { plainComments } from './scripts/eslint-plain-comments.js';
import svelteConfig from './svelte.config.js';

const inLib = (names) => `(^\\$lib/|/)(${names.join('|')})(/|$)`;
const restricted = (files, patterns) => ({
	files,
	rules: { 'no-restricted-imports': ['error', { patterns }] }
});
/**
 * The order of rooms is checked by .dependency-cruiser.mjs. It reads components as they are compiled, without imports of
 * types: those are checked here.
 */
const typesInComponents = [
	restricted(
		['src/lib/ui/**', 'src/routes/**/*.svelte'],
		[
			{ regex: inLib(['server', 'demo']), message: 'components and pages draw what they are given' },
			{ regex: 'lib/core/[^/]+/.+', message: 'import a folder of the core by its index' }
		]
	)
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
	// every export of the core has a doc comment; parameters are listed where the sentence does not name them
	{
		files: ['src/lib/core/**/*.ts'],
		plugins: { jsdoc },
		rules: {
			'jsdoc/require-jsdoc': [
				'error',
				{
					publicOnly: true,
					contexts: ['TSInterfaceDeclaration'],
					require: { FunctionDeclaration: true, ArrowFunctionExpression: true, ClassDeclaration: true }
				}
			],
			'jsdoc/check-param-names': ['error', { disableMissingParamChecks: true, checkDestructured: false }],
			'jsdoc/require-param-description': 'error',
			'jsdoc/require-returns-description': 'error',
			'jsdoc/check-tag-names': 'error',
			'jsdoc/no-types': 'error'
		}
	},
	...typesInComponents
);
