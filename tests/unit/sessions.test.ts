/** Classes that were led with a device, as the server takes them: each event once, in any order, for its own studio. */
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { replay, scriptFaults, scriptOf, type SessionEvent } from '../../src/lib/core/teach';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { teacher } from '../../src/lib/server/db/schema';
import { createGroup } from '../../src/lib/server/group/groups';
import { createPlan, getPlan, removePlan } from '../../src/lib/server/plan/plans';
import { slugsOf } from '../../src/lib/core/plan';
import { createStudio } from '../../src/lib/server/studio/studios';
import { newListener, RoomFeed } from '../../src/lib/server/record/room-feed';
import { groupHistory } from '../../src/lib/server/record/history';
import { forgetMeasured, groupCheckIns } from '../../src/lib/server/group/check-ins';
import { keepCountsOfClass } from '../../src/lib/server/plan/counts-of-class';
import { metBefore, recordOfPlan, saveRecordOfPlan } from '../../src/lib/server/record/records';
import { workHere } from '../../src/lib/server/compute/tasks';
import {
	addToSession,
	beganOf,
	getTeachingSession,
	othersOnClass,
	setOver,
	sessionsOfPlan,
	ledFromPlan,
	writeDownEnded
} from '../../src/lib/server/record/sessions';
import { freshDatabase } from './database';

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let owner: { studioId: string; teacherId: string };
let other: { studioId: string; teacherId: string };
let planId: string;

const { plan } = DEMO_PLANS[0]!;
const script = scriptOf(plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
const START = Date.UTC(2026, 10, 24, 19, 15);
const event = (place: number, act: object): { place: number; event: SessionEvent } => ({
	place,
	event: {
		id: `event-${String(place).padStart(4, '0')}`,
		at: START + place * 1000,
		monoMs: place * 1000,
		boot: 'boot',
		...act
	} as SessionEvent
});
const START_EVENT = event(0, { do: 'start', plannedStartAt: START });

beforeAll(async () => {
	server = await freshDatabase();
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

const sent = (events: { place: number; event: SessionEvent }[], withScript = true) => ({
	planId,
	groupId: null,
	startedAt: START,
	script: withScript ? script : null,
	at: Date.now() + 7000,
	events
});

describe('a class that a device led', () => {
	it('is stored with its script, and its events come back in the order of the device, each once', async () => {
		const id = 'run-in-order-0001';
		const events = [START_EVENT, ...[1, 2, 3, 4].map((place) => event(place, { do: 'next' }))];
		expect(await addToSession(db, owner, id, sent([events[3]!, START_EVENT]))).toEqual({ kind: 'added' });
		// the answer was lost, and all of it is sent again, in another order
		expect(await addToSession(db, owner, id, sent([...events].reverse(), false))).toEqual({ kind: 'added' });
		const stored = await getTeachingSession(db, owner.studioId, id);
		expect(stored!.events).toEqual(events.map((placed) => placed.event));
		expect(stored!.script).toEqual(script);
		expect(replay(stored!.script, stored!.events).at).toBe(4);
		expect(stored!.startedAt.getTime()).toBe(START);
	});

	it('keeps what happened first where the same event comes with something else', async () => {
		const id = 'run-said-twice-01';
		await addToSession(db, owner, id, sent([START_EVENT, event(1, { do: 'note', words: 'first' })]));
		await addToSession(db, owner, id, sent([event(1, { do: 'note', words: 'second' })]));
		const stored = await getTeachingSession(db, owner.studioId, id);
		expect(stored!.events.at(-1)).toMatchObject({ words: 'first' });
	});

	it('is asked for its script where it is not known', async () =>
		expect(await addToSession(db, owner, 'run-unknown-00001', sent([START_EVENT], false))).toEqual({
			kind: 'no class'
		}));

	it('of two devices is kept twice', async () => {
		for (const id of ['run-on-phone-0001', 'run-on-tablet-001'])
			await addToSession(db, owner, id, sent([START_EVENT]));
		const ids = (await sessionsOfPlan(db, owner.studioId, planId)).map(({ id }) => id);
		expect(ids).toEqual(expect.arrayContaining(['run-on-phone-0001', 'run-on-tablet-001']));
	});

	it('is neither read nor added to by another studio', async () => {
		const id = 'run-of-imke-00001';
		await addToSession(db, owner, id, sent([START_EVENT]));
		expect(await getTeachingSession(db, other.studioId, id)).toBeNull();
		expect(await addToSession(db, other, id, sent([event(1, { do: 'end' })]))).toEqual({ kind: 'no plan' });
		expect(await addToSession(db, other, 'run-of-nobody-001', sent([START_EVENT]))).toEqual({
			kind: 'no plan'
		});
		expect((await getTeachingSession(db, owner.studioId, id))!.events).toHaveLength(1);
	});
});

describe('a group that was counted while its class was led', () => {
	const count = (n: number) => ({
		do: 'count',
		test: 'leg-roll',
		moment: 'before the class',
		counts: { left: [n, 6, 2, 0], right: [0, 0, 0, 0] }
	});
	const kept = async () => {
		const { groupId } = (await getTeachingSession(db, owner.studioId, 'run-counted-00001'))!;
		return groupCheckIns(db, owner, groupId);
	};

	it('is a check-in of the day of the class; counted anew, it takes the place of that', async () => {
		const id = 'run-counted-00001';
		await addToSession(db, owner, id, sent([START_EVENT, event(1, count(3))]));
		for (let times = 0; times < 2; times++) await keepCountsOfClass(db, owner, id, 'Europe/London', workHere);
		const [first, ...others] = await kept();
		expect(others).toEqual([]);
		expect(first).toMatchObject({
			on: '2026-11-24',
			version: 1,
			studentId: null,
			checkIn: {
				kind: 'counts',
				test: 'leg-roll',
				moment: 'before the class',
				counts: { left: [3, 6, 2, 0], right: [0, 0, 0, 0] }
			}
		});
		// the earlier counts arrive later, as from a device that was long without a network
		await addToSession(db, owner, id, sent([event(3, count(1))], false));
		await keepCountsOfClass(db, owner, id, 'Europe/London', workHere);
		await addToSession(db, owner, id, sent([event(2, count(9))], false));
		await keepCountsOfClass(db, owner, id, 'Europe/London', workHere);
		const [again, ...more] = await kept();
		expect(more).toEqual([]);
		expect(again).toMatchObject({
			id: first!.id,
			version: 2,
			checkIn: { counts: { left: [1, 6, 2, 0] } }
		});
	});

	it('is none of another studio', async () => {
		await keepCountsOfClass(db, other, 'run-counted-00001', 'Europe/London', workHere);
		const { groupId } = (await getTeachingSession(db, owner.studioId, 'run-counted-00001'))!;
		expect(await groupCheckIns(db, other, groupId)).toEqual([]);
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

describe('the room on another device of the studio', () => {
	const draw = () => Promise.resolve({});
	let feed = new RoomFeed(db);
	/** Returns the news of one second later: the feed continues from its cursor. */
	const freshNews = (...args: Parameters<RoomFeed['news']>) => {
		vi.setSystemTime(Date.now() + 1000);
		return feed.news(...args);
	};
	beforeAll(() => {
		vi.useFakeTimers({ toFake: ['Date'] });
		feed = new RoomFeed(db);
	});
	afterAll(() => void vi.useRealTimers());

	it('is read once for all who listen at a moment, and of it only what came since', async () => {
		const id = 'run-for-many-room-1';
		await addToSession(db, owner, id, { ...sent([START_EVENT]), startedAt: Date.now() - 3600_000 });
		const log: string[] = [];
		const counting = openDb(server.url, 4);
		counting.pool.pool.on('acquire', () => log.push('query'));
		const shared = new RoomFeed(counting.db);
		const listeners = Array.from({ length: 80 }, () => newListener(id));
		const first = await Promise.all(listeners.map((one) => shared.news(owner.studioId, one, draw)));
		expect(first.every(({ following, events }) => following === id && events.length === 1)).toBe(true);
		const before = log.length;
		expect(before).toBeLessThan(40);
		await Promise.all(listeners.map((one) => shared.news(owner.studioId, one, draw)));
		expect(log.length).toBe(before);
		await counting.pool.end();
	});

	it('is told of the class that began last, once with its script, and then only what is new', async () => {
		const id = 'run-for-the-room-1';
		const later = { ...sent([START_EVENT]), startedAt: Date.now() - 60_000 };
		await addToSession(db, owner, id, later);
		const listener = newListener(null);
		const first = await freshNews(owner.studioId, listener, draw);
		expect(first.following).toBe(id);
		expect(first.script!.steps.map((step) => step.id)).toEqual(script.steps.map((step) => step.id));
		expect(first.events.map(({ do: act }) => act)).toEqual(['start']);
		// the clock of the device is seven seconds ahead
		expect(Math.abs(first.aheadMs - 7000)).toBeLessThan(1000);
		await addToSession(db, owner, id, { ...later, events: [event(1, { do: 'next' })] });
		const second = await freshNews(owner.studioId, listener, draw);
		expect(second.script).toBeNull();
		expect(second.events.map(({ do: act }) => act)).toEqual(['next']);
	});

	it('hears no word about persons: nothing that is said, no counts, no note', async () => {
		const id = 'run-with-people-1';
		const here = {
			tiers: { tight: 3, middling: 1, open: 0 },
			cautions: [{ caution: 'sore knee', people: 2 }]
		};
		await addToSession(db, owner, id, {
			...sent([START_EVENT, event(1, { do: 'here', here }), event(2, { do: 'note', words: 'her knee' })]),
			startedAt: Date.now() - 30_000
		});
		const news = await freshNews(owner.studioId, newListener(id), draw);
		expect(news.following).toBe(id);
		expect(news.events.map(({ do: act }) => act)).toEqual(['start']);
		expect(script.steps.some(({ people }) => people.length > 0)).toBe(true);
		for (const step of news.script!.steps) expect([...step.people, ...step.say, ...step.kit]).toEqual([]);
		expect(JSON.stringify(news)).not.toMatch(/sore knee|her knee/);
	});

	it('is not told of a class that nobody ended days ago, whenever the device sends it', async () => {
		const id = 'run-left-for-good-1';
		await addToSession(db, owner, id, { ...sent([START_EVENT]), startedAt: Date.now() - 7 * 3600_000 });
		const news = await freshNews(owner.studioId, newListener(id), draw);
		expect(news.following).not.toBe(id);
		expect(news.classes.map((c) => c.id)).not.toContain(id);
	});

	it('hears nothing of another studio', async () => {
		const news = await freshNews(other.studioId, newListener('run-for-the-room-1'), draw);
		expect(news).toMatchObject({ classes: [], following: null, script: null, events: [] });
	});
});

describe('a class whose device or plan is not what it was', () => {
	const ended = [START_EVENT, event(2640, { do: 'end' })];
	const groupOf = async () => (await getPlan(db, owner.studioId, planId))!.groupId;

	it('is written down whatever became of its plan while it was taught', async () => {
		const removedFirst = await createPlan(db, owner.studioId, await groupOf(), '2026-11-26', plan);
		await removePlan(db, owner.studioId, removedFirst, 1);
		const id = 'run-plan-removed-1';
		expect(await addToSession(db, owner, id, { ...sent(ended), planId: removedFirst })).toEqual({
			kind: 'added'
		});
		expect(await writeDownEnded(db, owner, id, '2026-11-26', workHere)).toBe(removedFirst);
		const run = (await recordOfPlan(db, owner.studioId, removedFirst))!;
		expect(run).toMatchObject({ groupId: await groupOf(), run: { minutes: 44, on: '2026-11-26' } });
		const known = await metBefore(db, owner.studioId, run.groupId, '2026-11-27', '2026-11-01');
		expect(known.known.slugs).toEqual(expect.arrayContaining(slugsOf(plan)));
		// its plan was never here: the device says of which group it is
		const unknown = { ...sent(ended), planId: 'a-plan-of-nobody' };
		expect(await addToSession(db, owner, 'run-plan-unknown-1', unknown)).toEqual({ kind: 'no plan' });
		const named = { ...unknown, groupId: await groupOf() };
		expect(await addToSession(db, other, 'run-plan-unknown-1', named)).toEqual({ kind: 'no plan' });
		expect(await addToSession(db, owner, 'run-plan-unknown-1', named)).toEqual({ kind: 'added' });
		expect(await writeDownEnded(db, owner, 'run-plan-unknown-1', '2026-11-27', workHere)).toBe(
			'a-plan-of-nobody'
		);
		expect((await recordOfPlan(db, owner.studioId, 'a-plan-of-nobody'))!.run.on).toBe('2026-11-27');
	});

	it('whose clock stands in another year is put right, and its own time is kept beside', async () => {
		const now = Date.now();
		const led = async (id: string, startedAt: number, at: number) => {
			await addToSession(db, owner, id, { ...sent(ended), startedAt, at });
			return (await beganOf(db, owner.studioId, id))!;
		};
		const right = await led('run-clock-right-01', now - 3600_000, now);
		expect([right.startedAt.getTime(), right.deviceStartedAt]).toEqual([now - 3600_000, null]);
		for (const [id, year] of [
			['run-clock-1970-001', 1970],
			['run-clock-2023-001', 2023],
			['run-clock-9999-001', 9999]
		] as const) {
			const device = Date.UTC(year, 5, 1, 12);
			const began = await led(id, device, device + 3600_000);
			expect(Math.abs(began.startedAt.getTime() - (now - 3600_000))).toBeLessThan(60_000);
			expect(began.deviceStartedAt!.getTime()).toBe(device);
		}
		// the clock was put right between the class and its sending
		const late = await led('run-clock-mended-1', Date.UTC(1970, 5, 1), now);
		expect(Math.abs(late.startedAt.getTime() - (now - 2_640_000))).toBeLessThan(60_000);
		await forgetMeasured(db, new Date(now));
		expect(await beganOf(db, owner.studioId, 'run-clock-1970-001')).not.toBeNull();
	});

	it('is one class when its first message comes many times at once', async () => {
		const id = 'run-many-at-once-1';
		const added = await Promise.all(
			Array.from({ length: 8 }, () => addToSession(db, owner, id, sent(ended)))
		);
		expect(added).toEqual(added.map(() => ({ kind: 'added' })));
		expect((await getTeachingSession(db, owner.studioId, id))!.events).toHaveLength(2);
	});

	it('has its events in the order of the device, whatever their ids', async () => {
		const id = 'run-ids-of-chance-1';
		const named = (place: number, name: string, act: object) => ({
			place,
			event: { ...event(place, act).event, id: `${name}-of-chance` }
		});
		const events = [named(2, 'a-last', { do: 'end' }), named(0, 'z-first', START_EVENT.event)];
		await addToSession(db, owner, id, {
			...sent([...events, named(1, 'm-second', { do: 'next' })])
		});
		const stored = (await getTeachingSession(db, owner.studioId, id))!;
		expect(stored.events.map(({ monoMs }) => monoMs)).toEqual([0, 1000, 2000]);
	});

	it('holds a class of three hours, and no more than any class has', async () => {
		const id = 'run-three-hours-01';
		const many = (from: number, count: number) =>
			Array.from({ length: count }, (_, i) => event(from + i, { do: 'next' }));
		await addToSession(db, owner, id, sent([START_EVENT]));
		for (let from = 1; from < 12_000; from += 4000)
			expect(await addToSession(db, owner, id, sent(many(from, 4000), false))).toEqual({ kind: 'added' });
		for (let from = 12_001; from < 24_000; from += 4000)
			await addToSession(db, owner, id, sent(many(from, 4000), false));
		expect(await addToSession(db, owner, id, sent(many(24_001, 4000), false))).toEqual({
			kind: 'too many'
		});
	});

	it('is told of other devices that lead it now, and not of those that are done', async () => {
		const made = await createPlan(db, owner.studioId, await groupOf(), '2026-12-01', plan);
		const led = (id: string) =>
			addToSession(db, owner, id, { ...sent([START_EVENT]), planId: made, startedAt: Date.now() });
		for (const id of ['run-device-one-001', 'run-device-two-001', 'run-device-three-1']) await led(id);
		await setOver(db, owner.studioId, 'run-device-three-1', true);
		const others = (studio: string, at = Date.now()) =>
			othersOnClass(db, studio, made, 'run-device-one-001', new Date(at));
		expect(await others(owner.studioId)).toHaveLength(1);
		expect(await others(other.studioId)).toEqual([]);
		expect(await others(owner.studioId, Date.now() + 120_000)).toEqual([]);
	});

	it('that was handed over to another device is not written down from this one', async () => {
		const made = await createPlan(db, owner.studioId, await groupOf(), '2026-12-02', plan);
		const id = 'run-handed-over-01';
		const handed = [START_EVENT, event(1500, { do: 'hand over' })];
		await addToSession(db, owner, id, { ...sent(handed), planId: made });
		expect(await writeDownEnded(db, owner, id, '2026-12-02', workHere)).toBeNull();
	});
});

describe('a class that was led to its end', () => {
	const endedAfter = (place: number) => event(place, { do: 'end' });

	it('is written down as taught by itself, once, and not where it was a false start', async () => {
		const today = '2026-11-30';
		await addToSession(db, owner, 'run-false-start-1', sent([START_EVENT, endedAfter(20)]));
		await writeDownEnded(db, owner, 'run-false-start-1', today, workHere);
		expect(await recordOfPlan(db, owner.studioId, planId)).toBeNull();
		await addToSession(db, owner, 'run-to-the-end-01', sent([START_EVENT, endedAfter(2640)]));
		await writeDownEnded(db, owner, 'run-to-the-end-01', today, workHere);
		const run = await recordOfPlan(db, owner.studioId, planId);
		expect(run).toMatchObject({ version: 1, run: { minutes: 44, effort: null, on: '2026-11-24' } });
		await addToSession(db, owner, 'run-to-the-end-02', sent([START_EVENT, endedAfter(3000)]));
		await writeDownEnded(db, owner, 'run-to-the-end-02', today, workHere);
		expect((await recordOfPlan(db, owner.studioId, planId))!.run.minutes).toBe(44);
		const led = await ledFromPlan(db, owner.studioId, planId, workHere);
		expect(led.filter(({ stored }) => stored.id.startsWith('run-to-the-end'))).toHaveLength(2);
		const history = await groupHistory(db, owner, run!.groupId);
		expect(history!.rows.filter((row) => row.planId === planId)).toMatchObject([{ title: plan.title }]);
		expect(await groupHistory(db, other, run!.groupId)).toBeNull();
		expect(await ledFromPlan(db, other.studioId, planId, workHere)).toEqual([]);
	});

	it('follows the class when its end was taken back and it went on, but not over what somebody wrote', async () => {
		const today = '2026-11-30';
		const { groupId } = (await getTeachingSession(db, owner.studioId, 'run-to-the-end-01'))!;
		const plans = [];
		for (const id of ['run-ended-twice-1', 'run-ended-twice-2']) {
			const made = await createPlan(db, owner.studioId, groupId, '2026-12-01', plan);
			plans.push(made);
			await addToSession(db, owner, id, { ...sent([START_EVENT, endedAfter(2640)]), planId: made });
			expect(await writeDownEnded(db, owner, id, today, workHere)).toBe(made);
			expect(await writeDownEnded(db, owner, id, today, workHere)).toBeNull();
		}
		const [first, second] = plans;
		const written = (await recordOfPlan(db, owner.studioId, second!))!;
		const { planId: _plan, on: _on, startsAt: _at, ...notes } = written.run;
		await saveRecordOfPlan(db, owner, second!, written.version, { ...notes, note: 'A fire alarm' }, today);
		const goesOn = [event(2641, { do: 'back' }), endedAfter(3000)];
		for (const [id, made] of [
			['run-ended-twice-1', first!],
			['run-ended-twice-2', second!]
		] as const)
			await addToSession(db, owner, id, { ...sent(goesOn, false), planId: made });
		expect(await writeDownEnded(db, owner, 'run-ended-twice-1', today, workHere)).toBe(first);
		expect(await writeDownEnded(db, owner, 'run-ended-twice-2', today, workHere)).toBeNull();
		expect((await recordOfPlan(db, owner.studioId, first!))!.run.minutes).toBe(50);
		expect((await recordOfPlan(db, owner.studioId, second!))!.run).toMatchObject({
			minutes: 44,
			note: 'A fire alarm'
		});
	});
});
