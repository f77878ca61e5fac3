import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { upTo } from '../../src/lib/core/validation';
import { notesAsPlanned } from '../../src/lib/core/record';
import {
	metBefore,
	usedBetween,
	saveRecordOfPlan,
	recordOfPlan,
	removeRecordOfPlan
} from '../../src/lib/server/record/records';
import { USUAL_PACE, withPaceSaid } from '../../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { newGroup, USUAL_KIT, type Group, type Student } from '../../src/lib/core/group';
import type { Movement } from '../../src/lib/core/movement';
import { applyEdit, type ClassPlan, emptyPlan, itemsOf, newItem, PLAN } from '../../src/lib/core/plan';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { classGroup, teacher } from '../../src/lib/server/db/schema';
import { contentHash, sameContent } from '../../src/lib/server/studio/content-hash';
import { isConnectionError, mayBeTriedAgain } from '../../src/lib/server/db/errors';
import {
	createGroup,
	forgetGroups,
	getGroup,
	listGroups,
	removedGroups,
	removeGroup,
	restoreGroup,
	saveGroup
} from '../../src/lib/server/group/groups';
import { addCheckIn, groupCheckIns } from '../../src/lib/server/group/check-ins';
import type { GroupCheckIn } from '../../src/lib/core/hip-tests';
import { ownFaults } from '../../src/lib/server/studio/own-movements';
import { loadPlanContext, planInput } from '../../src/lib/server/plan/plan-context';
import {
	createPlan,
	removedPlan,
	removePlan,
	restorePlan,
	getPlan,
	groupsWithPlans,
	plansBetween,
	plansOfGroup,
	savePlan
} from '../../src/lib/server/plan/plans';
import { readSave, saveAnswer } from '../../src/lib/server/http/endpoint';
import {
	createOwn,
	getOwn,
	contentHashes,
	keepMovements,
	outdatedMovements,
	recordCatalogue,
	saveOwn,
	setLeftOut,
	catalogueWith,
	studioCatalogue,
	withStates
} from '../../src/lib/server/studio/studio-catalogue';
import { readSentPlan } from '../../src/lib/server/plan/plan-upload';
import {
	createTemplate,
	removeTemplate,
	restoreTemplate,
	getTemplate,
	listTemplates,
	saveTemplate
} from '../../src/lib/server/plan/templates';
import { createStudent, removeStudent, listStudents, saveStudent } from '../../src/lib/server/group/students';
import { silenceable, silenceFaults } from '../../src/lib/core/checks';
import { askAgain, storeSilencedCheck, silencedChecks } from '../../src/lib/server/studio/silenced-checks';
import { getStudioKit, saveStudioKit } from '../../src/lib/server/studio/studio-kit';
import { createStudio, studioOf } from '../../src/lib/server/studio/studios';
import { getStyle, saveStyle } from '../../src/lib/server/studio/styles';
import { freshDatabase } from './database';

const per: Student = { name: 'Per L.', tier: 'open', cautions: ['low back'], tighterSide: 'left' };
const COUNTED: GroupCheckIn = {
	kind: 'counts',
	test: 'figure-four-knee',
	moment: 'before the class',
	counts: { left: [1, 4, 2, 0], right: [0, 4, 3, 0] }
};

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
/** Two studios with a teacher each: what is one's must never be the other's. */
let loft: string;
let shed: string;
let imke: { studioId: string; teacherId: string };
let tamsin: typeof imke;

beforeAll(async () => {
	server = await freshDatabase();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
	for (const [id, name] of [
		['imke', 'Imke Oyelaran'],
		['tamsin', 'Tamsin Reed']
	] as const)
		await db.insert(teacher).values({ id, name, email: `${id}@wick-hollow.example` });
	loft = (await createStudio(db, 'imke', 'Saltmarsh Loft', 'Europe/London')).id;
	imke = { studioId: loft, teacherId: 'imke' };
	shed = (await createStudio(db, 'tamsin', 'Boat shed', 'Europe/London')).id;
	tamsin = { studioId: shed, teacherId: 'tamsin' };
	await recordCatalogue(db);
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

const group = (name = 'Breakwater Striders'): Group => ({
	...newGroup('runners', name),
	kit: { block: 24, strap: 12 },
	kitEach: { belt: 1 }
});
function planOf(...slugs: string[]): ClassPlan {
	return slugs.reduce(
		(plan, slug) => {
			const index = plan.sections[2]!.blocks.length;
			const block = newItem(plan, findMovement(slug) as Movement);
			return applyEdit(plan, { do: 'insert', at: { sectionId: 'build', index }, block });
		},
		emptyPlan('A class', '18:30', 1800)
	);
}

describe('studios', () => {
	it('a teacher works in the studio of which they are a member', async () => {
		expect((await studioOf(db, 'imke'))?.name).toBe('Saltmarsh Loft');
		expect(await studioOf(db, 'nobody')).toBeNull();
	});

	it('migrating again, and at the same time, changes nothing', async () => {
		await Promise.all([migrateDb(server.url, 'drizzle'), migrateDb(server.url, 'drizzle')]);
		expect((await studioOf(db, 'tamsin'))?.id).toBe(shed);
	});
});

describe('groups', () => {
	it('come back as they were written, kit and what each brings included', async () => {
		const id = await createGroup(db, loft, group());
		expect((await getGroup(db, loft, id))?.group).toEqual(group());
		expect((await listGroups(db, loft)).map((g) => g.id)).toContain(id);
	});

	it('are not there for another studio, to read or to save', async () => {
		const id = await createGroup(db, loft, group());
		expect(await getGroup(db, shed, id)).toBeNull();
		expect((await listGroups(db, shed)).map((g) => g.id)).not.toContain(id);
		expect(await saveGroup(db, shed, id, 1, group('Stolen'))).toEqual({ kind: 'missing' });
	});

	it('save over the version that the change began from, and over no other', async () => {
		const id = await createGroup(db, loft, group());
		expect(await saveGroup(db, loft, id, 1, group('First'))).toEqual({ kind: 'saved', version: 2 });
		const late = await saveGroup(db, loft, id, 1, { ...group('Late'), kit: { chair: 3 } });
		expect(late.kind === 'stale' && late.current).toMatchObject({ version: 2, group: { name: 'First' } });
		expect((await getGroup(db, loft, id))?.group.kit).toEqual({ block: 24, strap: 12 });
	});

	it('share the kit of their studio, or have their own', async () => {
		const shared = await createGroup(db, loft, { ...group('Shared'), sharesKit: true });
		const own = await createGroup(db, loft, group('Own'));
		const { version, kit } = await getStudioKit(db, loft);
		expect(kit).toEqual(USUAL_KIT);
		expect(await saveStudioKit(db, loft, version, { block: 9, chair: 2, belt: 0 })).toMatchObject({
			kind: 'saved'
		});
		const late = await saveStudioKit(db, loft, version, { block: 1 });
		expect(late).toEqual({ kind: 'stale', current: { version: version + 1, kit: { block: 9, chair: 2 } } });
		const kits = new Map((await listGroups(db, loft)).map((g) => [g.id, g.group.kit]));
		expect([kits.get(shared), kits.get(own)]).toEqual([
			{ block: 9, chair: 2 },
			{ block: 24, strap: 12 }
		]);
		expect((await getStudioKit(db, shed)).kit).toEqual(USUAL_KIT);
		// its own count begins with what the studio has
		const { group: before } = (await getGroup(db, loft, shared))!;
		await saveGroup(db, loft, shared, 1, { ...before, sharesKit: false });
		await saveStudioKit(db, loft, version + 1, { block: 10 });
		expect((await getGroup(db, loft, shared))?.group.kit).toEqual({ block: 9, chair: 2 });
	});

	it('are removed as they were looked at, by their studio, while they have no class', async () => {
		const id = await createGroup(db, loft, group('By mistake'));
		expect(await removeGroup(db, shed, id, 1)).toBe('missing');
		expect(await removeGroup(db, loft, id, 7)).toBe('stale');
		const planId = await createPlan(db, loft, id, '2026-11-24', planOf('clam'));
		expect(await removeGroup(db, loft, id, 1)).toBe('used');
		await removePlan(db, loft, planId, 1);
		expect(await removeGroup(db, loft, id, 1)).toBe('removed');
		expect(await getGroup(db, loft, id)).toBeNull();
		// a class that was removed before it brings its group back
		expect(await restorePlan(db, loft, planId)).toBe(planId);
		expect((await getGroup(db, loft, id))?.group.name).toBeDefined();
	});

	it('come back with their people, kit and check-ins, and are gone for good after their weeks', async () => {
		const id = await createGroup(db, loft, { ...group('Comes back'), sharesKit: false, kit: { block: 7 } });
		const mine = { studioId: loft, teacherId: 'imke' };
		const person = await createStudent(db, mine, id, per);
		await addCheckIn(db, mine, id, null, '2026-11-24', COUNTED);
		const names = async () => (await listGroups(db, loft)).map((stored) => stored.group.name);
		expect(await removeGroup(db, loft, id, 1)).toBe('removed');
		expect(await names()).not.toContain('Comes back');
		expect(await saveGroup(db, loft, id, 2, group('Changed'))).toEqual({ kind: 'missing' });
		expect(await removedGroups(db, shed)).toEqual([]);
		expect(await restoreGroup(db, shed, id)).toBeNull();
		expect(await removedGroups(db, loft)).toContainEqual({ id, name: 'Comes back' });
		expect(await restoreGroup(db, loft, id)).toBe('Comes back');
		expect(await restoreGroup(db, loft, id)).toBeNull();
		expect((await getGroup(db, loft, id))!.group.kit).toEqual({ block: 7 });
		expect((await listStudents(db, mine, id)).map((s) => s.id)).toEqual([person]);
		expect(await groupCheckIns(db, mine, id)).toHaveLength(1);
		await removeGroup(db, loft, id, 2);
		const inDays = (days: number) => new Date(Date.now() + days * 24 * 3600_000);
		await forgetGroups(db, inDays(29));
		expect(await removedGroups(db, loft)).toContainEqual({ id, name: 'Comes back' });
		await forgetGroups(db, inDays(31));
		expect(await removedGroups(db, loft)).not.toContainEqual({ id, name: 'Comes back' });
	});

	it('a class whose group is gone for good keeps its copy when it cannot be brought back', async () => {
		const id = await createGroup(db, loft, group('Gone for good'));
		const planId = await createPlan(db, loft, id, null, planOf('clam'));
		await removePlan(db, loft, planId, 1);
		await removeGroup(db, loft, id, 1);
		await forgetGroups(db, new Date(Date.now() + 31 * 24 * 3600_000));
		expect(await restorePlan(db, loft, planId)).toBeNull();
		expect(await removedPlan(db, loft, planId)).toMatchObject({ id: planId, groupId: id });
	});

	it('a transaction is begun anew where two stood in each other’s way', async () => {
		const [a, b] = [await createGroup(db, loft, group('A')), await createGroup(db, loft, group('B'))];
		let tries = 0;
		const rename = (first: string, second: string) =>
			db.transaction(async (tx) => {
				tries += 1;
				for (const id of [first, second]) {
					await tx
						.update(classGroup)
						.set({ name: `Renamed ${first}` })
						.where(eq(classGroup.id, id));
					await new Promise((done) => setTimeout(done, 60));
				}
			});
		await Promise.all([rename(a, b), rename(b, a)]);
		expect(tries).toBeGreaterThan(2);
		// also where the deadlock comes in a transaction within another
		const before = tries;
		const nested = (first: string, second: string) =>
			db.transaction((outer) =>
				outer.transaction(async (tx) => {
					tries += 1;
					for (const id of [first, second]) {
						await tx
							.update(classGroup)
							.set({ name: `Nested ${first}` })
							.where(eq(classGroup.id, id));
						await new Promise((done) => setTimeout(done, 60));
					}
				})
			);
		await Promise.all([nested(a, b), nested(b, a)]);
		expect(tries - before).toBeGreaterThan(2);
	});

	it('what the database says of a connection that died is no fault of ours', () => {
		const dead = Object.assign(new Error('Can’t add new command when connection is in closed state'), {
			fatal: true
		});
		expect(isConnectionError(new Error('failed query', { cause: dead }))).toBe(true);
		expect(isConnectionError(Object.assign(new Error(), { code: 'ER_DUP_ENTRY' }))).toBe(false);
		expect(mayBeTriedAgain(Object.assign(new Error(), { code: 'ER_LOCK_DEADLOCK' }))).toBe(true);
		expect(mayBeTriedAgain(Object.assign(new Error(), { code: 'ER_DUP_ENTRY' }))).toBe(false);
	});
});

describe('plans', () => {
	it('are found by day, by group and by studio, and by nobody else', async () => {
		const striders = await createGroup(db, loft, group('By day'));
		const id = await createPlan(db, loft, striders, '2026-11-24', planOf('clam'));
		expect((await plansBetween(db, loft, '2026-11-23', '2026-11-29')).map((p) => p.id)).toContain(id);
		expect(await plansBetween(db, loft, '2026-11-25', '2026-11-29')).toEqual([]);
		expect(await plansBetween(db, shed, '2026-11-23', '2026-11-29')).toEqual([]);
		expect(await groupsWithPlans(db, loft)).toContain(striders);
		expect((await plansOfGroup(db, loft, striders)).map((p) => p.id)).toEqual([id]);
		expect(await plansOfGroup(db, shed, striders)).toEqual([]);
		expect(await getPlan(db, shed, id)).toBeNull();
		expect(await removePlan(db, shed, id, 1)).toBe('missing');
		expect(await removePlan(db, loft, id, 2)).toBe('stale');
		expect(await removePlan(db, loft, id, 1)).toBe('removed');
		expect(await getPlan(db, loft, id)).toBeNull();
		// brought back by its own studio, once
		expect(await restorePlan(db, shed, id)).toBeNull();
		expect(await restorePlan(db, loft, id)).toBe(id);
		expect(await getPlan(db, loft, id)).toMatchObject({ plannedOn: '2026-11-24', version: 2 });
		expect(await restorePlan(db, loft, id)).toBeNull();
	});

	it('of two saves from one version the second is stale and brings what is stored', async () => {
		const id = await createPlan(db, loft, await createGroup(db, loft, group()), null, planOf('clam'));
		const [a, b] = await Promise.all([
			savePlan(db, loft, id, 1, planOf('clam', 'cobra')),
			savePlan(db, loft, id, 1, planOf('clam', 'frog'))
		]);
		expect([a.kind, b.kind].sort()).toEqual(['saved', 'stale']);
		expect(await savePlan(db, shed, id, 2, planOf('plank'))).toEqual({ kind: 'missing' });
	});

	it('that were only planned are told as planned, and as nothing at all once a class was taught', async () => {
		const id = await createGroup(db, loft, group('History'));
		const first = await createPlan(db, loft, id, '2026-10-01', planOf('clam', 'cobra'));
		await createPlan(db, loft, id, '2026-11-20', planOf('cobra', 'frog'));
		await createPlan(db, loft, id, '2026-12-01', planOf('plank'));
		const known = async (day: string) => {
			const { from, slugs } = (await metBefore(db, loft, id, day, day)).known;
			return [from, ...[...slugs].sort()];
		};
		const lately = async (day: string, from: string) =>
			[...(await metBefore(db, loft, id, day, from)).lately.slugs].sort();
		const used = async (from: string, to: string) => (await usedBetween(db, loft, from, to, id)).slugs;
		expect(await known('2026-11-24')).toEqual(['planned', 'clam', 'cobra', 'frog']);
		expect([...(await used('2026-11-01', '2026-11-30'))].sort()).toEqual(['cobra', 'frog']);
		expect(await lately('2026-11-24', '2026-11-01')).toEqual(['cobra', 'frog']);
		const notes = { ...notesAsPlanned(4, 60), leftOut: ['cobra'] };
		expect(await saveRecordOfPlan(db, imke, first, 0, notes, '2026-11-24')).toMatchObject({ kind: 'saved' });
		expect(await known('2026-11-24')).toEqual(['taught', 'clam']);
		expect(await lately('2026-11-24', '2026-10-01')).toEqual(['clam']);
		expect(await lately('2026-11-24', '2026-10-02')).toEqual([]);
		// before the first class that was taught nothing but plans is known
		expect(await known('2026-10-01')).toEqual(['planned']);
		expect(await used('2026-11-01', '2026-11-30')).toEqual([]);
		expect(await used('2026-10-01', '2026-10-01')).toEqual(['clam']);
		expect((await usedBetween(db, shed, '2026-01-01', '2026-12-31')).slugs).toEqual([]);
	});

	it('keep what was written down of their class by version, also when the plan is gone', async () => {
		const id = await createGroup(db, loft, group('Runs'));
		const planId = await createPlan(db, loft, id, null, planOf('clam'));
		const notes = notesAsPlanned(4, 60);
		const both = await Promise.all(
			[1, 2].map(() => saveRecordOfPlan(db, imke, planId, 0, notes, '2026-11-24'))
		);
		expect(both.map(({ kind }) => kind).sort()).toEqual(['saved', 'stale']);
		expect(await recordOfPlan(db, loft, planId)).toMatchObject({
			version: 1,
			groupId: id,
			run: { planId, on: '2026-11-24', startsAt: '18:30', minutes: 60 }
		});
		expect(await saveRecordOfPlan(db, tamsin, planId, 1, notes, '2026-11-24')).toEqual({ kind: 'missing' });
		expect(await removeRecordOfPlan(db, shed, planId, 1)).toBe('missing');
		const longer = { ...notes, minutes: 70 };
		expect(await saveRecordOfPlan(db, imke, planId, 1, longer, '2026-11-24')).toMatchObject({ version: 2 });
		expect(await saveRecordOfPlan(db, imke, planId, 1, notes, '2026-11-24')).toMatchObject({ kind: 'stale' });
		expect(await removePlan(db, loft, planId, 1)).toBe('removed');
		expect((await metBefore(db, loft, id, '2026-12-24', '2026-12-01')).known.slugs).toEqual(['clam']);
		expect(await saveRecordOfPlan(db, imke, planId, 2, notes, '2026-11-24')).toMatchObject({ version: 3 });
		expect((await metBefore(db, loft, id, '2026-12-24', '2026-12-01')).known.slugs).toEqual(['clam']);
		expect(await removeRecordOfPlan(db, loft, planId, 2)).toBe('stale');
		expect(await removeRecordOfPlan(db, loft, planId, 3)).toBe('removed');
		expect(await recordOfPlan(db, loft, planId)).toBeNull();
	});

	it('are read against their group, its history and the side that went first last time', async () => {
		const id = await createGroup(db, loft, group('Setting'));
		const before = applyEdit(planOf('clam', 'low-lunge'), { do: 'swapSides' });
		await createPlan(db, loft, id, '2026-11-17', before);
		const planId = await createPlan(db, loft, id, '2026-11-24', planOf('clam'));
		const context = await loadPlanContext(db, imke, planId, '2026-11-24');
		expect(context?.lastFirstSide).toBe('right');
		expect([...context!.known.slugs].sort()).toEqual(['clam', 'low-lunge']);
		expect([...context!.usedLately.slugs].sort()).toEqual(['clam', 'low-lunge']);
		expect(context!.lately.classes).toBe(1);
		expect(context!.lately.orbit.rangeTotalSeconds).toBeGreaterThan(0);
		expect(planInput(context!).group.name).toBe('Setting');
		expect(await loadPlanContext(db, tamsin, planId, '2026-11-24')).toBeNull();
	});
});

describe('own movements', () => {
	const own = (change: Partial<Movement> = {}): Movement => ({
		...(findMovement('clam') as Movement),
		slug: 'own-harbour-clam',
		english: 'Harbour clam',
		kin: ['clam'],
		...change
	});

	it('belong to their studio, are offered there, and can be left out without being deleted', async () => {
		await createOwn(db, loft, own());
		const today = await studioCatalogue(db, loft);
		expect(today.catalogue.offered.map((m) => m.slug)).toContain('own-harbour-clam');
		expect((await studioCatalogue(db, shed)).catalogue.find('own-harbour-clam')).toBeUndefined();
		expect(await getOwn(db, shed, 'own-harbour-clam')).toBeNull();
		await setLeftOut(db, loft, 'own-harbour-clam', true);
		await setLeftOut(db, loft, 'own-harbour-clam', true);
		const without = await studioCatalogue(db, loft);
		expect(without.catalogue.offered.map((m) => m.slug)).not.toContain('own-harbour-clam');
		expect(without.catalogue.find('own-harbour-clam')).toEqual(own());
		await setLeftOut(db, loft, 'own-harbour-clam', false);
		expect((await studioCatalogue(db, loft)).leftOut).toEqual([]);
	});

	it('change under no plan: it keeps the state it was made with, and the difference can be told', async () => {
		const made = await studioCatalogue(db, loft);
		const plan = withStates(planOf('clam'), null, made);
		const item = { ...newItem(plan, own()), id: 'b9' };
		const place = { sectionId: 'peak', index: 0 };
		const using = withStates(applyEdit(plan, { do: 'insert', at: place, block: item }), plan, made);
		expect(Object.keys(using.madeWith!).sort()).toEqual(['clam', 'own-harbour-clam']);

		expect(await saveOwn(db, loft, 1, own({ setUp: 'Another way.' }))).toEqual({ kind: 'saved', version: 2 });
		expect((await saveOwn(db, loft, 1, own({ setUp: 'Late.' }))).kind).toBe('stale');
		expect(await saveOwn(db, shed, 1, own())).toEqual({ kind: 'missing' });
		const today = await studioCatalogue(db, loft);
		const [moved] = await outdatedMovements(db, loft, today, [using]);
		expect(moved!.map((m) => [m.slug, m.differences.map((d) => d.field)])).toEqual([
			['own-harbour-clam', ['setUp']]
		]);
		expect(catalogueWith(today, moved!).find('own-harbour-clam')?.setUp).toBe(own().setUp);
		expect(today.catalogue.find('own-harbour-clam')?.setUp).toBe('Another way.');

		// a later save keeps the old state until the plan itself asks for the new one
		const saved = withStates({ ...using, madeWith: undefined }, using, today);
		expect(saved.madeWith).toEqual(using.madeWith);
		const now = today.contentHashes.get('own-harbour-clam')!;
		const remade = withStates(
			applyEdit(using, { do: 'updateMovement', slug: 'own-harbour-clam', contentHash: now }),
			using,
			today
		);
		expect((await outdatedMovements(db, loft, today, [remade]))[0]).toEqual([]);
		// movements that are no longer used are forgotten
		expect(withStates(planOf('clam'), using, today).madeWith).toEqual({ clam: using.madeWith!.clam });
	});

	it('that come with a file are kept for the studio that read it, and for no other', async () => {
		const brought = own({ slug: 'own-visitor', english: 'Visitor' });
		const states = contentHashes([brought]);
		expect(states).toEqual({ 'own-visitor': contentHash(brought) });
		const plan = { ...planOf('clam'), madeWith: states };
		await keepMovements(db, shed, [brought, own({ slug: 'own-unused' })], [plan]);
		const [kept] = await outdatedMovements(db, shed, await studioCatalogue(db, shed), [plan]);
		expect(kept).toMatchObject([{ slug: 'own-visitor', now: null, kept: { english: 'Visitor' } }]);
		expect(await outdatedMovements(db, loft, await studioCatalogue(db, loft), [plan])).toEqual([[]]);
	});

	it('are held to the rules of the catalogue, whoever sends them', async () => {
		const today = await studioCatalogue(db, loft);
		expect(ownFaults(own(), today)).toEqual([]);
		expect(ownFaults(null, today)[0]?.message).toContain('an object with forms');
		expect(ownFaults(own({ english: '' }), today)[0]?.message).toContain('english is a required field');
		expect(ownFaults(own({ preparations: ['nowhere'] }), today)[0]?.message).toContain('names "nowhere"');
	});
});

describe('the teacher’s own', () => {
	it('students are seen, changed and removed by their teacher alone', async () => {
		const groupId = await createGroup(db, loft, group('People'));
		const mine = { studioId: loft, teacherId: 'imke' };
		const others = [
			{ studioId: shed, teacherId: 'tamsin' },
			{ studioId: loft, teacherId: 'tamsin' }
		];
		const id = await createStudent(db, mine, groupId, per);
		await createStudent(db, mine, groupId, { ...per, name: 'Ada K.' });
		expect((await listStudents(db, mine, groupId)).map((s) => s.student.name)).toEqual(['Ada K.', 'Per L.']);
		for (const other of others) {
			expect(await listStudents(db, other, groupId)).toEqual([]);
			expect(await saveStudent(db, other, id, 1, per)).toEqual({ kind: 'missing' });
			expect(await removeStudent(db, other, id, 1)).toBe('missing');
		}
		const open = { ...per, tier: 'tight' as const };
		expect(await saveStudent(db, mine, id, 1, open)).toEqual({ kind: 'saved', version: 2 });
		expect((await saveStudent(db, mine, id, 1, per)).kind).toBe('stale');
		expect(await removeStudent(db, mine, id, 1)).toBe('stale');
		expect(await removeStudent(db, mine, id, 2)).toBe('removed');
		expect((await listStudents(db, mine, groupId)).map((s) => s.student.name)).toEqual(['Ada K.']);
	});

	it('checks silenced for good are each teacher’s own, with one reason each', async () => {
		await storeSilencedCheck(db, 'imke', { check: 'calm-open', reason: 'they come from the water' });
		await storeSilencedCheck(db, 'imke', { check: 'calm-open', reason: 'they come cold from the water' });
		expect(await silencedChecks(db, 'imke')).toEqual([
			{ check: 'calm-open', reason: 'they come cold from the water' }
		]);
		expect(await silencedChecks(db, 'tamsin')).toEqual([]);
		await askAgain(db, 'tamsin', 'calm-open');
		expect(await silencedChecks(db, 'imke')).toHaveLength(1);
		await askAgain(db, 'imke', 'calm-open');
		expect(await silencedChecks(db, 'imke')).toEqual([]);
	});

	it('which checks can be silenced, and what has to be said', () => {
		expect(silenceable('calm-open')).toBe('calm-open');
		expect(silenceable('caution-conflict')).toBeNull();
		expect(silenceable('no-such-check')).toBeNull();
		expect(silenceFaults({ reason: 'I say so' })).toEqual([]);
		for (const wrong of [{}, { reason: '  ' }, { reason: 'x'.repeat(301) }, { reason: 'ok', more: 1 }, null])
			expect(silenceFaults(wrong)).not.toEqual([]);
	});

	it('templates are kept, renamed and removed by version, and are each studio’s own', async () => {
		const id = await createTemplate(db, loft, { ...planOf('clam'), title: 'A wave at noon' });
		await createTemplate(db, loft, { ...planOf('cobra'), title: 'A slow evening' });
		expect((await listTemplates(db, loft)).map((t) => t.plan.title)).toEqual([
			'A slow evening',
			'A wave at noon'
		]);
		expect(await listTemplates(db, shed)).toEqual([]);
		expect(await getTemplate(db, shed, id)).toBeNull();
		const renamed = { ...planOf('clam'), title: 'A wave at dusk' };
		expect(await saveTemplate(db, shed, id, 1, renamed)).toEqual({ kind: 'missing' });
		expect(await saveTemplate(db, loft, id, 1, renamed)).toEqual({ kind: 'saved', version: 2 });
		expect((await saveTemplate(db, loft, id, 1, planOf('clam'))).kind).toBe('stale');
		expect(await removeTemplate(db, shed, id, 2)).toBe('missing');
		expect(await removeTemplate(db, loft, id, 1)).toBe('stale');
		expect(await removeTemplate(db, loft, id, 2)).toBe('removed');
		expect(await getTemplate(db, loft, id)).toBeNull();
		expect(await restoreTemplate(db, shed, id)).toBeNull();
		expect(await restoreTemplate(db, loft, id)).toBe('A wave at dusk');
		expect((await getTemplate(db, loft, id))?.plan.title).toBe('A wave at dusk');
	});

	it('a plan that is sent is read with what it brings along, or refused with what is wrong', async () => {
		const own: Movement = {
			...(findMovement('clam') as Movement),
			slug: 'harbour-clam',
			english: 'Harbour clam'
		};
		const using = planOf('clam');
		const plan = JSON.parse(JSON.stringify(using).replaceAll('"clam"', '"harbour-clam"')) as ClassPlan;
		const refused = await readSentPlan(db, loft, { plan });
		expect('faults' in refused && refused.faults[0]?.message).toBe(
			'the catalogue has no movement "harbour-clam"'
		);
		const taken = await readSentPlan(db, loft, { plan, movements: [own] });
		expect('plan' in taken && taken.plan.madeWith).toEqual({ 'harbour-clam': contentHash(own) });
		for (const odd of [null, {}, { plan: 5 }, { plan: [], movements: 7 }])
			expect(await readSentPlan(db, loft, odd)).toHaveProperty('faults');
	});

	it('style begins empty, is saved by version, and is each teacher’s own', async () => {
		expect(await getStyle(db, 'imke')).toEqual({ version: 0, style: { choices: {}, pace: USUAL_PACE } });
		const style = {
			choices: { counting: 'seconds' as const },
			pace: withPaceSaid(USUAL_PACE, { heldBreathSeconds: 8 })
		};
		expect(await saveStyle(db, 'imke', 0, style)).toEqual({ kind: 'saved', version: 1 });
		expect((await saveStyle(db, 'imke', 0, style)).kind).toBe('stale');
		expect(await saveStyle(db, 'imke', 1, { ...style, pace: USUAL_PACE })).toEqual({
			kind: 'saved',
			version: 2
		});
		expect((await getStyle(db, 'tamsin')).version).toBe(0);
	});
});

describe('answers to a save', () => {
	const current = (stored: { version: number; plan: object }) => ({
		version: stored.version,
		document: stored.plan
	});

	it('a save whose answer never arrived, sent again, is no conflict', async () => {
		const stale = { kind: 'stale' as const, current: { version: 7, plan: { a: 1, b: [2] } } };
		const again = saveAnswer(stale, { b: [2], a: 1 }, current);
		expect([again.status, await again.json()]).toEqual([200, { version: 7 }]);
		const other = saveAnswer(stale, { a: 2 }, current);
		expect([other.status, await other.json()]).toEqual([
			409,
			{ current: { version: 7, document: { a: 1, b: [2] } } }
		]);
		expect(() => saveAnswer({ kind: 'missing' }, {}, current)).toThrow();
		expect(sameContent({ a: undefined, b: 1 }, { b: 1 })).toBe(true);
	});

	it.each([
		['a number', '5', 'the request must be an object'],
		['no version', '{"document":{}}', 'the version that the change began from is missing'],
		['half a version', '{"version":1.5,"document":{}}', 'the version that the change began from is missing']
	])('a request with %s says what is wrong', async (_what, body, message) => {
		const read = await readSave(new Request('http://127.0.0.1/', { method: 'PUT', body }), upTo(PLAN));
		expect('faults' in read && read.faults[0]?.message).toBe(message);
	});
});

it('every state of the catalogue is on record once, however often the server starts', async () => {
	await recordCatalogue(db);
	const plan = withStates(planOf('clam'), null, await studioCatalogue(db, loft));
	expect(plan.madeWith).toEqual({ clam: contentHash(findMovement('clam') as Movement) });
	expect(itemsOf(plan)).toHaveLength(1);
	expect(new Set(CATALOGUE.map(contentHash)).size).toBe(CATALOGUE.length);
});
