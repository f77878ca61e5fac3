/**
 * Every text that a teacher can read, and the documents, through a prose linter (retext): repeated words, "a" and "an", and long
 * words with a short one at hand. Exceptions and rejected phrases stand here.
 */
import { readdirSync, readFileSync } from 'node:fs';
import retextEnglish from 'retext-english';
import retextIndefiniteArticle from 'retext-indefinite-article';
import retextRepeatedWords from 'retext-repeated-words';
import retextSimplify from 'retext-simplify';
import retextStringify from 'retext-stringify';
import { unified } from 'unified';
import { describe, expect, it } from 'vitest';
import { CHECKS } from '../../src/lib/core/checks';
import { SERIES_CHECKS } from '../../src/lib/core/series';
import { countedDocs } from '../../scripts/counted-docs';
import { textsOf } from '../../scripts/texts';

/** Long words that are terms of the field, or the shortest that says it. */
const TERMS = [
	// terms of the field
	...['very', 'forward', 'in between', 'effect', 'maximum', 'minimum', 'multiple', 'objective', 'option'],
	// the shortest that says it
	...['address', 'all of', 'attempt', 'close', 'component', 'delete', 'function', 'identical', 'initial'],
	...[
		'it is',
		'there is',
		'there are',
		'number of',
		'a number of',
		'previous',
		'remain',
		'request',
		'require',
		'type',
		'valid'
	]
];

const prose = unified()
	.use(retextEnglish)
	.use(retextRepeatedWords)
	.use(retextIndefiniteArticle)
	.use(retextSimplify, { ignore: TERMS })
	.use(retextStringify);

/** Words that begin like what usually stands there, no two alike side by side. */
const NOUNS = ['thing', 'name', 'part'];
/** A text with a noun for each value that is put in. */
function withNouns(words: string): string {
	let at = 0;
	return words.replaceAll('{...}', () => NOUNS[at++ % NOUNS.length]!);
}

async function complaints(text: string): Promise<string[]> {
	const { messages } = await prose.process(text);
	return messages.map(({ reason }) => reason);
}

/** Phrases that readers had to read twice, each with what is said instead. */
const REJECTED: [RegExp, string][] = [
	[/\bfalls? out\b/i, 'cancel'],
	[/\bgoes no way back\b/i, 'is not made easier'],
	[/\bnot all hanging\b/i, 'not too much passive stretching'],
	[/\bput in before\b/i, 'insert'],
	[/\btake it back\b/i, 'undo, delete or revoke'],
	[/\bleave it out\b/i, 'skip, exclude or omit'],
	[/\bwas it there for\b/i, 'could they do it'],
	[/\btimes of five\b/i, 'percent'],
	[/\bnothing to mend\b/i, 'nothing to fix'],
	[/\bDo again\b/, 'Redo'],
	[/\bmeasuring is off\b/i, 'the error of measuring'],
	[/\bthat can be told\b/i, 'measurable'],
	[/\bbegin to count\b/i, 'start counting'],
	[/\bhow \S+ sat\b/i, 'feedback'],
	[/\bcalm the order\b/i, 'reduce transitions'],
	[/\bshall\b/i, 'should']
];

const texts = textsOf();

describe('texts that a teacher can read', () => {
	it('are all listed: components, core, server, prints', () => {
		expect(texts.length).toBeGreaterThan(2500);
		for (const words of ['Propose a class', 'Pain means stop, in the knee above all.', 'Sign in first.'])
			expect(texts.map((text) => text.words)).toContain(words);
	});

	it('hold no phrase that has to be read twice', () => {
		const found = texts.flatMap(({ file, line, words }) =>
			REJECTED.filter(([pattern]) => pattern.test(words)).map(
				([, instead]) => `${file}:${line} "${words}": say ${instead}`
			)
		);
		expect(found).toEqual([]);
	});

	it('pass the prose linter', async () => {
		const found: string[] = [];
		// the usage of the command line is a table
		for (const { file, line, words } of texts.filter((text) => !text.words.startsWith('usage:')))
			for (const reason of await complaints(withNouns(words)))
				found.push(`${file}:${line} ${words}: ${reason}`);
		expect(found).toEqual([]);
	});
});

it('a check says what it asks and why in under 25 words each sentence', () => {
	const long = [...CHECKS, ...SERIES_CHECKS]
		.flatMap(({ meta: { id, summary, why } }) =>
			[summary, ...why.split(/(?<=[.;:!?])\s/)].map((words) => ({ id, words }))
		)
		.filter(({ words }) => words.split(/\s+/).length >= 25);
	expect(long).toEqual([]);
});

describe('the documents', () => {
	const documents = ['README.md', ...readdirSync('docs').map((name) => `docs/${name}`)].filter((name) =>
		name.endsWith('.md')
	);
	it.each(documents)('%s repeats no word', async (file) => {
		const text = readFileSync(file, 'utf8')
			.replaceAll(/```[\s\S]*?```/g, '')
			.replaceAll(/`[^`]*`/g, 'thing')
			.replaceAll(/^\|.*$/gm, '');
		const { messages } = await unified()
			.use(retextEnglish)
			.use(retextRepeatedWords)
			.use(retextIndefiniteArticle)
			.use(retextStringify)
			.process(text);
		expect(messages.map(({ reason, line }) => `${line}: ${reason}`)).toEqual([]);
	});

	it('the README is read in five minutes, and the counts of all documents are true', () => {
		const readme = readFileSync('README.md', 'utf8');
		expect(readme.split(/\s+/).length).toBeLessThan(900);
		for (const [path, text] of Object.entries(countedDocs()))
			expect(text, `${path}: run npm run files`).toBe(readFileSync(path, 'utf8'));
	});

	it('name files that exist, and the rooms of the core in their order', () => {
		const all = ['src', 'scripts', 'tests', 'bench'].flatMap((folder) => filesIn(folder));
		const missing = documents.flatMap((file) =>
			[...readFileSync(file, 'utf8').matchAll(/`([a-z][a-z./-]+\.(?:ts|mjs|svelte))`/g)]
				.map((match) => match[1]!)
				.filter((named) => !all.some((one) => one === named || one.endsWith(`/${named}`)))
				.map((named) => `${file}: ${named}`)
		);
		expect(missing).toEqual([]);
		const table = [
			...readFileSync('docs/architecture.md', 'utf8').matchAll(/^\| `([a-z-]+)` +\| (.+?) +\|$/gm)
		];
		const rooms = JSON.parse(readFileSync('src/lib/core/rooms.json', 'utf8')) as {
			name: string;
			holds: string;
		}[];
		expect(table.map(([, name, holds]) => ({ name, holds }))).toEqual(
			rooms.map(({ name, holds }) => ({ name, holds }))
		);
	});
});

/** Returns the paths of all files in a folder of this project, without packages. */
function filesIn(folder: string): string[] {
	return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
		const path = `${folder}/${entry.name}`;
		if (entry.name === 'node_modules') return [];
		return entry.isDirectory() ? filesIn(path) : [path];
	});
}
