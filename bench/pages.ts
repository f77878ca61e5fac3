// How many requests a second the pages of the demo studio bear, beside an empty page of the same server.
import autocannon from 'autocannon';
import { freePort } from '../scripts/mariadb.mjs';
import { serve } from '../scripts/serve.mjs';
import { pagesOfDemo } from '../tests/pages';

/** Requests that are under way at the same time. */
const CONNECTIONS = 16;
const SECONDS_EACH = 6;

/** The session cookie of the demo teacher, as the button of the sign-in page gives it. */
export async function enter(origin: string): Promise<string> {
	const response = await fetch(`${origin}/sign-in?/demo`, {
		method: 'POST',
		headers: { origin, 'content-type': 'application/x-www-form-urlencoded' },
		redirect: 'manual'
	});
	return response.headers
		.getSetCookie()
		.map((cookie) => cookie.split(';')[0])
		.join('; ');
}

/** The pages that the bench measures, by name; the one with the least on it first. */
const MAIN_PAGES = {
	style: '/style',
	week: '/',
	class: '/plan/[id]',
	series: '/series/[id]',
	catalogue: '/catalogue',
	group: '/group/[id]',
	groups: '/group',
	movement: '/catalogue/[slug]',
	begin: '/begin',
	teach: '/teach'
} as const;

/** Returns the addresses of the main pages in the demo studio. */
export async function mainPages(
	origin: string,
	cookie: string
): Promise<Record<keyof typeof MAIN_PAGES, string>> {
	const pages = await pagesOfDemo(async (path) =>
		(await fetch(origin + path, { headers: { cookie } })).text()
	);
	return Object.fromEntries(
		Object.entries(MAIN_PAGES).map(([name, route]) => [name, pages[route]])
	) as Record<keyof typeof MAIN_PAGES, string>;
}

/** Visits a second: a visit is all the requests that a browser makes to the server to show a page. */
async function visitsASecond(origin: string, paths: string[], cookie: string): Promise<number> {
	const headers = { cookie };
	const run = await autocannon({
		url: origin,
		connections: CONNECTIONS,
		duration: SECONDS_EACH,
		requests: paths.map((path) => ({ path, headers })),
		timeout: 30
	});
	if (run.errors || run.timeouts) throw new Error(`${paths[0]}: ${run.errors} requests failed`);
	return run.requests.total / run.duration / paths.length;
}

/** Visits a second of each page, each measured between two measurements of the empty page. */
export async function pageLoad(): Promise<{ page: string; perSecond: number; emptyOverIt: number }[]> {
	process.env.ORBIT_PROCESSES = '1';
	const { origin, stop } = await serve({ port: await freePort(), demo: true, quiet: true });
	try {
		const cookie = await enter(origin);
		const { class: plan, series, group } = await mainPages(origin, cookie);
		const empty = () => visitsASecond(origin, ['/not-a-page'], cookie);
		const pages = {
			week: ['/'],
			class: [plan],
			series: [series],
			catalogue: ['/catalogue'],
			group: [group]
		};
		const rows = [];
		let before = await empty();
		for (const [page, paths] of Object.entries(pages)) {
			const perSecond = await visitsASecond(origin, paths, cookie);
			const after = await empty();
			rows.push({ page, perSecond, emptyOverIt: (before + after) / 2 / perSecond });
			before = after;
		}
		rows.push({ page: 'empty', perSecond: before, emptyOverIt: 1 });
		return rows;
	} finally {
		await stop();
	}
}
