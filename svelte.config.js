import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { carbonImports } from './scripts/carbon-imports.js';

/** @type {import('@sveltejs/kit').Config} */
const config = {
	// Only for builds: in `vite dev` each new path would make Vite optimise its dependencies again and reload.
	preprocess: [vitePreprocess(), ...(process.env.NODE_ENV === 'production' ? [carbonImports()] : [])],
	kit: {
		// files that this machine serves to itself (demo, tests) are not compressed beforehand
		adapter: adapter({ out: 'build', precompress: process.env.ORBIT_BUILD !== 'local' }),
		// where classes are made ready to teach (client/teach/ready.ts), and nowhere else
		serviceWorker: { register: false },
		typescript: {
			config: (/** @type {{ include: string[] }} */ config) => {
				config.include.push('../bench/**/*.ts', '../scripts/**/*.ts');
			}
		},
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'style-src': ['self', 'unsafe-inline'],
				'font-src': ['self', 'data:'],
				'img-src': ['self', 'data:'],
				'connect-src': ['self'],
				'worker-src': ['self'],
				'object-src': ['none'],
				'base-uri': ['self'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};

export default config;
