/** Controls are Carbon's: a lint rule refuses others, and this counts the few that Carbon has nothing for. */
import { readdirSync, readFileSync } from 'node:fs';
import { ESLint } from 'eslint';
import { expect, it } from 'vitest';
import { NATIVE } from '../../scripts/eslint-carbon-controls.js';

const eslint = new ESLint();
async function refused(markup: string, filePath: string): Promise<number> {
	const [result] = await eslint.lintText(`${markup}\n`, { filePath });
	return result!.messages.filter(({ ruleId }) => ruleId === 'orbit/carbon-controls').length;
}

it.each([...NATIVE])(
	'<%s> is refused in a component and in a page, and not among the primitives',
	async (name) => {
		const markup = name === 'input' ? '<input />' : `<${name}></${name}>`;
		expect(await refused(markup, 'src/lib/ui/Example.svelte')).toBe(1);
		expect(await refused(markup, 'src/routes/+page.svelte')).toBe(1);
		expect(await refused(markup, 'src/lib/ui/primitives/Hidden.svelte')).toBe(0);
	}
);

it('a component of the same name is none', async () => {
	expect(await refused('<Button /><Table></Table>', 'src/lib/ui/Example.svelte')).toBe(0);
});

it('there are at most a dozen, and each says why', () => {
	const folder = 'src/lib/ui/primitives';
	const native = new RegExp(`<(${[...NATIVE].join('|')})\\b`, 'g');
	let uses = 0;
	for (const file of readdirSync(folder)) {
		const markup = readFileSync(`${folder}/${file}`, 'utf8').replace(
			/<script.*?<\/script>|<style.*?<\/style>/gs,
			''
		);
		const own = [...markup.matchAll(native)].length;
		uses += own;
		expect(own, file).toBeGreaterThan(0);
		expect(markup, file).toMatch(/<!-- .{20,} -->/);
	}
	expect(uses).toBeLessThanOrEqual(12);
});

it('no component brings a colour of its own: they stand in src/app.css', () => {
	const components = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((file) =>
		file.endsWith('.svelte')
	);
	expect(components.length).toBeGreaterThan(60);
	for (const file of components) {
		const [, style = ''] = readFileSync(`src/${file}`, 'utf8').split('<style>');
		expect(style.match(/#[0-9a-f]{3,8}\b|\brgba?\(/gi) ?? [], file).toEqual([]);
	}
});
