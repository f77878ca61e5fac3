/** How often a page asks the database: each thing once, and no more for a group with many classes. */
import { USUAL_PACE } from '../../src/lib/core/pace';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { teacher } from '../../src/lib/server/db/schema';
import { createGroup } from '../../src/lib/server/group/groups';
import { loadPlanContext } from '../../src/lib/server/plan/plan-context';
import { createPlan, plansOfGroup } from '../../src/lib/server/plan/plans';
import { createSeries } from '../../src/lib/server/series/series';
import { loadSeriesContext } from '../../src/lib/server/series/series-context';
import { recordCatalogue } from '../../src/lib/server/studio/studio-catalogue';
import { createStudio } from '../../src/lib/server/studio/studios';
import { withNewIds } from '../../src/lib/core/series';
import { newRowId } from '../../src/lib/server/db/ids';
import { classWith, CLIMBERS, filled, seriesOf } from './series-built';
import { freshDatabase } from './database';

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let studioId: string;
let owner: { studioId: string; teacherId: string };
let groupId: string;

beforeAll(async () => {
	server = await freshDatabase();
	await migrateDb(server.url, 'drizzle');
	// one connection, so that its own count of questions counts them all
	handle = openDb(server.url, 1);
	db = handle.db;
	await db.insert(teacher).values({ id: 'imke', name: 'Imke', email: 'imke@wick-hollow.example' });
	studioId = (await createStudio(db, 'imke', 'Saltmarsh Loft', 'Europe/London')).id;
	owner = { studioId, teacherId: 'imke' };
	await recordCatalogue(db);
	groupId = await createGroup(db, studioId, CLIMBERS);
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

/** Questions that the server was asked, and kilobytes that it answered, while something was done. */
async function asked(work: () => Promise<unknown>): Promise<{ questions: number; kilobytes: number }> {
	const count = async () => {
		const [rows] = await db.execute(
			sql`show session status where Variable_name in ('Questions', 'Bytes_sent')`
		);
		const values = Object.fromEntries(
			(rows as unknown as { Variable_name: string; Value: string }[]).map((row) => [
				row.Variable_name,
				Number(row.Value)
			])
		);
		return values as { Questions: number; Bytes_sent: number };
	};
	const before = await count();
	await work();
	const after = await count();
	return {
		questions: after.Questions - before.Questions - 1, // the second count is one itself
		kilobytes: Math.round((after.Bytes_sent - before.Bytes_sent) / 1024)
	};
}

it('a class asks eleven times, and is told no more when the group has forty others', async () => {
	const id = await createPlan(db, studioId, groupId, '2026-11-24', classWith(['clam']));
	// the last four count for its balance
	for (const day of [3, 10, 17, 18])
		await createPlan(
			db,
			studioId,
			groupId,
			`2026-11-${String(day).padStart(2, '0')}`,
			classWith(['clam', 'frog'])
		);
	const few = await asked(() => loadPlanContext(db, owner, id, '2026-11-24'));
	for (let i = 0; i < 40; i++)
		await createPlan(
			db,
			studioId,
			groupId,
			`2026-10-${String(1 + (i % 28)).padStart(2, '0')}`,
			classWith(['clam', 'cobra', 'frog'])
		);
	const many = await asked(() => loadPlanContext(db, owner, id, '2026-11-24'));
	expect(few.questions).toBe(11);
	expect(many.questions).toBe(few.questions);
	expect(many.kilobytes).toBeLessThanOrEqual(few.kilobytes + 1);
});

it('a series asks nine times, however many classes and other series there are', async () => {
	const one = () =>
		withNewIds(
			filled(seriesOf({ weeks: 3 }), () => classWith(['clam'])),
			newRowId
		);
	const id = await createSeries(db, owner, groupId, one());
	const few = await asked(() => loadSeriesContext(db, studioId, id, USUAL_PACE));
	for (let i = 0; i < 5; i++) await createSeries(db, owner, groupId, one());
	const many = await asked(() => loadSeriesContext(db, studioId, id, USUAL_PACE));
	expect(few.questions).toBe(9);
	expect(many).toEqual(few);
});

it('a page of a group’s history is read as a page', async () => {
	const page = await asked(() => plansOfGroup(db, studioId, groupId, { from: 0, size: 21 }));
	const all = await asked(() => plansOfGroup(db, studioId, groupId));
	expect(page.questions).toBe(1);
	expect(page.kilobytes).toBeLessThan(all.kilobytes / 2);
});
