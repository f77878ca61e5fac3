/** Classes that were led with a device, as the server takes them: each event once, in any order, for its own studio. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startMariadb } from '../../scripts/mariadb.mjs';
import { findMovement } from '../../src/lib/catalogue';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { replay, scriptFaults, scriptOf, type RunEvent } from '../../src/lib/core/teach';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { teacher } from '../../src/lib/server/db/schema';
import { createGroup } from '../../src/lib/server/groups';
import { createPlan } from '../../src/lib/server/plans';
import { createStudio } from '../../src/lib/server/studios';
import { addToTeaching, getTeaching, teachingsOfPlan } from '../../src/lib/server/teachings';

let server: Awaited<ReturnType<typeof startMariadb>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let owner: { studioId: string; teacherId: string };
let other: { studioId: string; teacherId: string };
let planId: string;

const { plan } = DEMO_PLANS[0]!;
const script = scriptOf(plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
const START = Date.UTC(2026, 10, 24, 19, 15);
const event = (place: number, act: object): { place: number; event: RunEvent } => ({
	place,
	event: {
		id: `event-${String(place).padStart(4, '0')}`,
		at: START + place * 1000,
		monoMs: place * 1000,
		boot: 'boot',
		...act
	} as RunEvent
});
const START_EVENT = event(0, { do: 'start', plannedStartAt: START });

beforeAll(async () => {
	server = await startMariadb();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
	const studioOf = async (id: string) => {
		await db.insert(teacher).values({ id, name: id, email: `${id}@wick-hollow.example` });
		return { studioId: (await createStudio(db, id, `Loft of ${id}`, 'Europe/London')).id, teacherId: id };
	};
	owner = await studioOf('imke');
	other = await studioOf('somebody');
	const groupId = await createGroup(db, owner.studioId, DEMO_GROUPS.striders);
	planId = await createPlan(db, owner.studioId, groupId, '2026-11-24', plan);
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

const sent = (events: { place: number; event: RunEvent }[], withScript = true) => ({
	planId,
	startedAt: START,
	script: withScript ? script : null,
	events
});

describe('a class that a device led', () => {
	it('is stored with its script, and its events come back in the order of the device, each once', async () => {
		const id = 'run-in-order-0001';
		const events = [START_EVENT, ...[1, 2, 3, 4].map((place) => event(place, { do: 'next' }))];
		expect(await addToTeaching(db, owner, id, sent([events[3]!, START_EVENT]))).toBe('added');
		// the answer was lost, and all of it is sent again, in another order
		expect(await addToTeaching(db, owner, id, sent([...events].reverse(), false))).toBe('added');
		const stored = await getTeaching(db, owner.studioId, id);
		expect(stored!.events).toEqual(events.map((placed) => placed.event));
		expect(stored!.script).toEqual(script);
		expect(replay(stored!.script, stored!.events).at).toBe(4);
		expect(stored!.startedAt.getTime()).toBe(START);
	});

	it('keeps what happened first where the same event comes with something else', async () => {
		const id = 'run-said-twice-01';
		await addToTeaching(db, owner, id, sent([START_EVENT, event(1, { do: 'note', words: 'first' })]));
		await addToTeaching(db, owner, id, sent([event(1, { do: 'note', words: 'second' })]));
		const stored = await getTeaching(db, owner.studioId, id);
		expect(stored!.events.at(-1)).toMatchObject({ words: 'first' });
	});

	it('is asked for its script where it is not known', async () =>
		expect(await addToTeaching(db, owner, 'run-unknown-00001', sent([START_EVENT], false))).toBe('no class'));

	it('of two devices is kept twice', async () => {
		for (const id of ['run-on-phone-0001', 'run-on-tablet-001'])
			await addToTeaching(db, owner, id, sent([START_EVENT]));
		const ids = (await teachingsOfPlan(db, owner.studioId, planId)).map(({ id }) => id);
		expect(ids).toEqual(expect.arrayContaining(['run-on-phone-0001', 'run-on-tablet-001']));
	});

	it('is neither read nor added to by another studio', async () => {
		const id = 'run-of-imke-00001';
		await addToTeaching(db, owner, id, sent([START_EVENT]));
		expect(await getTeaching(db, other.studioId, id)).toBeNull();
		expect(await addToTeaching(db, other, id, sent([event(1, { do: 'end' })]))).toBe('no plan');
		expect(await addToTeaching(db, other, 'run-of-nobody-001', sent([START_EVENT]))).toBe('no plan');
		expect((await getTeaching(db, owner.studioId, id))!.events).toHaveLength(1);
	});
});

describe('a script that a device sends', () => {
	it('is taken as it was made, for every class of the demo', () => {
		for (const demo of DEMO_PLANS) {
			const made = scriptOf(demo.plan, DEMO_GROUPS[demo.group], findMovement, USUAL_PACE);
			expect(scriptFaults(JSON.parse(JSON.stringify(made)))).toEqual([]);
		}
	});

	it.each([
		['nothing', null],
		['no steps', { ...script, steps: [] }],
		['a step of no kind', { ...script, steps: [{ ...script.steps[0], kind: 'dance' }] }],
		['something more', { ...script, more: 1 }],
		['endless words', { ...script, title: 'x'.repeat(5000) }]
	])('is refused with %s', (_what, value) => expect(scriptFaults(value)).not.toEqual([]));
});
