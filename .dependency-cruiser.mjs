// The order of the rooms, as `npm test` checks it: docs/architecture.md says what each holds. No file imports in a circle.
import { readdirSync, readFileSync } from 'node:fs';

/** @type {{ name: string, rooms?: string[] }[]} */
const ROOMS = JSON.parse(readFileSync(new URL('src/lib/core/rooms.json', import.meta.url), 'utf8'));
const CORE = 'src/lib/core';
for (const entry of readdirSync(new URL(CORE, import.meta.url), { withFileTypes: true }))
	if (entry.isDirectory() && !ROOMS.some(({ name }) => name === entry.name))
		throw new Error(`${CORE}/${entry.name} has no place in rooms.json`);
const anyOf = (/** @type {string[]} */ names) => `(${names.join('|')})`;

/** A rule that refuses imports. @param {string} name @param {string} comment @param {string} from @param {object} to */
const refuse = (name, comment, from, to) => ({ name, comment, severity: 'error', from: { path: from }, to });

/** Rooms of a folder in their order: each imports only from those before it. @param {string} folder @param {string[]} names */
const inOrder = (folder, names) =>
	names
		.slice(0, -1)
		.map((name, i) =>
			refuse(
				`${folder.split('/').at(-1)}: order of rooms`,
				`${name} stands before this room (src/lib/core/rooms.json)`,
				`^${folder}/${name}/`,
				{ path: `^${folder}/${anyOf(names.slice(i + 1))}/` }
			)
		);

const lib = (/** @type {string[]} */ names) => ({ path: `^src/lib/${anyOf(names)}/` });

export default {
	forbidden: [
		{
			name: 'no circles',
			comment: 'two files that import each other are one file, or need a third',
			severity: 'error',
			from: {},
			to: { circular: true }
		},
		...inOrder(
			CORE,
			ROOMS.map(({ name }) => name)
		),
		...ROOMS.flatMap(({ name, rooms }) => (rooms ? inOrder(`${CORE}/${name}`, rooms) : [])),
		{
			name: 'a folder of the core shows its index',
			comment: 'import a folder of the core by its index.ts',
			severity: 'error',
			from: { pathNot: `^${CORE}/([^/]+)/` },
			to: { path: `^${CORE}/[^/]+/(?!index\\.ts$)` }
		},
		{
			name: 'a folder of the core shows its index',
			comment: 'import a folder of the core by its index.ts',
			severity: 'error',
			from: { path: `^${CORE}/([^/]+)/` },
			to: { path: `^${CORE}/[^/]+/(?!index\\.ts$)`, pathNot: `^${CORE}/$1/` }
		},
		refuse('the core stands alone', 'the core imports nothing above it', `^${CORE}/`, {
			path: '^src/',
			pathNot: `^${CORE}/`
		}),
		refuse('the core knows no framework', 'no framework, no database and no Node in the core', `^${CORE}/`, {
			path: '(^|/)(\\$app|\\$env|svelte|@sveltejs|drizzle|mysql2|carbon|better-auth)',
			pathNot: '^src/'
		}),
		refuse('the core knows no Node', 'no Node in the core', `^${CORE}/`, { dependencyTypes: ['core'] }),
		refuse(
			'the catalogue stands on the core',
			'the catalogue stands on the core only',
			'^src/lib/catalogue/',
			lib(['server', 'client', 'ui', 'demo'])
		),
		refuse(
			'demo data',
			'demo data are made of the core and the catalogue',
			'^src/lib/demo/',
			lib(['server', 'client', 'ui'])
		),
		refuse(
			'the server knows no browser',
			'the server imports nothing of the browser',
			'^src/(lib/server/|routes/.*(\\.server|/\\+server)\\.ts$)',
			lib(['client', 'ui'])
		),
		refuse(
			'browser state',
			'browser state imports neither the server nor components',
			'^src/lib/client/',
			lib(['server', 'ui', 'demo'])
		),
		refuse('components draw', 'components draw what they are given', '^src/lib/ui/', lib(['server', 'demo'])),
		refuse(
			'answers of the server need no demo data',
			'endpoints import no demo data',
			'^src/routes/.*(\\.server|/\\+server)\\.ts$',
			lib(['demo'])
		),
		refuse(
			'pages',
			'a page draws what its load function gives it',
			'^src/routes/.*(\\.svelte|/\\+(page|layout)\\.ts)$',
			lib(['server', 'demo'])
		),
		refuse(
			'the command line',
			'the command line stands on the core and the catalogue',
			'^src/cli/',
			lib(['server', 'client', 'ui', 'demo'])
		)
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '^(build|\\.svelte-kit)/' },
		webpackConfig: { fileName: 'scripts/resolve-lib.mjs' },
		tsPreCompilationDeps: true,
		enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte', '.svelte.ts', '.mjs', '.json'] }
	}
};
