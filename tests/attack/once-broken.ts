/** Sends a running server the inputs that once destroyed records or stopped it: each must stay harmless. */
import { emptyPlan } from '../../src/lib/core/plan';
import { notesAsPlanned } from '../../src/lib/core/record';
import type { Script } from '../../src/lib/core/teach';
import { token } from './client';
import { ledFrom, type Attacked } from './setting';

/** Other requests wait no longer than this while a hostile one is worked out; shared machines are slow. */
const MOST_WAIT_MS = 15_000;

export async function onceBroken(at: Attacked): Promise<{ asked: number; wrong: string[] }> {
	const { owner, ids, nobody } = at;
	const wrong: string[] = [];
	let asked = 0;
	const expects = (what: string, given: unknown, allowed: readonly unknown[]) => {
		asked += 1;
		if (!allowed.includes(given)) wrong.push(`${what}: ${String(given)}`);
	};
	const status = async (what: string, answer: Promise<Response>, allowed: readonly number[]) =>
		expects(what, (await answer).status, allowed);

	// values that are missing, of another kind, or named like a property of every object
	const run = `/api/plans/${ids.plan}/record`;
	await status('notes without a document', owner.json('PUT', run, { version: 0 }), [422]);
	await status(
		'a class without a plan and without notes',
		owner.json('POST', `/api/groups/${ids.group}/records`, {
			title: 'x',
			on: '2026-11-20',
			startsAt: '18:00'
		}),
		[422]
	);
	await status('a version that is an object', owner.json('DELETE', run, { version: { toString: 1 } }), [400]);
	for (const [path, who] of [
		['/group?/create', owner],
		['/sign-in?/enter', nobody],
		['/sign-up', nobody]
	] as const)
		await status(`${path} with a field called toString`, who.form(path, { toString: 'x' } as never), [400]);

	// a token that is used again
	const again = { 'idempotency-key': token() };
	const students = `/api/groups/${ids.group}/students`;
	const person = (name: string) => ({
		document: { name, tier: 'open', cautions: [], tighterSide: null }
	});
	await status('a new token', owner.json('POST', students, person('Ada K.'), again), [201]);
	await status('the same again', owner.json('POST', students, person('Ada K.'), again), [201]);
	await status('a token with something else', owner.json('POST', students, person('Oda F.'), again), [409]);

	// two saves of kit at once
	const kit = async () => {
		const sent = { version: await kitVersion(at), document: { block: 9 } };
		return Promise.all(Array.from({ length: 6 }, () => owner.json('PUT', '/api/studio/kit', sent)));
	};
	for (let round = 0; round < 5; round++)
		for (const { status: code } of await kit()) expects('kit saved by several at once', code, [200, 409]);

	// a class that is led: twice at once, with a wrong clock, with one bad event, with thousands
	const pack = (await (await owner.get(`/api/teach/packs/${ids.plan}`)).json()) as { script: Script };
	const led = ledFrom(ids.plan, pack.script);
	const path = (name: string) => `/api/teach/sessions/${name}`;
	const first = await Promise.all(
		Array.from({ length: 6 }, () => owner.json('POST', path('attack-first-many1'), led))
	);
	for (const { status: code } of first) expects('a first message that comes six times at once', code, [200]);
	for (const year of [1970, 2023, 9999]) {
		const name = `attack-in-year-${year}`;
		const moment = Date.UTC(year, 5, 1, 12);
		const sent = { ...led, startedAt: moment, at: moment };
		await status(`a clock in ${year}`, owner.json('POST', path(name), sent), [200]);
		const { startedAt } = (await (await owner.get(path(name))).json()) as { startedAt: string };
		expects(`a clock in ${year} is put right`, new Date(startedAt).getTime() > Date.now() - 3600_000, [true]);
	}
	const event = led.events[0]!.event;
	const bad = { ...led, events: [...led.events, { place: 1, event: { ...event, do: 'dance' } }] };
	const partly = await owner.json('POST', path('attack-one-bad-one'), bad);
	const { refused } = (await partly.json()) as { refused: { index: number }[] };
	expects('one bad event', `${partly.status} ${refused.map(({ index }) => index).join()}`, ['200 1']);
	const thousands = Array.from({ length: 4990 }, (_, i) => ({
		place: i + 1,
		event: { ...event, id: `alternating-${i}`, monoMs: 1000 * (i + 1), do: i % 2 ? 'back' : 'end' }
	}));
	const from = Date.now();
	const walked = owner.json('POST', path('attack-end-and-back'), {
		...led,
		over: true,
		events: [...led.events, ...thousands]
	});
	await status('others meanwhile', owner.get('/group'), [200]);
	expects('how long others waited', Date.now() - from < MOST_WAIT_MS, [true]);
	await status('thousands of ends and backs', walked, [200]);

	// larger than any document
	const items = Array.from({ length: 24 }, (_, i) => ({ kind: 'item', id: `i${i}` }));
	const blocks = Array.from({ length: 1000 }, (_, i) => ({ kind: 'chain', id: `c${i}`, items }));
	const large = {
		...emptyPlan('Large', '18:30', 3600),
		sections: [{ id: 's', kind: 'build', blocks }]
	};
	const sentAt = Date.now();
	const all = Promise.all(
		Array.from({ length: 4 }, () => owner.json('POST', '/api/plans', { groupId: ids.group, plan: large }))
	);
	await status('others meanwhile', owner.get('/group'), [200]);
	expects('how long others waited', Date.now() - sentAt < MOST_WAIT_MS, [true]);
	for (const { status: code } of await all) expects('a document that is too large', code, [422]);

	// a name that is a part of other words
	const group = `/api/groups/${ids.group}`;
	const { id } = (await (await owner.json('POST', students, person('An'))).json()) as { id: string };
	const note = 'An anterior tilt; Ana and Annika stood.';
	await owner.json('POST', `${group}/records`, {
		title: 'Of others',
		on: '2026-11-20',
		startsAt: '18:00',
		document: { ...notesAsPlanned(3, 30), note }
	});
	await status('somebody removed', owner.json('DELETE', `/api/students/${id}`, { version: 1 }), [204]);
	const table = await (await owner.get(`/group/${ids.group}/taught/file`)).text();
	expects('notes of others', table.includes(note), [true]);

	// too many that listen
	const listening = await Promise.all(Array.from({ length: 25 }, () => owner.get('/api/teach/room')));
	const codes = listening.map((answer) => answer.status);
	await Promise.all(listening.map((answer) => answer.body?.cancel()));
	expects(
		'rooms that listen',
		codes.every((code) => code === 200 || code === 503),
		[true]
	);
	return { asked, wrong };
}

async function kitVersion(at: Attacked): Promise<number> {
	const [row] = await at.query<{ version: number }>(
		"select version from studio where name = 'Saltmarsh Loft'"
	);
	return row!.version;
}
