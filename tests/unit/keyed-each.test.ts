/** Keys of lists that are drawn: unique by construction, which a lint rule holds. */
import { ESLint } from 'eslint';
import { expect, it } from 'vitest';
import { keyed } from '../../src/lib/core/view-models';

const eslint = new ESLint();
async function ruleOn(each: string): Promise<string[]> {
	const [result] = await eslint.lintText(
		`<script lang="ts">\n\tlet { list } = $props();\n</script>\n\n${each}\n`,
		{
			filePath: 'src/lib/ui/Example.svelte'
		}
	);
	return result!.messages.flatMap(({ ruleId, messageId }) =>
		ruleId === 'orbit/keyed-each' ? [messageId ?? ''] : []
	);
}

it.each([
	['{#each list as entry (entry.id)}{entry}{/each}'],
	['{#each list as entry, index (index)}{entry}{/each}'],
	['{#each list as { slug, name } (slug)}{name}{/each}'],
	["{#each ['a', 'b'] as entry (entry)}{entry}{/each}"],
	['{#each TIERS.filter(Boolean) as tier (tier)}{tier}{/each}']
])('%s has a key of its own', async (each) => expect(await ruleOn(each)).toEqual([]));

it.each([
	['{#each list as entry}{entry}{/each}', 'missing'],
	['{#each list as entry (entry)}{entry}{/each}', 'unsure'],
	['{#each list as entry (entry.words)}{entry}{/each}', 'unsure'],
	['{#each list as entry (entry.id + entry.name)}{entry}{/each}', 'unsure']
])('%s is refused', async (each, message) => expect(await ruleOn(each)).toEqual([message]));

it('the same words twice get two keys, and keep them when the list round them changes', () => {
	const keys = (words: string[]) => keyed(words, (w) => w).map(({ key }) => key);
	expect(new Set(keys(['short', 'short', 'long', 'short'])).size).toBe(4);
	expect(keys(['new', 'short', 'long'])).toContain(keys(['short'])[0]);
});
