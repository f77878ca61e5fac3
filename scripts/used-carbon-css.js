import { readFileSync } from 'node:fs';
import { brotliCompressSync } from 'node:zlib';
import { PurgeCSS } from 'purgecss';

/** No page gets a larger stylesheet than this, compressed as browsers ask for it. */
const MOST_BYTES = 25_000;
/** Sources in which Carbon's class names stand: its components, the calendar that it uses, and ours. */
const SOURCES = /[\\/](carbon-components-svelte[\\/]src|flatpickr|src)[\\/].*\.(svelte|js|ts)$/;

/** Whatever is not named like Carbon's or the calendar's is ours, and stays. */
const OURS = /^(?!bx-|flatpickr|numInput|dayContainer)/;

/**
 * Of Carbon's CSS keeps what the components that are bundled can name, and stops a build whose stylesheet grows too
 * large. Names that are put together (`bx--btn--${kind}`) keep all that begin so.
 * @returns {import('vite').Plugin}
 */
export function usedCarbonCss() {
	return {
		name: 'used-carbon-css',
		apply: 'build',
		enforce: 'post',
		async generateBundle(_options, bundle) {
			const sources = [...this.getModuleIds()]
				.map((id) => String(id.split('?')[0]))
				.filter((file) => SOURCES.test(file));
			const code = [...new Set(sources)].map((file) => readFileSync(file, 'utf8')).join('\n');
			const begins = [...new Set(code.match(/bx--[\w-]*(?=\$\{)/g))].filter((prefix) => prefix.length > 4);
			for (const file of Object.values(bundle)) {
				if (file.type !== 'asset' || !file.fileName.endsWith('.css')) continue;
				const css = String(file.source);
				const purged = await new PurgeCSS().purge({
					content: [{ raw: code, extension: 'svelte' }],
					css: [{ raw: css }],
					defaultExtractor: (text) => text.match(/[\w-]+/g) ?? [],
					safelist: { standard: [OURS, ...begins.map((prefix) => new RegExp(`^${prefix}`))] },
					fontFace: false,
					keyframes: false,
					variables: false
				});
				file.source = purged.map((sheet) => sheet.css).join('');
				const bytes = brotliCompressSync(file.source).length;
				if (bytes > MOST_BYTES)
					this.error(
						`${file.fileName} has ${bytes} bytes compressed; ${MOST_BYTES} is the most that a page may get`
					);
			}
		}
	};
}
