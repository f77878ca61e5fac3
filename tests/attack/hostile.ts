/** Requests that no browser of ours would send: none may bring the server down, or be answered as a fault of its own. */
import { CATALOGUE } from '../../src/lib/catalogue';
import { seeded } from '../reference/seeded';
import { routesOfTree } from './routes';
import { notesAsPlanned } from '../../src/lib/core/record';
import { counted, ledFrom, pathOf, type Attacked } from './setting';
import type { Script } from '../../src/lib/core/teach';

type Random = () => number;
const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)]!;

const nested = (levels: number): string => '['.repeat(levels) + ']'.repeat(levels);

/** Values in the place of any other. */
const VALUES: readonly unknown[] = [
	null,
	true,
	-1,
	0,
	1.5,
	1e308,
	2 ** 53,
	'',
	' ',
	'constructor',
	'__proto__',
	'toString',
	'hasOwnProperty',
	'line\r\nbreak',
	'\u0000',
	'\u202etxt',
	'\ud800',
	'😀'.repeat(300),
	'a'.repeat(70_000),
	[],
	[[]],
	{},
	{ toString: 1 },
	JSON.parse('{"__proto__": {"polluted": true}}'),
	JSON.parse('{"constructor": {"prototype": 1}}'),
	Array.from({ length: 500 }, (_, i) => i),
	JSON.parse(nested(60)),
	'2026-02-30',
	'99:99',
	"'; drop table plan; --"
];

/** A document with one to three of its places changed: another value, a field more, a field less, an entry twice. */
export function damaged(document: unknown, random: Random): unknown {
	const copy = structuredClone(document);
	for (let times = 1 + Math.floor(random() * 3); times > 0; times--) {
		let here = copy as Record<string, unknown>;
		for (;;) {
			const keys = Object.keys(here);
			if (keys.length === 0) break;
			const key = pick(random, keys);
			const inner = here[key];
			if (typeof inner === 'object' && inner !== null && random() < 0.75) {
				here = inner as Record<string, unknown>;
				continue;
			}
			const how = random();
			if (how < 0.7) here[key] = structuredClone(pick(random, VALUES));
			else if (how < 0.8) delete here[key];
			else if (how < 0.9) here[pick(random, ['constructor', 'more', '']) as string] = pick(random, VALUES);
			else if (Array.isArray(here)) here.push(structuredClone(inner));
			break;
		}
	}
	return copy;
}

/** Answers that say what is wrong; anything of 500 and over is a fault of the server. */
const isFault = (status: number) => status >= 500;

export interface Hostile {
	sent: number;
	wrong: string[];
}

/** Damaged documents at every door that takes one. */
export async function hostileDocuments(at: Attacked, count: number, seed: number): Promise<Hostile> {
	const random = seeded(seed);
	const wrong: string[] = [];
	const stored = async (table: string, id: string) => {
		const [row] = await at.query<{ document: unknown; version: number }>(
			`select document, version from ${table} where id = '${id}'`
		);
		const { document, version } = row!;
		return { version, document: typeof document === 'string' ? JSON.parse(document) : document };
	};
	const { ids } = at;
	const plan = (await stored('plan', ids.plan)).document;
	const group = { ...(await stored('class_group', ids.group)).document, kit: { block: 4 } };
	const series = (await stored('series', ids.series)).document;
	const rows = await at.query<{ id: string; document: unknown }>(
		`select id, document from plan where series_id = '${ids.series}'`
	);
	const plans = Object.fromEntries(
		rows.map((row) => [row.id, typeof row.document === 'string' ? JSON.parse(row.document) : row.document])
	);
	const movement = CATALOGUE[0]!;
	const { script } = (await (await at.owner.get(`/api/teach/packs/${ids.plan}`)).json()) as {
		script: Script;
	};
	const doors: [method: string, path: string, body: (random: Random) => unknown][] = [
		['PUT', `/api/plans/${ids.plan}`, (r) => ({ version: 1, document: damaged(plan, r) })],
		[
			'POST',
			'/api/plans',
			(r) => ({ groupId: ids.group, ...(damaged({ plan, movements: [movement] }, r) as object) })
		],
		['POST', '/api/templates', (r) => damaged({ plan, movements: [movement] }, r)],
		['PUT', `/api/groups/${ids.group}`, (r) => ({ version: 1, document: damaged(group, r) })],
		['PUT', `/api/series/${ids.series}`, (r) => ({ version: 1, document: damaged({ series, plans }, r) })],
		[
			'POST',
			'/api/series',
			(r) => ({ groupId: ids.group, ...(damaged({ planned: { series, plans } }, r) as object) })
		],
		['POST', '/api/own-movements', (r) => ({ document: damaged(movement, r) })],
		[
			'PUT',
			`/api/own-movements/${ids.own}`,
			(r) => ({ version: 1, document: damaged({ ...movement, slug: ids.own }, r) })
		],
		[
			'POST',
			`/api/groups/${ids.group}/students`,
			(r) => ({
				document: damaged({ name: 'Per L.', tier: 'open', cautions: ['low back'], tighterSide: 'left' }, r)
			})
		],
		[
			'PUT',
			`/api/students/${ids.student}`,
			(r) => ({
				version: 1,
				document: damaged({ name: 'Per L.', tier: 'open', cautions: [], tighterSide: null }, r)
			})
		],
		['POST', `/api/groups/${ids.group}/check-ins`, (r) => ({ document: damaged(counted, r) })],
		[
			'POST',
			`/api/groups/${ids.group}/records`,
			(r) =>
				damaged(
					{
						title: 'On the slipway',
						on: '2026-11-24',
						startsAt: '18:00',
						document: { ...notesAsPlanned(5, 60), there: { clam: 'few' } }
					},
					r
				)
		],
		['PUT', '/api/studio/keep', (r) => ({ version: 1, document: damaged({ years: 3 }, r) })],
		[
			'PUT',
			'/api/style',
			(r) =>
				damaged(
					{ version: 0, document: { choices: { counting: 'seconds' }, pace: { heldBreathSeconds: 6 } } },
					r
				)
		],
		['POST', `/api/teach/sessions/${ids.led}`, (r) => damaged(ledFrom(ids.plan, script), r)]
	];
	for (let i = 0; i < count; i++) {
		const [method, path, body] = doors[i % doors.length]!;
		const sent = body(random);
		const { status } = await at.owner.json(method, path, sent);
		if (isFault(status)) wrong.push(`${method} ${path} -> ${status}: ${JSON.stringify(sent).slice(0, 400)}`);
	}
	return { sent: count, wrong };
}

/** Addresses, bodies and headers that are no request of ours, at every route. */
export async function hostileRequests(at: Attacked): Promise<Hostile> {
	const wrong: string[] = [];
	let sent = 0;
	const ask = async (
		what: string,
		answer: Promise<Response>,
		fine: (status: number) => boolean = (s) => !isFault(s)
	) => {
		sent++;
		const status = await answer.then(
			(response) => response.status,
			(error: Error) => String(error.cause ?? error)
		);
		if (typeof status === 'string' || !fine(status)) wrong.push(`${what} -> ${status}`);
	};
	const ODD_IDS = [
		'constructor',
		'__proto__',
		'toString',
		'%00',
		'%0a',
		'%ff',
		'..%2f..',
		'a'.repeat(3000),
		'😀',
		"'--",
		'%20'
	];
	for (const { id: route, methods, actions } of routesOfTree()) {
		const path = pathOf(route, at.ids);
		if (route.includes('[')) {
			for (const odd of ODD_IDS) {
				const there = route.replace(/\[\w+\]/, odd);
				for (const method of methods)
					await ask(
						`${method} ${there.slice(0, 60)}`,
						method === 'GET'
							? at.owner.get(there)
							: at.owner.json(method, there, { version: 1, document: {} })
					);
			}
			// an id that differs in case, or by a blank at its end, is another id
			const known = /\[\w+\]/.exec(route)!.index;
			const value = path.slice(known).split('/')[0]!;
			for (const near of [swapped(value), `${value}%20`]) {
				const there = path.slice(0, known) + near + path.slice(known + value.length);
				if (methods.includes('GET')) await ask(`GET ${there}`, at.owner.get(there), (s) => s === 404);
			}
		}
		for (const method of methods) {
			if (method === 'GET') {
				for (const query of [
					'?week=x',
					'?week=2026-W99',
					'?from=-1',
					'?from=1e9',
					'?with=constructor',
					'?group=__proto__',
					'?removed=%00',
					'?test=toString',
					`?${'a'.repeat(5000)}`
				])
					await ask(`GET ${route}${query.slice(0, 20)}`, at.owner.get(path + query));
				continue;
			}
			const bodies = [
				'',
				'x',
				'5',
				'null',
				'[]',
				'""',
				'{"version":"abc"}',
				'{"version":1e99,"document":1}',
				'{"version":1,"document":[]}',
				nested(100_000),
				'{"a":'.repeat(20_000),
				'\u0000'
			];
			for (const body of bodies)
				await ask(`${method} ${route} with ${body.slice(0, 20)}`, at.owner.json(method, path, body));
			await ask(
				`${method} ${route} with 6 MB`,
				at.owner.json(method, path, 'x'.repeat(6_000_000)),
				(s) => s === 413
			);
			await ask(
				`${method} ${route} with 6 MB in pieces`,
				at.owner.request(path, inPieces(method, 6_000_000)),
				(s) => s === 411
			);
			await ask(
				`${method} ${route} without its token`,
				at.owner.json(method, path, {}, { 'idempotency-key': '' })
			);
		}
		for (const action of actions) {
			if (route === '/sign-out') continue;
			const address = action === 'default' ? path : `${path}?/${action}`;
			const odd = ['abc', '-1', '1e9', 'constructor', '\r\nx', '\u0000', 'a'.repeat(5000)];
			for (const value of odd) {
				const names = [
					'token',
					'id',
					'group',
					'day',
					'startsOn',
					'weeks',
					'version',
					'title',
					'name',
					'preset',
					'email',
					'password',
					'template'
				];
				await ask(
					`${route}?/${action} with ${value.slice(0, 12)}`,
					at.stranger.form(address, Object.fromEntries(names.map((name) => [name, value])))
				);
			}
			await ask(`${route}?/${action} with a file`, at.stranger.request(address, withFile()));
			await ask(
				`${route}?/${action} broken`,
				at.stranger.request(address, {
					method: 'POST',
					headers: { 'content-type': 'multipart/form-data; boundary=x', 'x-sveltekit-action': 'true' },
					body: '--x\r\nbroken'
				})
			);
			await ask(`${route}?/nothing`, at.stranger.form(`${path}?/nothing`, {}));
		}
	}
	// signing in leads nowhere else, however the path is written
	for (const next of [
		'//elsewhere.example',
		'/%09/elsewhere.example',
		'/\\elsewhere.example',
		'/.//elsewhere.example',
		'/%0A/elsewhere.example',
		'/%00',
		'https://elsewhere.example',
		'/%5Celsewhere.example',
		'/%0d%0aset-cookie:x=1'
	]) {
		sent++;
		const answer = await at.nobody.form(`/sign-in?/demo&next=${next}`, {});
		const { location = '' } = (await answer.json()) as { location?: string };
		const to = new URL(location, at.origin);
		if (answer.status >= 500 || to.origin !== at.origin)
			wrong.push(`next=${next} -> ${answer.status} ${location}`);
		await at.nobody.form('/sign-out', {});
	}
	return { sent, wrong };
}

const swapped = (text: string) =>
	[...text].map((c) => (c === c.toLowerCase() ? c.toUpperCase() : c.toLowerCase())).join('');

function inPieces(method: string, bytes: number): RequestInit {
	const piece = new TextEncoder().encode('x'.repeat(100_000));
	let left = bytes;
	const body = new ReadableStream({
		pull(controller) {
			if (left <= 0) return controller.close();
			left -= piece.length;
			controller.enqueue(piece);
		}
	});
	return {
		method,
		headers: { 'content-type': 'application/json', 'idempotency-key': 'attack-in-pieces-0000' },
		body,
		duplex: 'half'
	} as RequestInit;
}

function withFile(): RequestInit {
	const body = new FormData();
	for (const name of ['name', 'title', 'group', 'version', 'token', 'id'])
		body.set(name, new Blob(['x']), 'x.txt');
	return { method: 'POST', headers: { 'x-sveltekit-action': 'true', accept: 'application/json' }, body };
}
