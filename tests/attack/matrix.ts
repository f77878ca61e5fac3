/** Who may do what: every route and every action, asked by the owner, a stranger, nobody, and from another site. */
import { token } from './client';
import { routesOfTree } from './routes';
import { pathOf, type Attacked } from './setting';

const OPEN = new Set([
	'/sign-in',
	'/sign-up',
	'/calendar/[secret]',
	'/teach',
	'/teach/room',
	'/teach/script'
]);
/** Pages that only lead on to another one. */
const LEADING_ON = new Set(['/sign-out']);
/** The place in it is a check: everybody silences it for themselves alone. */
const EVERYBODYS = new Set(['/api/silenced/[check]']);
/** True for routes that every studio may open: their ids belong to no studio. */
const ofStudio = (route: string) => route.includes('[') && !OPEN.has(route) && !EVERYBODYS.has(route);

/** The fields that actions take, with what the owner has. */
const fields = ({ ids }: Attacked): Record<string, string> => ({
	token: token(),
	id: ids.template,
	group: ids.group,
	day: '2030-01-01',
	startsOn: '2030-01-07',
	weeks: '4',
	version: '1',
	title: 'Taken over',
	name: 'Taken over',
	preset: 'runners'
});

interface ActionAnswer {
	type: 'success' | 'failure' | 'redirect' | 'error';
	status: number;
	location?: string;
}

/** Returns the number of requests, and one line for each wrong answer. */
export async function authorisationMatrix(at: Attacked): Promise<{ asked: number; wrong: string[] }> {
	const wrong: string[] = [];
	let asked = 0;
	const expect = (holds: boolean, what: string) => {
		asked++;
		if (!holds) wrong.push(what);
	};
	const before = await ownersData(at);
	for (const { id: route, methods, actions } of routesOfTree()) {
		const path = pathOf(route, at.ids);
		for (const method of methods) {
			const ask = (client: Attacked['owner'], headers = {}) =>
				method === 'GET'
					? client.request(path, { headers })
					: client.json(method, path, { version: 1, document: {} }, headers);
			const nobody = await ask(at.nobody);
			const out = path.startsWith('/api/') ? nobody.status === 401 : nobody.status === 303;
			expect(OPEN.has(route) ? nobody.status < 400 : out, `${method} ${route} by nobody: ${nobody.status}`);
			const stranger = await ask(at.stranger);
			if (ofStudio(route))
				expect(
					stranger.status === 404 || stranger.status === 422,
					`${method} ${route} by a stranger: ${stranger.status}`
				);
			if (method === 'GET') {
				const owner = await ask(at.owner);
				const fine =
					owner.status === 200 ||
					(LEADING_ON.has(route) && owner.status === 303) ||
					(OPEN.has(route) && owner.status === 303);
				expect(fine, `GET ${route} by its owner: ${owner.status}`);
				// the data of a page are asked for by themselves too
				if (ofStudio(route) && !path.startsWith('/api/')) {
					const data = await (await at.stranger.get(`${path}/__data.json`)).text();
					expect(
						!data.includes('Saltmarsh') && !data.includes('Striders'),
						`${route} tells a stranger its data`
					);
				}
			} else {
				const elsewhere = await ask(at.owner, { origin: 'https://elsewhere.example' });
				expect(elsewhere.status === 403, `${method} ${route} from another site: ${elsewhere.status}`);
			}
		}
		for (const action of actions) {
			if (OPEN.has(route) || LEADING_ON.has(route)) continue;
			const address = action === 'default' ? path : `${path}?/${action}`;
			const nobody = (await (await at.nobody.form(address, fields(at))).json()) as ActionAnswer;
			const led = nobody.type === 'redirect' && nobody.location?.startsWith('/sign-in?');
			expect(led === true, `${route}?/${action} by nobody: ${nobody.type}`);
			const stranger = (await (await at.stranger.form(address, fields(at))).json()) as ActionAnswer;
			// a request may create things of one's own; nothing of the owner may be reached by it
			const own = !ofStudio(route) && stranger.type === 'redirect';
			expect(
				own || stranger.type === 'error' || stranger.type === 'failure',
				`${route}?/${action} by a stranger: ${stranger.type}`
			);
			const elsewhere = await at.owner.form(address, fields(at), { origin: 'https://elsewhere.example' });
			expect(elsewhere.status === 403, `${route}?/${action} from another site: ${elsewhere.status}`);
		}
	}
	expect((await ownersData(at)) === before, 'something of the owner was changed');
	return { asked, wrong };
}

/** Everything that the owner's studio holds, as one text. */
async function ownersData({ query }: Attacked): Promise<string> {
	const [studio] = await query<{ id: string }>("select id from studio where name = 'Saltmarsh Loft'");
	const tables = [
		'plan',
		'series',
		'class_group',
		'template',
		'own_movement',
		'left_out',
		'student',
		'check_in',
		'class_record',
		'removed'
	];
	const rows = await Promise.all(
		tables.map((table) => query(`select * from ${table} where studio_id = '${studio!.id}' order by 1, 2`))
	);
	return JSON.stringify(rows);
}

/** Headers that every answer must have. */
const HEADERS = {
	'x-content-type-options': /^nosniff$/,
	'referrer-policy': /^same-origin$/,
	'x-frame-options': /^DENY$/,
	'cross-origin-opener-policy': /^same-origin$/,
	'cross-origin-resource-policy': /^same-origin$/,
	'permissions-policy': /camera=\(\)/
};

/** Headers of pages, redirects, refusals, files of the app and addresses that are none. */
export async function headersOfAnswers(at: Attacked): Promise<{ asked: number; wrong: string[] }> {
	const wrong: string[] = [];
	const week = await (await at.owner.get('/')).text();
	const asset = /_app\/immutable\/[^"']+\.js/.exec(week)?.[0];
	if (!asset) wrong.push('the week names no file of the app');
	const answers: [what: string, response: Response, isPrivate: boolean][] = [
		['the week', await at.owner.get('/'), true],
		['its data', await at.owner.get('/__data.json'), true],
		['the way to the sign-in', await at.nobody.get('/group'), true],
		['no page', await at.owner.get('/nothing/here'), true],
		['a refusal', await at.nobody.json('PUT', '/api/style', {}), true],
		['an address that cannot be read', await at.owner.get('/%ff'), true],
		['something too large', await at.owner.json('PUT', '/api/style', 'x'.repeat(6_000_000)), true],
		['the icon', await at.nobody.get('/icon.svg'), false],
		['a file of the app', await at.nobody.get(`/${asset}`), false]
	];
	for (const [what, { headers }, isPrivate] of answers) {
		for (const [name, expected] of Object.entries(HEADERS))
			if (!expected.test(headers.get(name) ?? '')) wrong.push(`${what}: ${name} is ${headers.get(name)}`);
		if (isPrivate && !/no-store/.test(headers.get('cache-control') ?? ''))
			wrong.push(`${what}: cache-control is ${headers.get('cache-control')}`);
	}
	const policy = answers[0]![1].headers.get('content-security-policy') ?? '';
	if (!policy.includes("frame-ancestors 'none'")) wrong.push('the week may be framed');
	return { asked: answers.length, wrong };
}
