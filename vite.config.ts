import { execFileSync } from 'node:child_process';
import { sveltekit } from '@sveltejs/kit/vite';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { usedCarbonCss } from './scripts/used-carbon-css.js';

/**
 * Carbon's ready-made CSS names IBM Plex on a font CDN in 208 @font-face rules. They go, so that no
 * request ever leaves for another host; the app ships its own font (src/app.css).
 */
function carbonCssWithoutFonts(): Plugin {
	return {
		name: 'carbon-css-without-fonts',
		enforce: 'pre',
		transform: {
			filter: { id: /carbon-components-svelte[\\/]css[\\/][\w-]+\.css/ },
			handler(code) {
				const out = code
					.replace(/@font-face\s*\{[^}]*\}/g, '')
					.replace(/:root\[theme=g(80|90|100)\]\{[^}]*\}/g, ''); // themes that the app does not use
				if (/https?:\/\//.test(out)) this.error('Carbon CSS still names an outside host');
				return { code: out, map: null };
			}
		}
	};
}

/** A faulty movement stops the build, with its name and field. */
function checkedCatalogue(): Plugin {
	return {
		name: 'checked-catalogue',
		apply: 'build',
		buildStart: () => {
			execFileSync(process.execPath, ['--import', 'tsx', 'scripts/check-catalogue.ts'], { stdio: 'inherit' });
		}
	};
}

export default defineConfig({
	plugins: [checkedCatalogue(), carbonCssWithoutFonts(), sveltekit(), usedCarbonCss()],
	optimizeDeps: {
		// all at the start: one found later makes `vite dev` reload the page and answer 504 meanwhile
		include: ['carbon-components-svelte', 'comlink', 'luxon', 'svelte-dnd-action', 'yup']
	},
	ssr: { external: ['better-auth'] },
	worker: { format: 'es' },
	test: {
		include: ['src/**/*.test.ts', 'tests/unit/**/*.test.ts'],
		environment: 'node',
		setupFiles: ['tests/setup.ts'],
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
