/** A database of the version before, with the shapes that its documents had: it opens, and means the same. */
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { CATALOGUE } from '../../src/lib/catalogue';
import { preset } from '../../src/lib/core/group';
import { paceOf } from '../../src/lib/core/pace';
import { PLAN } from '../../src/lib/core/plan';
import { broughtUp } from '../../src/lib/core/validation';
import { DamagedDocument } from '../../src/lib/server/db/document-column';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { getGroup } from '../../src/lib/server/group/groups';
import { getPlan, restorePlan } from '../../src/lib/server/plan/plans';
import { metBefore, recordOfPlan } from '../../src/lib/server/record/records';
import { restoreSeries } from '../../src/lib/server/series/removal';
import { getSeries } from '../../src/lib/server/series/series';
import { getStudioKit } from '../../src/lib/server/studio/studio-kit';
import { getOwn } from '../../src/lib/server/studio/studio-catalogue';
import { getStyle } from '../../src/lib/server/studio/styles';
import { getTemplate } from '../../src/lib/server/plan/templates';
import { freshDatabase } from './database';

const LAST_OF_VERSION_1 = 5;
const file = (name: string) => JSON.parse(readFileSync(`tests/fixtures/version-1/${name}`, 'utf8'));

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let connection: mysql.Connection;
const series = file('dropped-knee-in-eight-weeks.series.json');
const { plan } = file('after-the-headland-run.plan.json');
const { group } = file('breakwater-striders.group.json');
const own = {
	...structuredClone(CATALOGUE.find((m) => m.forms.some((f) => f.props.some((p) => p.kit === 'block')))!),
	slug: 'own-drifting-knee'
};

beforeAll(async () => {
	server = await freshDatabase();
	const folder = mkdtempSync(join(tmpdir(), 'migrations-'));
	cpSync('drizzle', folder, { recursive: true });
	const journal = join(folder, 'meta', '_journal.json');
	const whole = JSON.parse(readFileSync(journal, 'utf8'));
	whole.entries = whole.entries.filter(({ idx }: { idx: number }) => idx <= LAST_OF_VERSION_1);
	writeFileSync(journal, JSON.stringify(whole));
	await migrateDb(server.url, folder);
	rmSync(folder, { recursive: true });

	connection = await mysql.createConnection(server.url);
	const put = (table: string, row: Record<string, unknown>) =>
		connection.query(`insert into ${table} set ?`, [row]);
	const { kit, ...rest } = group;
	await put('teacher', { id: 'imke', name: 'Imke', email: 'imke@wick-hollow.example' });
	await put('studio', { id: 'loft', name: 'Saltmarsh Loft', time_zone: 'Europe/London' });
	await put('membership', { studio_id: 'loft', teacher_id: 'imke' });
	await put('teacher_style', {
		teacher_id: 'imke',
		choices: '{}',
		pace: JSON.stringify({ heldBreathSeconds: 9, talk: 'brief' })
	});
	await put('class_group', {
		id: 'striders',
		studio_id: 'loft',
		name: group.name,
		weekday: group.weekday,
		starts_at: group.startsAt,
		document: JSON.stringify(rest)
	});
	for (const [kind, count] of Object.entries(kit))
		await put('group_kit', { group_id: 'striders', kind, count });
	const place = { studio_id: 'loft', group_id: 'striders' };
	// the held breath is the teacher's and was copied; the talk was set for this class
	const paced = { ...plan, pace: { heldBreathSeconds: 9, talk: 'detailed' } };
	const columns = { title: plan.title, document: JSON.stringify(paced) };
	await put('plan', {
		...place,
		...columns,
		id: 'headland',
		length_seconds: plan.lengthSeconds,
		taught_on: '2026-11-24'
	});
	await put('template', { id: 'kept', studio_id: 'loft', ...columns });
	const seriesRow = {
		...place,
		title: series.series.title,
		starts_on: series.series.startsOn,
		document: JSON.stringify(series.series)
	};
	await put('series', { id: 'knee', ...seriesRow });
	for (const { id, on } of series.series.classes) {
		const document = series.plans[id];
		if (!document) continue;
		await put('plan', {
			...place,
			id,
			title: document.title,
			length_seconds: document.lengthSeconds,
			taught_on: on,
			document: JSON.stringify(document),
			series_id: 'knee'
		});
		const slugs = new Set(JSON.stringify(document).match(/(?<="movement":")[^"]+/g));
		for (const slug of slugs) await put('plan_movement', { studio_id: 'loft', plan_id: id, slug });
	}
	// a second series was removed, and may still be brought back
	const gone = { ...series.series, classes: [{ ...series.series.classes[0], id: 'gone-class-1' }] };
	await put('removed', {
		studio_id: 'loft',
		kind: 'series',
		id: 'gone',
		document: JSON.stringify({
			title: gone.title,
			row: {
				id: 'gone',
				studioId: 'loft',
				groupId: 'striders',
				title: gone.title,
				startsOn: gone.startsOn,
				document: gone,
				linkHash: null,
				version: 4,
				updatedAt: '2026-11-20T10:00:00.000Z'
			},
			planIds: []
		})
	});
	await put('removed', {
		studio_id: 'loft',
		kind: 'plan',
		id: 'gone-class',
		document: JSON.stringify({
			...place,
			groupId: 'striders',
			taughtOn: '2026-11-20',
			version: 2,
			seriesId: null,
			document: plan
		})
	});
	await put('own_movement', {
		studio_id: 'loft',
		slug: own.slug,
		document: JSON.stringify({
			...own,
			forms: own.forms.map((form) => ({
				...form,
				props: form.props.map(({ site: _site, ...prop }) => prop)
			}))
		})
	});
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
});
afterAll(async () => {
	await connection.end();
	await handle.pool.end();
	await server.stop();
});

it('a class keeps its day and what was set for it; what was the teacher’s is looked up', async () => {
	const stored = (await getPlan(db, 'loft', 'headland'))!;
	expect(stored).toMatchObject({ plannedOn: '2026-11-24', version: 1 });
	const brought = broughtUp(PLAN, { ...plan, pace: { talk: 'detailed' } });
	expect(stored.plan).toEqual(brought.ok && brought.value);
	expect(stored.plan.pinnedPace).toEqual({ classKind: 'detailed' });
	const { style } = await getStyle(db, 'imke');
	expect(paceOf(style.pace, stored.plan.pinnedPace)).toMatchObject({
		heldBreathSeconds: 9,
		classKind: 'detailed'
	});
	expect((await getTemplate(db, 'loft', 'kept'))!.plan.pinnedPace).toEqual({ classKind: 'detailed' });
});

it('how classes of a series went is kept beside it, and only planned classes do not count as taught', async () => {
	const { planned, runVersions } = (await getSeries(db, 'loft', 'knee'))!;
	const taught = series.series.classes.filter(({ run }: { run?: object }) => run);
	expect(Object.keys(runVersions).sort()).toEqual(taught.map(({ id }: { id: string }) => id).sort());
	for (const { id, on, startsAt, run } of taught)
		expect(planned.runs[id]).toEqual({ ...run, attendance: null, planId: id, on, startsAt });
	expect(planned.series.classes[0]).not.toHaveProperty('run');
	const last = taught.at(-1).on;
	const { known } = await metBefore(db, 'loft', 'striders', '2027-06-01', '2027-01-01');
	expect(known.from).toBe('taught');
	const given = taught.flatMap(({ id }: { id: string }) => [
		...(JSON.stringify(series.plans[id]).match(/(?<="movement":")[^"]+/g) ?? [])
	]);
	expect([...known.slugs].sort()).toEqual([...new Set(given)].sort());
	const [row] = (
		await connection.query('select max(taught_on) as day, min(teacher_id) as who from class_record')
	)[0] as {
		day: Date;
		who: string;
	}[];
	expect([row!.day.toISOString().slice(0, 10), row!.who]).toEqual([last, 'imke']);
});

it('a series that was removed comes back with what was written down of it', async () => {
	expect(await restoreSeries(db, 'loft', 'gone')).toBe(true);
	expect((await getSeries(db, 'loft', 'gone'))!.planned.runs).toHaveProperty('gone-class-1');
	expect(await recordOfPlan(db, 'loft', 'gone-class-1')).toMatchObject({
		run: { note: series.series.classes[0].run.note }
	});
});

it('a class that was removed comes back on its day', async () => {
	expect(await restorePlan(db, 'loft', 'gone-class')).toBe('gone-class');
	expect(await getPlan(db, 'loft', 'gone-class')).toMatchObject({ plannedOn: '2026-11-20', version: 3 });
});

it('own movements and groups open', async () => {
	expect((await getOwn(db, 'loft', own.slug))!.movement).toEqual(own);
	const { purposes } = preset('runners');
	expect((await getGroup(db, 'loft', 'striders'))!.group).toEqual({ ...group, purposes });
	// the counts of its group become the studio's kit
	expect((await getStudioKit(db, 'loft')).kit).toEqual(group.kit);
});

it('a document of a version to come is refused with a sentence, and stays as it is', async () => {
	await connection.query(
		`insert into template set id = 'new', studio_id = 'loft', title = 'x', document = '{"version": 99, "title": "Out of the future"}'`
	);
	const read = getTemplate(db, 'loft', 'new');
	await expect(read).rejects.toThrow(DamagedDocument);
	await expect(read).rejects.toThrow(
		'The stored class “Out of the future” cannot be read: version: this class has version 99'
	);
});

it('a first statement that meets something that is there already is no step of ours, and stops the start', async () => {
	const other = await freshDatabase();
	const there = await mysql.createConnection(other.url);
	await there.query('create table teacher (id int)');
	await there.end();
	await expect(migrateDb(other.url, 'drizzle')).rejects.toMatchObject({ errno: 1050 });
	await other.stop();
});

it('each step of renaming finds its own work done, where a start ended between the step and its mark', async () => {
	const { entries } = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8'));
	const { when } = entries.find(({ tag }: { tag: string }) => tag === '0014_records_and_sessions');
	const [marks] = await connection.query<mysql.RowDataPacket[]>(
		'select step from migration_step where migration = ? order by step',
		[when]
	);
	expect(marks.length).toBe(29);
	for (const { step } of marks) {
		await connection.query("update migration_step set state = 'begun' where migration = ? and step = ?", [
			when,
			step
		]);
		await migrateDb(server.url, 'drizzle');
	}
	const [left] = await connection.query<mysql.RowDataPacket[]>(
		"select step from migration_step where state <> 'done'"
	);
	expect(left).toEqual([]);
});
