/** Who may do what: every route and every action, asked by the owner, a stranger, nobody, and from another site. */
import { token } from './client';
import { routesOfTree } from './routes';
import { pathOf, type Attacked } from './setting';

const OPEN = new Set(['/sign-in', '/sign-up', '/calendar/[secret]']);
/** Pages that only lead on to another one. */
const LEADING_ON = new Set(['/sign-out']);
/** What every studio may open: the places in it are not of a studio, or it has none. */
const ofStudio = (route: string) => route.includes('[') && !OPEN.has(route);

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

/** What is wrong, a line each; and how many questions were asked. */
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
			// what makes something of one's own may be done; nothing of the owner may be reached by it
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
		'removed'
	];
	const rows = await Promise.all(
		tables.map((table) => query(`select * from ${table} where studio_id = '${studio!.id}' order by 1, 2`))
	);
	return JSON.stringify(rows);
}
