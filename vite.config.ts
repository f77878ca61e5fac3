import { spawn } from 'node:child_process';
import { sveltekit } from '@sveltejs/kit/vite';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { carbonCss } from './scripts/carbon-css.js';

/** A faulty movement stops the build, with its name and field. */
function checkedCatalogue(): Plugin {
	let isFirstBuild = false;
	/** Beside the build; it ends before that does. */
	let checked: Promise<number | null> | undefined;
	return {
		name: 'checked-catalogue',
		apply: 'build',
		configResolved: ({ build }) => void (isFirstBuild = Boolean(build.ssr)),
		buildStart: () => {
			// a build is two, the server's first: one check is enough
			if (!isFirstBuild) return;
			const check = spawn(process.execPath, ['--import', 'tsx', 'scripts/check-catalogue.ts'], {
				stdio: 'inherit'
			});
			checked = new Promise((done) => check.once('exit', done));
		},
		async buildEnd() {
			if (checked && (await checked) !== 0) this.error('the catalogue has a faulty movement');
		}
	};
}

export default defineConfig({
	plugins: [checkedCatalogue(), carbonCss(), sveltekit()],
	optimizeDeps: {
		// all at the start: one found later makes `vite dev` reload the page and answer 504 meanwhile
		include: ['carbon-components-svelte', 'comlink', 'svelte-dnd-action', 'yup']
	},
	ssr: { external: ['better-auth'] },
	// a page is not made of a hundred small files: what nearly every page needs comes in a few
	build: {
		rolldownOptions: {
			output: {
				codeSplitting: {
					groups: [
						{ name: 'svelte', test: /node_modules[\\/](svelte|esm-env|clsx|devalue|@sveltejs)[\\/]/ },
						{
							name: 'frame',
							test: /carbon-components-svelte[\\/]src[\\/](Button|UIShell|icons|utils|Portal|Notification|Loading|InlineLoading|SkeletonText)[\\/]/
						},
						{
							name: 'fields',
							test: /carbon-components-svelte[\\/]src[\\/](TextInput[\\/]TextInput\.|(TextArea|Select|Checkbox|RadioButton|RadioButtonGroup|TimePicker|Disclosure|Toggletip|Popover|DataTable)[\\/](?!DataTable\.))/
						},
						{
							name: 'parts',
							test: /src[\\/]lib[\\/]ui[\\/](fields|frame|primitives)[\\/](?!Credentials|DayField|NumberField|TimeField)/
						}
					]
				}
			}
		}
	},
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'tests/unit/**/*.test.ts'],
		environment: 'node',
		setupFiles: ['tests/setup.ts'],
		globalSetup: ['tests/one-mariadb.ts'],
		testTimeout: 120_000, // shared machines: a slow one is no failure
		// on every core, and each module read once for all files: no test keeps anything in one
		maxWorkers: '100%',
		isolate: false,
		coverage: {
			provider: 'v8',
			include: ['src/lib/core/**/*.ts', 'src/lib/catalogue/*.ts'],
			reporter: ['text', 'json-summary']
		}
	}
});
