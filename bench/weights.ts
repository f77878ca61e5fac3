// Measures the weight of each page of the demo studio, compressed as a browser gets it, and the time to its first
// byte.
import { request } from 'node:http';
import { freePort } from '../scripts/mariadb.mjs';
import { serve } from '../scripts/serve.mjs';
import { enter, mainPages } from './pages';
import { median } from './typing';

/** Times that each page is asked for; the median counts. */
const ROUNDS = 15;

export interface PageWeight {
	page: string;
	/** Kilobytes (1000) compressed: the page itself, its stylesheets, and the scripts that it loads at once. */
	htmlKb: number;
	cssKb: number;
	scriptKb: number;
	/** Time to the first byte against that of the style page. */
	firstByteOverStyle: number;
}

interface Answer {
	bytes: number;
	firstByteMs: number;
}

/** One answer as it goes over the wire: fetch would unpack it. */
function asked(url: string, cookie: string): Promise<Answer> {
	return new Promise((resolve, reject) => {
		const from = performance.now();
		request(url, { headers: { cookie, 'accept-encoding': 'br, gzip' } }, (response) => {
			const firstByteMs = performance.now() - from;
			let bytes = 0;
			response.on('data', (part: Buffer) => (bytes += part.length));
			response.on('end', () => resolve({ bytes, firstByteMs }));
			response.on('error', reject);
		})
			.on('error', reject)
			.end();
	});
}

/** Weighs the main pages. */
export async function pageWeights(): Promise<PageWeight[]> {
	const { origin, stop } = await serve({ port: await freePort(), demo: true, quiet: true });
	try {
		const cookie = await enter(origin);
		// the style page first: the others are told beside it
		const pages = await mainPages(origin, cookie);
		const sum = async (paths: string[]) => {
			const answers = await Promise.all(paths.map((path) => asked(origin + path, cookie)));
			return answers.reduce((all, { bytes }) => all + bytes, 0) / 1000;
		};
		const rows: PageWeight[] = [];
		let styleMs = 0;
		for (const [page, path] of Object.entries(pages)) {
			const response = await fetch(origin + path, { headers: { cookie } });
			// files that load at once are named in the head of the answer or of the page
			const text = `${response.headers.get('link')} ${await response.text()}`;
			const linked = (pattern: RegExp) => [
				...new Set([...text.matchAll(pattern)].map(([, href]) => new URL(href!, origin + path).pathname))
			];
			const firstBytes: number[] = [];
			let bytes = 0;
			for (let round = 0; round < ROUNDS; round++) {
				const answer = await asked(origin + path, cookie);
				firstBytes.push(answer.firstByteMs);
				bytes = answer.bytes;
			}
			const ms = median(firstBytes);
			styleMs ||= ms;
			rows.push({
				page,
				htmlKb: bytes / 1000,
				cssKb: await sum(linked(/href="([^"]+\.css)"/g)),
				scriptKb: await sum(
					linked(/(?:<|href="|")([^"<>]+\.js)(?:>; rel="modulepreload"|" rel="modulepreload"|"\))/g)
				),
				firstByteOverStyle: ms / styleMs
			});
		}
		return rows;
	} finally {
		await stop();
	}
}
