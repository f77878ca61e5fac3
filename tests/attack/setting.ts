/** Two teachers with a studio each on one server, and what the first of them has. */
import mysql from 'mysql2/promise';
import { freePort, startMariadb } from '../../scripts/mariadb.mjs';
import { serve } from '../../scripts/serve.mjs';
import { findMovement } from '../../src/lib/catalogue';
import type { Script } from '../../src/lib/core/teach';
import type { GroupCheckIn } from '../../src/lib/core/hip-tests';
import type { Movement } from '../../src/lib/core/movement';
import { newGroup } from '../../src/lib/core/group';
import { Client, token } from './client';

export interface Attacked {
	origin: string;
	/** Signed in to the Saltmarsh Loft. */
	owner: Client;
	/** Signed in to a studio of their own. */
	stranger: Client;
	/** Signed in to nothing. */
	nobody: Client;
	/** Ids that the owner has, by the names that routes use. */
	ids: Record<
		'plan' | 'series' | 'group' | 'student' | 'template' | 'own' | 'secret' | 'led' | 'checkIn',
		string
	>;
	query<T>(sql: string): Promise<T[]>;
	stop(): Promise<void>;
}

export async function attacked(): Promise<Attacked> {
	const database = await startMariadb();
	const { origin, stop } = await serve({ port: await freePort(), demo: true, quiet: true, database });
	const connection = await mysql.createConnection({ uri: database.url, timezone: 'Z' });
	const owner = new Client(origin);
	const stranger = new Client(origin);
	await owner.form('/sign-in?/demo', {});
	await stranger.join('Tamsin Rook', 'tamsin@wick-hollow.example', 'gulls over the slipway');
	const query = async <T>(sql: string) => (await connection.query(sql))[0] as T[];
	const id = async (sql: string) => (await query<{ id: string }>(sql))[0]!.id;
	const plan = await id('select id from plan where series_id is not null order by id limit 1');
	const series = await id('select id from series order by id limit 1');
	const group = await id('select id from class_group order by id limit 1');
	const made = async (path: string, body: unknown) =>
		(await (await owner.json('POST', path, body)).json()) as { id: string; slug: string };
	const person = { name: 'Per L.', tier: 'open', cautions: [], tighterSide: null };
	const student = (await made(`/api/groups/${group}/students`, { document: person })).id;
	const checkIn = (await made(`/api/groups/${group}/check-ins`, { document: counted })).id;
	const movement: Movement = { ...findMovement('clam')!, english: 'Harbour clam' };
	const own = (await made('/api/own-movements', { document: movement })).slug;
	const [{ document }] = (await query<{ document: string }>(
		`select document from plan where id = '${plan}'`
	)) as [{ document: string }];
	const asObject = (value: unknown) => (typeof value === 'string' ? JSON.parse(value) : value) as object;
	const template = (await made('/api/templates', { plan: asObject(document) })).id;
	const link = (await (await owner.form(`/series/${series}?/link`, {})).json()) as { data: string };
	const secret = /calendar\/([\w-]+)\.ics/.exec(link.data)![1]!;
	// a class that was led from the plan
	const led = 'led-by-its-owner1';
	const pack = (await (await owner.get(`/api/teach/packs/${plan}`)).json()) as { script: Script };
	await owner.json('POST', `/api/teach/sessions/${led}`, ledFrom(plan, pack.script));
	// the stranger has something too, so that nothing is refused for want of a group
	await stranger.form('/group?/create', {
		name: newGroup('runners', 'x').name,
		preset: 'runners',
		token: token()
	});
	return {
		origin,
		owner,
		stranger,
		nobody: new Client(origin),
		ids: { plan, series, group, student, template, own, secret, led, checkIn },
		query,
		stop: async () => {
			await connection.end();
			await stop();
		}
	};
}

/** A group counted in a test. */
export const counted: GroupCheckIn = {
	kind: 'counts',
	test: 'figure-four-knee',
	moment: 'before the class',
	counts: { left: [2, 4, 3, 1], right: [1, 3, 4, 2] }
};

/** Returns a device's upload of a class that it leads. */
export const ledFrom = (planId: string, script: Script) => ({
	planId,
	startedAt: 1_795_541_400_000,
	script,
	events: [
		{
			place: 0,
			event: {
				id: 'event-0000',
				at: 1_795_541_400_000,
				monoMs: 0,
				boot: 'boot',
				do: 'start',
				plannedStartAt: 1_795_541_400_000
			}
		}
	]
});

/** The address of a route with what the owner has in its places. A new kind of place has to be named here. */
export function pathOf(route: string, ids: Attacked['ids']): string {
	const place: Record<string, string> = {
		'/plan/[id]': ids.plan,
		'/series/[id]': ids.series,
		'/group/[id]': ids.group,
		'/calendar/[secret]': `${ids.secret}.ics`,
		'/catalogue/[slug]': ids.own,
		'/catalogue/own/[slug]': ids.own,
		'/api/groups/[id]': ids.group,
		'/api/plans/[id]': ids.plan,
		'/api/series/[id]': ids.series,
		'/api/students/[id]': ids.student,
		'/api/check-ins/[id]': ids.checkIn,
		'/api/own-movements/[slug]': ids.own,
		'/api/left-out/[slug]': ids.own,
		'/api/silenced/[check]': 'calm-open',
		'/api/teach/packs/[plan]': ids.plan,
		'/api/teach/sessions/[session]': ids.led,
		'/api/teach/runs/[session]': ids.led
	};
	const bracket = /\/\[\w+\]/.exec(route);
	if (!bracket) return route;
	const known = Object.keys(place).find((prefix) => route === prefix || route.startsWith(`${prefix}/`));
	if (!known) throw new Error(`${route}: say in pathOf what stands in its place`);
	return route.replace(/\[\w+\]/, place[known]!);
}
