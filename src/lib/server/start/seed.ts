import { eq } from 'drizzle-orm';
import { clearRows } from '../db/versioned';
import { addDays, dayInZone, weekOfDay } from '../../core/calendar';
import type { Group } from '../../core/group';
import { USUAL_PACE, withLearning } from '../../core/pace';
import type { ClassPlan } from '../../core/plan';
import { writeStudioKit } from '../studio/studio-kit';
import { DEMO_GROUPS, DEMO_STUDIO_KIT, type DemoGroupKey } from '../../demo/groups';
import { withNewIds } from '../../core/series';
import { DEMO_PLANS } from '../../demo/plans';
import { demoSeries, titlesInSeries } from '../../demo/series';
import { hashPassword } from '../account/auth';
import { newRowId } from '../db/ids';
import type { Db } from '../db/open';
import { account, teacher } from '../db/schema';
import { createGroup } from '../group/groups';
import { createPlan } from '../plan/plans';
import { createSeries } from '../series/series';
import { createStudio, studioOf } from '../studio/studios';
import { atPace, seedSeason } from './seed-season';
import { saveStyle } from '../studio/styles';
import { paceOfTeacher } from '../record/teachers-pace';

/** The demo sign-in; only a server that was started as the demo has it. */
export const DEMO_SIGN_IN = { email: 'imke@saltmarsh-loft.example', password: 'headland-at-dusk' };

const DEMO_TIME_ZONE = 'Europe/London';

/**
 * Fills a database with the Saltmarsh Loft, all of it or nothing. Does nothing when it is there already. What an
 * interrupted start of an earlier version left behind, an account without a way to sign in, makes room. With its season
 * it also holds classes that were taught and what was measured; without it nothing is learned of the teacher's pace.
 */
export function seedDemo(db: Db, now: Date, withSeason = false): Promise<void> {
	return db.transaction(async (tx) => {
		const known = eq(teacher.email, DEMO_SIGN_IN.email);
		const [row] = await tx.select({ id: teacher.id }).from(teacher).where(known).for('update');
		if (row && (await isUsable(tx, row.id))) return;
		if (row) await clearRows(tx, teacher, known);
		await fill(tx, now, withSeason);
	});
}

async function isUsable(tx: Db, teacherId: string): Promise<boolean> {
	const accounts = await tx.select({ id: account.id }).from(account).where(eq(account.userId, teacherId));
	return accounts.length > 0 && (await studioOf(tx, teacherId)) !== null;
}

async function fill(db: Db, now: Date, withSeason: boolean): Promise<void> {
	const teacherId = await addTeacher(db, 'Imke Oyelaran', DEMO_SIGN_IN.email, DEMO_SIGN_IN.password);
	const studio = await createStudio(db, teacherId, 'Saltmarsh Loft', DEMO_TIME_ZONE);
	await writeStudioKit(db, studio.id, DEMO_STUDIO_KIT);
	const owner = { studioId: studio.id, teacherId };
	await saveStyle(db, teacherId, 0, {
		choices: {},
		pace: withLearning({ ...USUAL_PACE, classKind: 'ordinary' }, withSeason)
	});
	const ids = {} as Record<DemoGroupKey, string>;
	for (const [key, group] of Object.entries(DEMO_GROUPS) as [DemoGroupKey, Group][])
		ids[key] = await createGroup(db, studio.id, group);
	const monday = weekOfDay(dayInZone(now, DEMO_TIME_ZONE)).days[0] as string;
	if (withSeason) await seedSeason(db, owner, ids, monday);
	const pace = await paceOfTeacher(db, teacherId);
	/** Brings a class that is still ahead to its length at the learned pace. */
	const ahead = (plan: ClassPlan) => (withSeason ? atPace(plan, pace) : plan);
	for (const { group, planned } of demoSeries(monday)) {
		const plans = Object.fromEntries(
			Object.entries(planned.plans).map(([id, plan]) => [id, planned.runs[id] ? plan : ahead(plan)])
		);
		const fresh = withNewIds({ ...planned, plans }, newRowId);
		await createSeries(db, owner, ids[group], fresh, fresh.runs);
	}
	for (const { group, week, plan } of DEMO_PLANS) {
		if (titlesInSeries.has(plan.title)) continue;
		const day = addDays(monday, 7 * week + DEMO_GROUPS[group].weekday - 1);
		await createPlan(db, studio.id, ids[group], day, ahead(plan));
	}
}

async function addTeacher(db: Db, name: string, email: string, password: string): Promise<string> {
	const id = newRowId();
	await db.insert(teacher).values({ id, name, email, emailVerified: true });
	await db.insert(account).values({
		id: newRowId(),
		userId: id,
		accountId: id,
		providerId: 'credential',
		password: await hashPassword(password)
	});
	return id;
}
