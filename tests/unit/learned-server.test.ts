/** Learned pace, measurements of people, and how long both are kept: over a database. */
import { spawn, type ChildProcess } from 'node:child_process';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../../scripts/mariadb.mjs';
import { addDays } from '../../src/lib/core/calendar';
import { groupResults, studentResults } from '../../src/lib/core/measure';
import { readInclinometerLine, type GroupCheckIn, type Tilt } from '../../src/lib/core/hip-tests';
import { learnedWords } from '../../src/lib/core/pace';
import {
	notesAsPlanned,
	overWeeks,
	feedbackText,
	weeksTable,
	weeksWords,
	type TaughtBefore
} from '../../src/lib/core/record';
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
} from '../../src/lib/server/group/check-ins';
import { readConfig } from '../../src/lib/server/start/config';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { checkIn, membership, teacher, teachingSession } from '../../src/lib/server/db/schema';
import { listGroups } from '../../src/lib/server/group/groups';
import { groupHistory, lastTaught } from '../../src/lib/server/record/history';
import { inclinometer } from '../../src/lib/server/record/inclinometer';
import { createPlan, getPlan, plansOfGroup } from '../../src/lib/server/plan/plans';
import {
	addRecordWithoutPlan,
	lastRecordWithoutFeedback,
	recordOfPlan,
	saveRecordOfPlan
} from '../../src/lib/server/record/records';
import { seedDemo } from '../../src/lib/server/start/seed';
import { workHere } from '../../src/lib/server/compute/tasks';
import {
	createStudent,
	dataOfStudent,
	forgetStudents,
	listStudents,
	notesThatName,
	removedStudents,
	removeStudent,
	restoreStudent,
	takeNameOut
} from '../../src/lib/server/group/students';
import { studioOf } from '../../src/lib/server/studio/studios';
import { learnedSince, learnFromPlan, paceOfTeacher } from '../../src/lib/server/record/teachers-pace';
import { freshDatabase } from './database';

const NOW = new Date('2026-12-01T12:00:00Z');
let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let imke: { studioId: string; teacherId: string };
let tamsin: typeof imke;
const groupIds = new Map<string, string>();
const groupOf = (name: string) => groupIds.get(name)!;

beforeAll(async () => {
	server = await freshDatabase();
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
		const history = (await groupHistory(db, imke, groupOf('Breakwater Striders')))!;
		const lately = await lastTaught(db, imke.studioId, groupOf('Breakwater Striders'), 30);
		expect(history.rows).toHaveLength(SEASON_WEEKS);
		const over = overWeeks(lately, '2026-12-01');
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
		const other = await freshDatabase();
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
		await saveRecordOfPlan(db, tamsin, id, 0, notesAsPlanned(4, 54), '2026-11-26');
		await learnFromPlan(db, tamsin, id, workHere);
		const learned = async () => (await paceOfTeacher(db, 'tamsin')).learned?.ordinary;
		const first = (await learned())!;
		expect(first).toMatchObject({ classes: 1, led: 0 });
		expect(first.factor).toBeGreaterThan(1.05);
		await saveRecordOfPlan(db, tamsin, id, 1, notesAsPlanned(4, 45), '2026-11-26');
		await learnFromPlan(db, tamsin, id, workHere);
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

const personCalled = (name: string) => ({ name, tier: 'open' as const, cautions: [], tighterSide: null });

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

	it('goes with the person after a week, and until then they can be brought back with all of it', async () => {
		const group = groupOf('Lamp Room');
		const id = await createStudent(db, imke, group, personCalled('Per L.'));
		await addCheckIn(db, imke, group, id, '2026-11-20', reading);
		expect(await removeStudent(db, imke, id, 1)).toBe('removed');
		expect(await dataOfStudent(db, imke, id)).toBeNull();
		expect(await studentCheckIns(db, imke, group)).toEqual([]);
		expect(await addCheckIn(db, imke, group, id, '2026-11-21', reading)).toBeNull();
		expect(await listStudents(db, imke, group)).toEqual([]);
		expect(await removedStudents(db, imke, group)).toEqual([{ id, name: 'Per L.' }]);
		expect(await removedStudents(db, tamsin, group)).toEqual([]);
		expect(await restoreStudent(db, tamsin, id)).toBeNull();
		const inDays = (days: number) => new Date(Date.now() + days * 24 * 3600_000);
		await forgetStudents(db, inDays(6));
		expect(await restoreStudent(db, imke, id)).toMatchObject({ id, version: 2 });
		expect(await restoreStudent(db, imke, id)).toBeNull();
		expect(studentResults(await studentCheckIns(db, imke, group))).toHaveLength(1);
		await removeStudent(db, imke, id, 2);
		await forgetStudents(db, inDays(8));
		expect(await restoreStudent(db, imke, id)).toBeNull();
		expect(await db.select().from(checkIn).where(eq(checkIn.studentId, id))).toEqual([]);
	});

	it('changes nobody else’s notes when they go: a name is a word that the teacher decides about, note by note', async () => {
		const group = groupOf('Lamp Room');
		const id = await createStudent(db, imke, group, personCalled('An'));
		const other = await createStudent(db, imke, group, personCalled('Ana'));
		const written = async (title: string, note: string) =>
			addRecordWithoutPlan(
				db,
				imke,
				group,
				{ title, on: '2026-11-20', startsAt: '12:20' },
				{ ...notesAsPlanned(3, 30), note }
			);
		const others = 'Ana and Annika held an anterior tilt; Anan counted.';
		await written('Of others', others);
		await written('Of all', `An sat. @{${id}} stood.\n@{${other}} and @{${id}} spoke.\n${'x'.repeat(900)}`);
		const notes = async () =>
			Object.fromEntries(
				(await groupHistory(db, imke, group))!.rows.map(({ title, run }) => [title, run.note])
			);
		const before = await notes();
		expect(before['Of all']!.split('\n').slice(0, 2)).toEqual(['An sat. @An stood.', '@Ana and @An spoke.']);
		expect(await dataOfStudent(db, tamsin, id)).toBeNull();
		expect((await dataOfStudent(db, imke, id))!.mentionedIn).toEqual([
			{ on: '2026-11-20', class: 'Of all', note: 'An sat. @An stood.\n@somebody and @An spoke.' }
		]);
		expect(await removeStudent(db, imke, id, 1)).toBe('removed');
		expect((await notes())['Of others']).toBe(others);
		expect((await notes())['Of all']).toBe(before['Of all']!.replaceAll('@An ', '@somebody '));
		expect(await notesThatName(db, tamsin, id)).toBeNull();
		const { notes: named } = (await notesThatName(db, imke, id))!;
		expect(named.map(({ title }) => title)).toEqual(['Of all']);
		const [first] = named;
		expect(await takeNameOut(db, tamsin, id, first!.recordId, first!.version)).toBe('missing');
		expect(await takeNameOut(db, imke, id, first!.recordId, first!.version + 1)).toBe('stale');
		expect(await takeNameOut(db, imke, id, first!.recordId, first!.version)).toBe('removed');
		expect((await notes())['Of all']!.startsWith('… sat. @somebody stood.\n@Ana and')).toBe(true);
		expect((await notes())['Of others']).toBe(others);
		expect((await notesThatName(db, imke, id))!.notes).toEqual([]);
	});

	it('is kept as long as the studio says', async () => {
		const { version, keepYears } = await keepsFor(db, imke.studioId);
		expect(keepYears).toBe(2);
		expect(await setKeepYears(db, imke.studioId, version, 1)).toBe(true);
		expect(await setKeepYears(db, imke.studioId, version, 3)).toBe(false);
		await addCheckIn(db, imke, groupOf('First Tide'), null, '2025-11-20', counts([5, 1, 1, 1]));
		const led = async () => (await db.select().from(teachingSession)).length;
		const before = await led();
		await forgetMeasured(db, NOW);
		const days = (await groupCheckIns(db, imke, groupOf('First Tide'))).map(({ on }) => on);
		expect(days).toContain('2025-11-20');
		expect(await led()).toBe(before);
		// kept from when it came, whatever day the device's clock showed
		await addCheckIn(db, imke, groupOf('First Tide'), null, '1970-01-01', counts([5, 1, 1, 1]));
		await forgetMeasured(db, NOW);
		expect((await groupCheckIns(db, imke, groupOf('First Tide'))).map(({ on }) => on)).toContain(
			'1970-01-01'
		);
		await forgetMeasured(db, new Date(`${addDays(new Date().toISOString().slice(0, 10), 400)}T00:00:00Z`));
		expect(await led()).toBe(0);
		expect(await groupCheckIns(db, imke, groupOf('First Tide'))).toEqual([]);
	});
});

describe('before the next class', () => {
	it('the last one is asked after once, and only while it is remembered', async () => {
		const group = groupOf('Skiff Crew');
		const id = await createPlan(db, imke.studioId, group, '2027-02-04', DEMO_PLANS[0]!.plan);
		await saveRecordOfPlan(db, imke, id, 0, notesAsPlanned(4, 45), '2027-02-04');
		const asked = (before: string, from: string) =>
			lastRecordWithoutFeedback(db, imke.studioId, group, before, from);
		expect((await asked('2027-02-11', '2027-01-21'))?.run.planId).toBe(id);
		expect(await asked('2027-03-11', '2027-02-18')).toBeNull();
		await saveRecordOfPlan(
			db,
			imke,
			id,
			1,
			{ ...notesAsPlanned(4, 45), there: { clam: 'few' } },
			'2027-02-04'
		);
		expect(await asked('2027-02-11', '2027-01-21')).toBeNull();
		expect(
			feedbackText((await recordOfPlan(db, imke.studioId, id))!.run, (slug) => slug.toUpperCase())
		).toEqual(['CLAM could be done by few of them.']);
		expect(feedbackText({ ...notesAsPlanned(4, 45), sore: 'nobody' }, String)).toEqual([
			'The next day nobody was sore.'
		]);
		expect(feedbackText(notesAsPlanned(4, 45), String)).toEqual([]);
		expect((await recordOfPlan(db, imke.studioId, id))!.run.there).toEqual({ clam: 'few' });
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
			'Not given for a long time: CLAM (11 weeks).'
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
				const tilt = event === 'line' ? readInclinometerLine(data) : null;
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
