/** Upload of a led class, and the device's reaction to each answer. */
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DeviceStore, type KeptSession } from '../../src/lib/client/teach/device-store';
import { uploadUnsentSessions } from '../../src/lib/client/teach/upload-unsent';
import { upload } from '../../src/lib/client/teach/upload';
import type { SessionEvent, TeachPack } from '../../src/lib/core/teach';

const PACK = {
	planId: 'plan-of-the-class',
	groupId: 'the-group',
	script: { steps: [] }
} as unknown as TeachPack;
const event = (place: number): SessionEvent => ({
	id: `event-${place}`,
	at: 1000 * place,
	monoMs: 1000 * place,
	boot: 'boot',
	do: 'next'
});
const taken = { refused: [], clock: null, others: [] };

let store: DeviceStore;
let run: KeptSession;
let runs = 0;
let sent: { over: boolean; script: unknown; groupId: string; events: { place: number }[] }[];

/** Answers each request in turn; after the last as that one. */
function serverAnswers(...answers: (Response | Error)[]): void {
	vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
		sent.push(JSON.parse(String(init.body)));
		const answer = answers.length > 1 ? answers.shift()! : answers[0]!;
		return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer.clone());
	});
}
const says = (status: number, body: object = taken) => new Response(JSON.stringify(body), { status });

beforeEach(async () => {
	store = await DeviceStore.open();
	sent = [];
	run = {
		id: `run-to-upload-${++runs}`,
		owner: 'imke',
		pack: PACK,
		startedAt: Date.now(),
		known: false,
		over: false
	};
	await store.putRun(run);
	for (let place = 0; place < 3; place++) await store.add(run.id, place, event(place));
});
afterEach(async () => {
	await store.drop(run.id);
	store.close();
	vi.unstubAllGlobals();
});

describe('a class that is sent', () => {
	it('goes with its script and group the first time, and then only what is new', async () => {
		serverAnswers(says(200));
		expect((await upload(store, run)).upload).toBe('all sent');
		expect(sent[0]).toMatchObject({ script: PACK.script, groupId: 'the-group', over: false });
		expect(sent[0]!.events.map(({ place }) => place)).toEqual([0, 1, 2]);
		expect([run.known, await store.unsent(run.id)]).toEqual([true, []]);
		expect((await upload(store, run)).upload).toBe('all sent');
		expect(sent).toHaveLength(1);
		await store.add(run.id, 3, event(3));
		await upload(store, run);
		expect(sent[1]).toMatchObject({ script: null, events: [{ place: 3 }] });
		await upload(store, run, true);
		expect(sent[2]).toMatchObject({ script: null, events: [] });
	});

	it('goes in parts where there is much, and is over only with the last', async () => {
		for (let place = 3; place < 2500; place++) await store.add(run.id, place, event(place));
		run.over = true;
		serverAnswers(says(200));
		expect((await upload(store, run)).upload).toBe('all sent');
		expect(sent.map(({ events, over }) => [events.length, over])).toEqual([
			[1000, false],
			[1000, false],
			[500, true]
		]);
		expect(sent.map(({ script }) => script !== null)).toEqual([true, false, false]);
	});

	it('is told what was not taken, of other devices and of its clock, and sends nothing of it again', async () => {
		const received = {
			refused: [{ index: 1, faults: [{ message: 'an event is one of ...' }] }],
			clock: 'Tuesday 1 December, 19:15',
			others: ['Tuesday 1 December, 19:16']
		};
		serverAnswers(says(200, received));
		expect((await upload(store, run)).received).toEqual(received);
		expect(await store.unsent(run.id)).toEqual([]);
	});

	it.each([
		['no line', new Error('no line'), 'waits', ''],
		['a server that is away', says(503, { message: 'away' }), 'waits', ''],
		['too many at once', says(429), 'waits', ''],
		['nobody signed in', says(401, { message: 'Sign in first.' }), 'signed out', ''],
		[
			'another studio',
			says(404, { message: 'There is nothing at this address.' }),
			'refused',
			'nothing at this'
		],
		['faults', says(422, { faults: [{ path: 'script', message: 'no steps' }] }), 'refused', 'no steps']
	] as const)('that meets %s stays on the device', async (_what, answer, becomes, why) => {
		serverAnswers(answer);
		const sending = await upload(store, run);
		expect(sending.upload).toBe(becomes);
		expect(sending.why).toContain(why);
		expect(await store.unsent(run.id)).toHaveLength(3);
		expect(run.known).toBe(false);
	});

	it('that the server has lost is sent whole the next time, and refused for good where it never was known', async () => {
		serverAnswers(says(200));
		await upload(store, run);
		await store.add(run.id, 3, event(3));
		serverAnswers(says(409, { message: 'its script must come along' }), says(200));
		expect((await upload(store, run)).upload).toBe('waits');
		expect(run.known).toBe(false);
		expect((await upload(store, run)).upload).toBe('all sent');
		expect(sent.at(-1)).toMatchObject({ script: PACK.script });
		run.known = false;
		await store.add(run.id, 4, event(4));
		serverAnswers(says(409));
		expect((await upload(store, run)).upload).toBe('refused');
	});
});

describe('what earlier classes left on the device', () => {
	it('is sent and taken out, but for a class that goes on and what is another teacher’s', async () => {
		run.over = true;
		await store.putRun(run);
		const others = [
			{ ...run, id: `${run.id}-goes-on`, over: false },
			{ ...run, id: `${run.id}-of-tamsin`, owner: 'tamsin' }
		];
		for (const other of others) await store.putRun(other);
		serverAnswers(says(503));
		expect(await uploadUnsentSessions(store, 'imke')).toBe(1);
		serverAnswers(says(200));
		expect(await uploadUnsentSessions(store, 'imke')).toBe(0);
		const left = (await store.runs()).map(({ id }) => id);
		expect(left.sort()).toEqual(others.map(({ id }) => id).sort());
		for (const { id } of others) await store.drop(id);
	});
});
