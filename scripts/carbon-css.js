import { readFileSync } from 'node:fs';
import { brotliCompressSync } from 'node:zlib';
import postcss from 'postcss';
import { PurgeCSS } from 'purgecss';

/** No page gets a larger stylesheet than this, compressed as browsers ask for it. */
const MOST_BYTES = 25_000;
/** Carbon's stylesheet, and its theme that the page asks for (src/app.html). */
const SHEET = /carbon-components-svelte[\\/]css[\\/]all\.css$/;
const THEME = 'g10';
const COMPONENT = /[\\/](carbon-components-svelte[\\/]src|src[\\/](lib[\\/]ui|routes))[\\/].*\.svelte$/;
/** Sources in which Carbon's class names stand: its components, the calendar that it uses, and ours. */
const SOURCES = /[\\/](carbon-components-svelte[\\/]src|flatpickr|src)[\\/].*\.(svelte|js|ts)$/;
/** Whatever is not named like Carbon's or the calendar's is ours, and stays. */
const OURS = /^(?!bx-|flatpickr|numInput|dayContainer)/;
/** Rules about one thing: all whose first class of Carbon's begins so (`bx--btn--ghost` is of `btn`). */
const FAMILY = /bx--([a-z]+(?:-[a-z]+)*)/;
/** The same in the source of a component, where it names a class of its own and not one that it looks for. */
const NAMED = new RegExp(`(?<![.\\w-])${FAMILY.source}`, 'g');
const CALENDAR = /flatpickr|numInput|dayContainer|MonthDay/;
const PART = 'virtual:carbon/';

/**
 * Carbon ships one stylesheet of half a million characters. A build takes it apart: what belongs to no component goes with
 * the layout, and what belongs to one with the chunk of that component, so that a page gets only the rules of what it shows.
 * The order of rules about one thing stays; that of things is the order in which their components are loaded.
 * @returns {import('vite').Plugin[]}
 */
export function carbonCss() {
	/** @type {Map<string, string>} */
	const parts = new Map();
	/** Classes of one thing, in the order of the stylesheet. @type {string[]} */
	let order = [];
	/** Only the build for the browser has stylesheets that are served; the one for the server needs none of this. */
	let isBrowserBuild = false;
	return [
		{
			name: 'carbon-css-in-parts',
			enforce: 'pre',
			configResolved: ({ command, build }) => void (isBrowserBuild = command === 'build' && !build.ssr),
			buildStart() {
				if (!isBrowserBuild) return;
				const file = new URL('../node_modules/carbon-components-svelte/css/all.css', import.meta.url);
				for (const [family, css] of inParts(withoutHosts(readFileSync(file, 'utf8')))) parts.set(family, css);
				order = [...parts.keys()];
			},
			resolveId: (id) => (id.startsWith(PART) ? `\0${id}` : undefined),
			load(id) {
				if (!id.startsWith(`\0${PART}`)) return;
				return parts.get(id.slice(PART.length + 1, -'.css'.length)) ?? '';
			},
			transform: {
				filter: { id: SHEET },
				handler(code) {
					const css = isBrowserBuild ? (parts.get('') ?? '') : withoutHosts(code);
					if (/https?:\/\//.test(css)) this.error('Carbon CSS still names an outside host');
					return { code: css, map: null };
				}
			}
		},
		{
			name: 'carbon-css-of-components',
			apply: 'build',
			enforce: 'post',
			transform(code, id) {
				if (!isBrowserBuild || !COMPONENT.test(id)) return;
				const named = new Set([...readFileSync(id, 'utf8').matchAll(NAMED)].map(([, name]) => name));
				if (/DatePicker\.svelte/.test(id)) named.add('calendar');
				const own = order.filter((family) => named.has(family));
				if (own.length === 0) return;
				return { code: own.map((f) => `import '${PART}${f}.css';`).join('') + code, map: null };
			}
		},
		{
			name: 'used-carbon-css',
			apply: 'build',
			enforce: 'post',
			generateBundle(_options, bundle) {
				return isBrowserBuild ? keepWhatIsUsed.call(this, bundle) : undefined;
			}
		}
	];
}

/**
 * Carbon's ready-made CSS names IBM Plex on a font CDN in 208 @font-face rules. They go, so that no request ever leaves for
 * another host; the app ships its own font (src/app.css). So do the themes that the app does not use.
 * @param {string} css
 */
const withoutHosts = (css) =>
	css
		.replace(/@font-face\s*\{[^}]*\}/g, '')
		.replace(/:root(\[theme=g\d+\])?\{[^}]*\}/g, (rule, theme) => (theme === `[theme=${THEME}]` ? rule : ''));

/**
 * The rules of each family in their order; those of none under ''.
 * @param {string} css
 */
function inParts(css) {
	const root = postcss.parse(css);
	/** @type {Map<string, import('postcss').Root>} */
	const roots = new Map([['', postcss.root()]]);
	/** @param {string} family */
	const of = (family) => {
		const known = roots.get(family);
		if (known) return known;
		const fresh = postcss.root();
		roots.set(family, fresh);
		return fresh;
	};
	for (const node of root.nodes) {
		if (node.type === 'rule') for (const [family, rule] of ruleInParts(node)) of(family).append(rule);
		else if (node.type === 'atrule' && /^(media|supports)$/.test(node.name)) {
			/** @type {Map<string, import('postcss').AtRule>} */
			const blocks = new Map();
			for (const inner of node.nodes ?? []) {
				if (inner.type !== 'rule') continue;
				for (const [family, rule] of ruleInParts(inner)) {
					const block = blocks.get(family) ?? node.clone({ nodes: [] });
					blocks.set(family, block);
					block.append(rule);
				}
			}
			for (const [family, block] of blocks) of(family).append(block);
		} else of('').append(node.clone());
	}
	return new Map([...roots].map(([family, own]) => [family, own.toString()]));
}

/**
 * A rule for each family that its selectors begin with.
 * @param {import('postcss').Rule} rule
 */
function ruleInParts(rule) {
	/** @type {Map<string, string[]>} */
	const selectors = new Map();
	for (const selector of rule.selectors) {
		const family = FAMILY.exec(selector)?.[1] ?? (CALENDAR.test(selector) ? 'calendar' : '');
		selectors.set(family, [...(selectors.get(family) ?? []), selector]);
	}
	return [...selectors].map(
		([family, own]) => /** @type {const} */ ([family, rule.clone({ selector: own.join(',') })])
	);
}

/**
 * Of Carbon's CSS keeps what the components that are bundled can name, and stops a build whose stylesheet grows too large.
 * Names that are put together (`bx--btn--${kind}`) keep all that begin so.
 * @this {import('vite').Rollup.PluginContext}
 * @param {import('vite').Rollup.OutputBundle} bundle
 */
async function keepWhatIsUsed(bundle) {
	const sources = [...this.getModuleIds()]
		.map((id) => String(id.split('?')[0]))
		.filter((file) => SOURCES.test(file));
	const code = [...new Set(sources)].map((file) => readFileSync(file, 'utf8')).join('\n');
	const begins = [...new Set(code.match(/bx--[\w-]*(?=\$\{)/g))].filter((prefix) => prefix.length > 4);
	const sheets = Object.values(bundle).flatMap((file) =>
		file.type === 'asset' && file.fileName.endsWith('.css') ? file : []
	);
	// all sheets in one go: the sources are taken apart once
	const purged = await new PurgeCSS().purge({
		content: [{ raw: [...new Set(code.match(/[\w-]+/g))].join(' '), extension: 'svelte' }],
		css: sheets.map(({ source }) => ({ raw: String(source) })),
		defaultExtractor: (text) => text.split(' '),
		safelist: { standard: [OURS, ...begins.map((prefix) => new RegExp(`^${prefix}`))] },
		fontFace: false,
		keyframes: false,
		variables: false
	});
	if (purged.length !== sheets.length) this.error('not every stylesheet was purged');
	sheets.forEach((sheet, i) => (sheet.source = purged[i]?.css ?? ''));
	const read = new Set(sheets.flatMap(({ source }) => String(source).match(/var\(\s*--cds-[\w-]+/g) ?? []));
	const isRead = (/** @type {string} */ token) => read.has(`var(${token}`);
	for (const file of sheets) {
		// of the theme's values only those that a rule reads
		file.source = String(file.source).replace(/(--cds-[\w-]+):[^;}]*;?/g, (all, token) =>
			isRead(token) ? all : ''
		);
		const bytes = brotliCompressSync(file.source).length;
		if (bytes > MOST_BYTES)
			this.error(
				`${file.fileName} has ${bytes} bytes compressed; ${MOST_BYTES} is the most that a page may get`
			);
	}
}
