/** The examples in the doc comments of the core give what they say. */
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { expect, it } from 'vitest';

/** Returns the examples of a file: `@example EXPRESSION // RESULT`, the result as JSON. */
const examplesIn = (file: string) =>
	[...readFileSync(`src/lib/core/${file}`, 'utf8').matchAll(/@example (.+) \/\/ (.+)$/gm)].map(
		([, expression, result]) => ({ file, expression: expression!, result: JSON.parse(result!) as unknown })
	);

const examples = readdirSync('src/lib/core', { recursive: true, encoding: 'utf8' })
	.filter((file) => file.endsWith('.ts'))
	.flatMap(examplesIn);

it('there are some', () => expect(examples.length).toBeGreaterThanOrEqual(14));

it.each(examples)('$expression', async ({ file, expression, result }) => {
	const module = (await import(/* @vite-ignore */ resolve(`src/lib/core/${file}`))) as object;
	const value: unknown = new Function(...Object.keys(module), `return ${expression}`)(
		...Object.values(module)
	);
	if (typeof result === 'number') expect(value).toBeCloseTo(result, 3);
	else expect(value).toEqual(result);
});
