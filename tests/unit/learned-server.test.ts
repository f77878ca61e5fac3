/** What classes teach of a teacher's pace, what was measured of people, and how long both are kept: over a database. */
import { spawn, type ChildProcess } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, startMariadb } from '../../scripts/mariadb.mjs';
import { addDays } from '../../src/lib/core/calendar';
import {
	groupResults,
	readLine,
	studentResults,
	type GroupCheckIn,
	type Tilt
} from '../../src/lib/core/measure';
import { learnedWords } from '../../src/lib/core/pace';
import {
	notesAsPlanned,
	overWeeks,
	satWords,
	weeksTable,
	weeksWords,
	type TaughtBefore
} from '../../src/lib/core/run';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { SEASON_WEEKS } from '../../src/lib/demo/season';
import {
	addCheckIn,
	FEWEST_TO_SHARE,
	forgetMeasured,
	groupCheckIns,
	keepsFor,
	lastKept,
	removeCheckIn,
	setKeepYears,
	studentCheckIns
} from '../../src/lib/server/check-ins';
import { readConfig } from '../../src/lib/server/config';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { membership, teacher, teaching } from '../../src/lib/server/db/schema';
import { listGroups } from '../../src/lib/server/groups';
import { groupHistory } from '../../src/lib/server/history';
import { inclinometer } from '../../src/lib/server/inclinometer';
import { createPlan, getPlan, plansOfGroup } from '../../src/lib/server/plans';
import { addRunWithoutPlan, lastUnasked, runOfPlan, saveRunOfPlan } from '../../src/lib/server/runs';
import { seedDemo } from '../../src/lib/server/seed';
import { createStudent, dataOfStudent, deleteStudent, listStudents } from '../../src/lib/server/students';
import { studioOf } from '../../src/lib/server/studios';
import { learnedSince, learnFromPlan, paceOfTeacher } from '../../src/lib/server/teachers-pace';

const NOW = new Date('2026-12-01T12:00:00Z');
let server: Awaited<ReturnType<typeof startMariadb>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let imke: { studioId: string; teacherId: string };
let tamsin: typeof imke;
const groupIds = new Map<string, string>();
const groupOf = (name: string) => groupIds.get(name)!;

beforeAll(async () => {
	server = await startMariadb();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
	await seedDemo(db, NOW, true);
	const [row] = await db.select().from(teacher);
	const studio = (await studioOf(db, row!.id))!;
	imke = { studioId: studio.id, teacherId: row!.id };
	for (const { id, group } of await listGroups(db, studio.id)) groupIds.set(group.name, id);
	// somebody who teaches in the same studio
	await db.insert(teacher).values({ id: 'tamsin', name: 'Tamsin Rook', email: 'tamsin@wick-hollow.example' });
	await db.insert(membership).values({ studioId: studio.id, teacherId: 'tamsin' });
	tamsin = { studioId: studio.id, teacherId: 'tamsin' };
}, 120_000);
afterAll(async () => {
	await handle?.pool.end();
	await server?.stop();
});

describe('the season of the demo', () => {
	it('tells of a group that is on time and gets steadier', async () => {
		const history = (await groupHistory(db, imke.studioId, groupOf('Breakwater Striders')))!;
		expect(history.rows).toHaveLength(SEASON_WEEKS);
		const over = overWeeks(history.rows, '2026-12-01');
		expect(over.onTime.times).toBeGreaterThanOrEqual(SEASON_WEEKS - 1);
		expect(over.favourites[0]!.times).toBe(SEASON_WEEKS);
		const results = groupResults(await groupCheckIns(db, imke, groupOf('Breakwater Striders')));
		const balance = results.find(({ test }) => test === 'one-leg-balance')!;
		expect(balance.change!.isTold).toBe(true);
		expect(balance.change!.difference).toBeGreaterThan(1);
		expect(results.find(({ test }) => test === 'low-lunge-upright')!.change!.isTold).toBe(false);
	});

	it('tells of one whose left side catches up', async () => {
		const counted = await groupCheckIns(db, imke, groupOf('Chalk Tuesdays'));
		expect(groupResults(counted.slice(0, 1))[0]!.behind).toBe('left');
		expect(groupResults(counted)[0]!.behind).toBeNull();
	});

	it('has taught the teacher’s pace, at which the classes ahead are exact', async () => {
		const pace = await paceOfTeacher(db, imke.teacherId);
		expect(learnedWords(pace)).toMatch(/^Learned from 8 classes, that you led with Teach/);
		expect(pace.learned!.ordinary!.figures.setUpSeconds!.ratio).toBeGreaterThan(1);
		const plans = await plansOfGroup(db, imke.studioId, groupOf('Breakwater Striders'), {
			from: 0,
			size: 20
		});
		expect(plans.filter(({ plannedOn }) => plannedOn! >= '2026-12-01').length).toBeGreaterThan(0);
	});

	it('is left out where it is not asked for, and nothing is learned then', async () => {
		const other = await startMariadb();
		await migrateDb(other.url, 'drizzle');
		const own = openDb(other.url);
		await seedDemo(own.db, NOW);
		const [row] = await own.db.select().from(teacher);
		expect(await paceOfTeacher(own.db, row!.id)).toMatchObject({ learns: false });
		await own.pool.end();
		await other.stop();
		const env = {
			DATABASE_URL: 'mysql://a:b@127.0.0.1:3306/app',
			ORIGIN: 'http://127.0.0.1:1',
			AUTH_SECRET: 'x'.repeat(32)
		};
		expect(readConfig(env).season).toBe(false);
		expect(readConfig({ ...env, ORBIT_DEMO: '1', ORBIT_SEASON: '1' })).toMatchObject({
			demo: true,
			season: true
		});
	}, 60_000);
});

describe('a pace', () => {
	it('is learned from the minutes of a class, learned anew with them, and forgotten with the class', async () => {
		const plan = DEMO_PLANS[0]!.plan;
		const id = await createPlan(db, imke.studioId, groupOf('Skiff Crew'), '2026-11-26', plan);
		await saveRunOfPlan(db, tamsin, id, 0, notesAsPlanned(4, 54), '2026-11-26');
		await learnFromPlan(db, tamsin, id);
		const learned = async () => (await paceOfTeacher(db, 'tamsin')).learned?.ordinary;
		const first = (await learned())!;
		expect(first).toMatchObject({ classes: 1, led: 0 });
		expect(first.factor).toBeGreaterThan(1.05);
		await saveRunOfPlan(db, tamsin, id, 1, notesAsPlanned(4, 45), '2026-11-26');
		await learnFromPlan(db, tamsin, id);
		expect((await learned())!.factor).toBeLessThan(first.factor);
		expect(await learnedSince(db, tamsin, id)).not.toBeNull();
		expect(await learnedSince(db, tamsin, 'no-such-plan')).toBeNull();
		// of another teacher nothing is learned by it
		expect((await paceOfTeacher(db, imke.teacherId)).learned!.ordinary!.classes).toBe(SEASON_WEEKS);
	});
});

const counts = (left: GroupCheckIn['counts']['left']): GroupCheckIn => ({
	kind: 'counts',
	test: 'figure-four-knee',
	moment: 'before the class',
	counts: { left, right: left }
});
const reading = {
	kind: 'readings' as const,
	test: 'turning-in-prone' as const,
	moment: 'before the class' as const,
	unit: 'degrees' as const,
	source: 'by hand' as const,
	readings: { left: [30], right: [31] }
};

describe('what was measured', () => {
	it('of fewer than five people is shown to the teacher alone', async () => {
		const group = groupOf('First Tide');
		await addCheckIn(db, imke, group, null, '2026-11-20', counts([1, 1, 1, 1]));
		await addCheckIn(db, imke, group, null, '2026-11-21', counts([2, 1, 1, 1]));
		expect(FEWEST_TO_SHARE).toBe(5);
		expect((await groupCheckIns(db, imke, group)).map(({ on }) => on)).toEqual(['2026-11-20', '2026-11-21']);
		expect((await groupCheckIns(db, tamsin, group)).map(({ on }) => on)).toEqual(['2026-11-21']);
	});

	it('of one person is their teacher’s alone, and is taken back in the version that was looked at', async () => {
		const group = groupOf('First Tide');
		const nell = await createStudent(db, imke, group, {
			name: 'Nell K.',
			tier: 'open',
			cautions: [],
			tighterSide: null
		});
		expect(await addCheckIn(db, tamsin, group, nell, '2026-11-20', reading)).toBeNull();
		const id = (await addCheckIn(db, imke, group, nell, '2026-11-20', reading))!;
		expect(await studentCheckIns(db, tamsin, group)).toEqual([]);
		expect(studentResults(await studentCheckIns(db, imke, group))).toHaveLength(1);
		expect(await lastKept(db, imke, group)).toEqual({ id, version: 1 });
		expect(await lastKept(db, tamsin, group)).toBeNull();
		expect(await removeCheckIn(db, tamsin, id, 1)).toBe('missing');
		expect(await removeCheckIn(db, imke, id, 2)).toBe('stale');
		expect(await removeCheckIn(db, imke, id, 1)).toBe('removed');
	});

	it('goes with the person, and their name from the notes of their teacher', async () => {
		const group = groupOf('Lamp Room');
		const person = { name: 'Per L.', tier: 'open' as const, cautions: [], tighterSide: null };
		const id = await createStudent(db, imke, group, person);
		await addCheckIn(db, imke, group, id, '2026-11-20', reading);
		const place = { title: 'At noon', on: '2026-11-20', startsAt: '12:20' };
		const note = 'Per L. sat on a chair; Per Lo did not.';
		await addRunWithoutPlan(db, imke, group, place, { ...notesAsPlanned(3, 30), note });
		expect(await dataOfStudent(db, tamsin, id)).toBeNull();
		expect(await dataOfStudent(db, imke, id)).toMatchObject({
			writtenDown: { name: 'Per L.' },
			measured: [{ on: '2026-11-20', test: 'turning-in-prone' }],
			namedIn: [{ class: 'At noon' }]
		});
		expect(await deleteStudent(db, imke, id, 1)).toBe('removed');
		expect(await dataOfStudent(db, imke, id)).toBeNull();
		expect(await studentCheckIns(db, imke, group)).toEqual([]);
		expect((await listStudents(db, imke, group)).map(({ student: { name } }) => name)).not.toContain(
			'Per L.'
		);
		const history = (await groupHistory(db, imke.studioId, group))!;
		expect(history.rows.find(({ title }) => title === 'At noon')!.run.note).toBe(
			'(removed) sat on a chair; Per Lo did not.'
		);
	});

	it('is kept as long as the studio says', async () => {
		const { version, keepYears } = await keepsFor(db, imke.studioId);
		expect(keepYears).toBe(2);
		expect(await setKeepYears(db, imke.studioId, version, 1)).toBe(true);
		expect(await setKeepYears(db, imke.studioId, version, 3)).toBe(false);
		await addCheckIn(db, imke, groupOf('First Tide'), null, '2025-11-20', counts([5, 1, 1, 1]));
		const led = async () => (await db.select().from(teaching)).length;
		const before = await led();
		await forgetMeasured(db, NOW);
		const days = (await groupCheckIns(db, imke, groupOf('First Tide'))).map(({ on }) => on);
		expect(days).not.toContain('2025-11-20');
		expect(await led()).toBe(before);
		await forgetMeasured(db, new Date(`${addDays('2026-12-01', 400)}T00:00:00Z`));
		expect(await led()).toBe(0);
		expect(await groupCheckIns(db, imke, groupOf('First Tide'))).toEqual([]);
	});
});

describe('before the next class', () => {
	it('the last one is asked after once, and only while it is remembered', async () => {
		const group = groupOf('Skiff Crew');
		const id = await createPlan(db, imke.studioId, group, '2027-02-04', DEMO_PLANS[0]!.plan);
		await saveRunOfPlan(db, imke, id, 0, notesAsPlanned(4, 45), '2027-02-04');
		const asked = (before: string, from: string) => lastUnasked(db, imke.studioId, group, before, from);
		expect((await asked('2027-02-11', '2027-01-21'))?.run.planId).toBe(id);
		expect(await asked('2027-03-11', '2027-02-18')).toBeNull();
		await saveRunOfPlan(db, imke, id, 1, { ...notesAsPlanned(4, 45), there: { clam: 'few' } }, '2027-02-04');
		expect(await asked('2027-02-11', '2027-01-21')).toBeNull();
		expect(satWords((await runOfPlan(db, imke.studioId, id))!.run, (slug) => slug.toUpperCase())).toEqual([
			'CLAM was there for few of them.'
		]);
		expect(satWords({ ...notesAsPlanned(4, 45), sore: 'nobody' }, String)).toEqual([
			'The next day nobody was sore.'
		]);
		expect(satWords(notesAsPlanned(4, 45), String)).toEqual([]);
		expect((await runOfPlan(db, imke.studioId, id))!.run.there).toEqual({ clam: 'few' });
		expect((await getPlan(db, imke.studioId, id))!.plannedOn).toBe('2027-02-04');
	});
});

describe('over weeks', () => {
	const taught = (on: string, minutes: number, leftOut: string[] = []): TaughtBefore => ({
		run: { ...notesAsPlanned(5, minutes), leftOut, planId: 'p', on, startsAt: '19:15' },
		plannedMinutes: 45,
		sides: { first: 100, second: 90 },
		planned: ['clam', 'frog']
	});
	const classes = [
		taught('2026-09-01', 45, ['frog']),
		taught('2026-09-08', 52, ['frog']),
		taught('2026-09-15', 46)
	];

	it('it is told how often it was on time, which side was short, and what was left out or forgotten', () => {
		const over = overWeeks(classes, '2026-12-01');
		expect(over).toMatchObject({
			onTime: { times: 2, of: 3 },
			secondSidePercent: -10,
			leftOut: [{ slug: 'frog', times: 2, of: 3 }],
			favourites: [{ slug: 'clam', times: 3 }],
			forgotten: [{ slug: 'clam', times: 3, weeksAgo: 11 }]
		});
		expect(weeksWords(over, (slug) => slug.toUpperCase())).toEqual([
			'2 of 3 classes ended within 2 minutes of their time.',
			'Second sides were 10 % shorter than first ones.',
			'FROG was left out 2 of 3 times.',
			'Most often given: CLAM (3).',
			'Not given for long: CLAM (11 weeks).'
		]);
		expect(weeksWords(overWeeks([], '2026-12-01'), String)).toEqual([]);
		expect(weeksTable(classes, String).table.rows[1]).toEqual(['2026-09-08', '45', '52', '5']);
	});
});

describe('the simulated inclinometer', () => {
	let device: ChildProcess;
	let port: number;
	beforeAll(async () => {
		port = await freePort();
		device = spawn(process.execPath, ['scripts/inclinometer.mjs'], {
			env: { ...process.env, INCLINOMETER_PORT: String(port), INCLINOMETER_SILENT: '900+600' }
		});
	});
	afterAll(() => device.kill('SIGTERM'));

	it('is heard over loopback, found again after it was silent, and said to be none where there is none', async () => {
		process.env.INCLINOMETER_PORT = String(port);
		const heard: string[] = [];
		const tilts: Tilt[] = [];
		const stop = inclinometer(
			'measure turning-in-prone left',
			(event, data) => {
				heard.push(event);
				const tilt = event === 'line' ? readLine(data) : null;
				if (tilt) tilts.push(tilt);
			},
			() => heard.push('ended')
		);
		await expect
			.poll(() => heard.slice(heard.indexOf('line')).includes('lost'), { timeout: 8000 })
			.toBe(true);
		const lost = heard.lastIndexOf('lost');
		await expect.poll(() => heard.slice(lost).includes('line'), { timeout: 8000 }).toBe(true);
		await expect
			.poll(() => Math.max(...tilts.map(({ degrees }) => degrees)), { timeout: 8000 })
			.toBeGreaterThan(28);
		expect(tilts.every(({ batteryPercent }) => batteryPercent === 87)).toBe(true);
		stop();
		delete process.env.INCLINOMETER_PORT;
		const none: string[] = [];
		inclinometer(
			'measure turning-in-prone left',
			(event) => none.push(event),
			() => none.push('ended')
		);
		expect(none).toEqual(['none', 'ended']);
	}, 30_000);
});
