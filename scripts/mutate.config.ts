import { resolve } from 'node:path';
import { defineConfig, mergeConfig } from 'vitest/config';
import usual from '../vite.config';

/** The tests as ever, with one file of the core read as `MUTANT` says (see mutate.ts). */
const { file, from, to, text } = JSON.parse(process.env.MUTANT ?? '{}') as {
	file?: string;
	from: number;
	to: number;
	text: string;
};

export default mergeConfig(
	usual,
	defineConfig({
		plugins: [
			{
				name: 'mutant',
				enforce: 'pre',
				transform(code, id) {
					if (!file || id.split('?')[0] !== resolve(file)) return;
					return { code: code.slice(0, from) + text + code.slice(to), map: null };
				}
			}
		],
		test: { maxWorkers: 1 }
	})
);
