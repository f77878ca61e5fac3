/** Series in MariaDB: kept with their plans as one, and nothing lost when two windows change them. */
import { USUAL_PACE } from '../../src/lib/core/pace';
import ICAL from 'ical.js';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { catalogueView } from '../../src/lib/core/movement';
import { itemsOf, sectionsHash } from '../../src/lib/core/plan';
import {
	momentOf,
	type PlannedSeries,
	analyseSeries,
	rungOf,
	rungWords,
	type SeriesDocument,
	withNewIds,
	withProposed
} from '../../src/lib/core/series';
import { seriesCalendar } from '../../src/lib/server/http/calendar-file';
import { TASKS } from '../../src/lib/server/compute/tasks';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import { newRowId } from '../../src/lib/server/db/ids';
import { teacher } from '../../src/lib/server/db/schema';
import { createGroup } from '../../src/lib/server/group/groups';
import { createPlan, removePlan, getPlan, plansOfGroup, savePlan } from '../../src/lib/server/plan/plans';
import { readSentSeries } from '../../src/lib/server/series/series-upload';
import { makeLink, revokeLink, seriesOfLink } from '../../src/lib/server/series/link';
import { removeSeries, restoreSeries } from '../../src/lib/server/series/removal';
import { createSeries, getSeries, listSeries, saveSeries } from '../../src/lib/server/series/series';
import {
	loadSeriesContext,
	seriesInput,
	type StoredSeriesContext
} from '../../src/lib/server/series/series-context';
import { recordCatalogue } from '../../src/lib/server/studio/studio-catalogue';
import { createStudio } from '../../src/lib/server/studio/studios';
import { classWith, CLIMBERS, filled, ladder, seriesOf } from './series-built';
import { freshDatabase } from './database';

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;
let loft: string;
let shed: string;
let group: string;
const imke = { studioId: '', teacherId: 'imke' };

beforeAll(async () => {
	server = await freshDatabase();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
	for (const id of ['imke', 'tamsin'])
		await db.insert(teacher).values({ id, name: id, email: `${id}@wick-hollow.example` });
	loft = (await createStudio(db, 'imke', 'Saltmarsh Loft', 'Europe/London')).id;
	imke.studioId = loft;
	shed = (await createStudio(db, 'tamsin', 'Boat shed', 'Europe/London')).id;
	await recordCatalogue(db);
	group = await createGroup(db, loft, CLIMBERS);
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

const fresh = (): PlannedSeries =>
	withNewIds(
		filled(seriesOf({ weeks: 3, ladders: [ladder('90-90-switch', 'full')] }), () => classWith(['clam'])),
		newRowId
	);

async function kept(planned = fresh()) {
	const id = await createSeries(db, imke, group, planned);
	return { id, stored: (await getSeries(db, loft, id))! };
}

describe('a series', () => {
	it('comes back as it was written, its classes as plans of the group on their days', async () => {
		const planned = fresh();
		const { id, stored } = await kept(planned);
		expect(stored).toMatchObject({ version: 1, groupId: group, linked: false });
		expect(stored.planned).toEqual(planned);
		const first = planned.series.classes[0]!;
		expect(await getPlan(db, loft, first.id)).toMatchObject({ plannedOn: first.on, seriesId: id });
		expect((await listSeries(db, loft)).map((s) => s.id)).toContain(id);
	});

	it('is not there for another studio: to read, to save, to subscribe to, to let go', async () => {
		const { id, stored } = await kept();
		expect(await getSeries(db, shed, id)).toBeNull();
		expect(await loadSeriesContext(db, shed, id, USUAL_PACE)).toBeNull();
		expect(await saveSeries(db, shed, id, 1, stored.planVersions, stored.planned)).toEqual({
			kind: 'missing'
		});
		expect(await makeLink(db, shed, id)).toBeNull();
		expect(await removeSeries(db, shed, id, 1)).toBe('missing');
		expect((await listSeries(db, shed)).map((s) => s.id)).not.toContain(id);
	});

	it('saves over the version that the change began from, all of it or nothing', async () => {
		const { id, stored } = await kept();
		const { planned } = stored;
		const titled = { ...planned, series: { ...planned.series, title: 'First' } };
		expect(await saveSeries(db, loft, id, 1, stored.planVersions, titled)).toMatchObject({
			kind: 'saved',
			version: 2
		});
		const [c] = planned.series.classes;
		const late = {
			series: { ...planned.series, title: 'Late' },
			plans: { ...planned.plans, [c!.id]: classWith(['frog']) }
		};
		const answer = await saveSeries(db, loft, id, 1, stored.planVersions, late);
		expect(answer.kind === 'stale' && answer.current.planned.series.title).toBe('First');
		expect(itemsOf((await getPlan(db, loft, c!.id))!.plan)[0]!.movement).toBe('clam');
	});

	it('is changed by a change of one of its plans at the desk, and the desk by the series', async () => {
		const { id, stored } = await kept();
		const [c] = stored.planned.series.classes;
		expect(await savePlan(db, loft, c!.id, 1, classWith(['frog']))).toMatchObject({ kind: 'saved' });
		const late = await saveSeries(db, loft, id, 1, stored.planVersions, stored.planned);
		expect(late.kind === 'stale' && itemsOf(late.current.planned.plans[c!.id]!)[0]!.movement).toBe('frog');
		// and the other way round
		const now = (await getSeries(db, loft, id))!;
		const plans = { ...now.planned.plans, [c!.id]: classWith(['butterfly']) };
		expect(
			await saveSeries(db, loft, id, now.version, now.planVersions, { ...now.planned, plans })
		).toMatchObject({
			kind: 'saved'
		});
		expect((await savePlan(db, loft, c!.id, 2, classWith(['cat-cow']))).kind).toBe('stale');
		expect(await removePlan(db, loft, c!.id, 3)).toBe('removed');
		const gone = (await getSeries(db, loft, id))!;
		expect(gone.version).toBe(now.version + 2);
		expect(gone.planned.plans[c!.id]).toBeUndefined();
	});

	it('that takes a class back in never writes over what became of it elsewhere', async () => {
		const { id, stored } = await kept();
		const { planned, planVersions } = stored;
		const [a, b] = planned.series.classes;
		// the class is changed by hand, so that it outlives being taken out
		const byHand = { ...planned, plans: { ...planned.plans, [b!.id]: classWith(['frog']) } };
		const first = await saveSeries(db, loft, id, 1, planVersions, byHand);
		const known = first.kind === 'saved' ? { ...planVersions, ...first.planVersions } : {};
		const without = {
			series: { ...planned.series, classes: [a!] },
			plans: { [a!.id]: planned.plans[a!.id]! }
		};
		expect(await saveSeries(db, loft, id, 2, known, without)).toMatchObject({ kind: 'saved' });
		const alone = (await getPlan(db, loft, b!.id))!;
		const elsewhere = classWith(['butterfly']);
		expect(await savePlan(db, loft, b!.id, alone.version, elsewhere)).toMatchObject({ kind: 'saved' });
		// the first window undoes: its own class is back in the series, the other text is a class of its own
		const undone = await saveSeries(db, loft, id, 3, known, byHand);
		expect(undone).toMatchObject({ kind: 'saved', keptApart: [expect.stringContaining('other version')] });
		expect(itemsOf((await getPlan(db, loft, b!.id))!.plan)[0]!.movement).toBe('frog');
		const apart = (await plansOfGroup(db, loft, group)).find(({ plan }) =>
			plan.title.endsWith('(other version)')
		);
		expect(apart).toMatchObject({ seriesId: null, plan: { sections: elsewhere.sections } });
		// and the window that wrote it learns of it at its next save
		expect((await savePlan(db, loft, b!.id, alone.version + 1, elsewhere)).kind).toBe('stale');
	});

	it('takes over the time that a class was given at the desk', async () => {
		const { id, stored } = await kept();
		const [c] = stored.planned.series.classes;
		await savePlan(db, loft, c!.id, 1, { ...stored.planned.plans[c!.id]!, startsAt: '08:15' });
		expect((await getSeries(db, loft, id))!.planned.series.classes[0]!.startsAt).toBe('08:15');
	});

	it('lets go of a proposed class without a date, and keeps one that was changed by hand', async () => {
		const planned = fresh();
		const [a, b, c] = planned.series.classes;
		const { id, stored } = await kept(withProposed(planned, { [b!.id]: classWith(['frog']) }));
		const fewer = {
			series: { ...stored.planned.series, classes: [a!] },
			plans: { [a!.id]: stored.planned.plans[a!.id]! }
		};
		expect(await saveSeries(db, loft, id, 1, stored.planVersions, fewer)).toMatchObject({ kind: 'saved' });
		expect(await getPlan(db, loft, b!.id)).toBeNull();
		expect(await getPlan(db, loft, c!.id)).toMatchObject({ plannedOn: null, seriesId: null });
		// undone: both are there again under their ids
		expect(await saveSeries(db, loft, id, 2, stored.planVersions, stored.planned)).toMatchObject({
			kind: 'saved'
		});
		expect((await getSeries(db, loft, id))!.planned).toEqual(stored.planned);
	});

	it('that is let go leaves its classes to the group', async () => {
		const { id, stored } = await kept();
		expect(await removeSeries(db, loft, id, 7)).toBe('stale');
		expect(await removeSeries(db, loft, id, 1)).toBe('removed');
		const left = (await plansOfGroup(db, loft, group)).map((plan) => plan.id);
		for (const c of stored.planned.series.classes) expect(left).toContain(c.id);
		expect(await restoreSeries(db, shed, id)).toBe(false);
		expect(await restoreSeries(db, loft, id)).toBe(true);
		expect((await getSeries(db, loft, id))!.planned).toEqual(stored.planned);
		expect(await restoreSeries(db, loft, id)).toBe(false);
	});

	it('is subscribed to with a secret that is kept as its hash, renewed and taken back', async () => {
		const { id } = await kept();
		const first = (await makeLink(db, loft, id))!;
		expect((await seriesOfLink(db, first))?.id).toBe(id);
		const second = (await makeLink(db, loft, id))!;
		expect(second).not.toBe(first);
		expect(await seriesOfLink(db, first)).toBeNull();
		expect((await getSeries(db, loft, id))!.linked).toBe(true);
		const [rows] = await handle.pool.query('select link_hash from series where id = ?', [id]);
		expect(JSON.stringify(rows)).not.toContain(second);
		expect(await revokeLink(db, loft, id)).toBe(true);
		expect(await seriesOfLink(db, second)).toBeNull();
		expect(await seriesOfLink(db, '')).toBeNull();
	});

	it('knows what the group met before it began', async () => {
		const earlier = await createGroup(db, loft, { ...CLIMBERS, name: 'Earlier' });
		await createPlan(db, loft, earlier, '2026-10-01', classWith(['happy-baby']));
		const id = await createSeries(db, imke, earlier, fresh());
		const context = (await loadSeriesContext(db, loft, id, USUAL_PACE))!;
		expect(context.knownBefore).toEqual(['happy-baby']);
		const analysis = analyseSeries(context.stored.planned, contextOfSeries(context));
		expect(analysis.classes).toHaveLength(3);
	});
});

it('a series takes in what its group has already at the day and time of one of its classes, and nothing else', async () => {
	const group = await createGroup(db, loft, { ...CLIMBERS, name: 'Booked already' });
	const begun = fresh();
	const [first, second] = begun.series.classes;
	const at = (startsAt: string) => ({ ...classWith(['happy-baby']), startsAt });
	const taken = await createPlan(db, loft, group, first!.on, at(first!.startsAt));
	const earlier = await createPlan(db, loft, group, second!.on, at('07:05'));
	const empty = { series: begun.series, plans: {} };
	const id = await createSeries(db, imke, group, empty);
	const { planned } = (await getSeries(db, loft, id))!;
	expect(planned.series.classes.map((c) => c.id)).toEqual([
		taken,
		...begun.series.classes.slice(1).map((c) => c.id)
	]);
	expect(Object.keys(planned.plans)).toEqual([taken]);
	expect((await getPlan(db, loft, taken))!.seriesId).toBe(id);
	expect((await getPlan(db, loft, earlier))!.seriesId).toBeNull();
	// a plan in one series is in no second one
	const other = await createSeries(db, imke, group, { series: fresh().series, plans: {} });
	expect((await getPlan(db, loft, taken))!.seriesId).toBe(id);
	expect(Object.keys((await getSeries(db, loft, other))!.planned.plans)).toEqual([]);
});

const calendarOf = (context: StoredSeriesContext) =>
	seriesCalendar(context, 'Saltmarsh Loft', new Date(0), (input) => Promise.resolve(TASKS.dates(input)));

/** Returns the context that the page of a series is analysed against. */
function contextOfSeries(context: StoredSeriesContext) {
	const { group, movements, knownBefore, pace } = seriesInput(context);
	const { find, offered } = catalogueView(CATALOGUE, movements.own, movements.leftOut, movements.kept);
	return { group, find, catalogue: offered, knownBefore: [...knownBefore], pace };
}

describe('the dates of a series for other calendars', () => {
	const notes = async (id: string) => {
		const text = await calendarOf((await loadSeriesContext(db, loft, id, USUAL_PACE))!);
		const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
		return calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event).description ?? '');
	};

	it('have the rungs that the page shows, also for a group that knew much before', async () => {
		const veterans = await createGroup(db, loft, { ...CLIMBERS, name: 'Veterans' });
		const slugs = ['clam', 'cat-cow', 'seated-knee-wipers'];
		await createPlan(db, loft, veterans, '2026-10-01', classWith(slugs));
		const ladders = [ladder('90-90-switch', 'full'), ladder('low-lunge-knee-lift', 'full')];
		const id = await createSeries(db, imke, veterans, withNewIds(seriesOf({ ladders }), newRowId));
		const context = (await loadSeriesContext(db, loft, id, USUAL_PACE))!;
		const shown = analyseSeries(context.stored.planned, contextOfSeries(context));
		const words = shown.classes.map((c) =>
			c.given.map((g) => rungWords(rungOf(shown.planned.series, g), findMovement)).join('\n')
		);
		expect(await notes(id)).toEqual(words);
		const asIfNew = analyseSeries(context.stored.planned, { ...contextOfSeries(context), knownBefore: [] });
		expect(asIfNew.classes.map((c) => c.given)).not.toEqual(shown.classes.map((c) => c.given));
	});

	it('are at their moments, in their room, with nothing of the people', async () => {
		const { id, stored } = await kept();
		const text = await calendarOf((await loadSeriesContext(db, loft, id, USUAL_PACE))!);
		const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
		const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
		const { series } = stored.planned;
		expect(events.map((event) => event.startDate.toJSDate())).toEqual(
			series.classes.map((c) => momentOf(c, 'Europe/London'))
		);
		for (const event of events) {
			expect(event.endDate.toUnixTime() - event.startDate.toUnixTime()).toBe(series.lengthSeconds);
			expect([event.location, event.sequence]).toEqual(['Saltmarsh Loft', 1]);
		}
		expect(text).not.toContain('pinch');
	});
});

describe('a series as a client sends it', () => {
	it('is kept with the states of its movements, or refused with every fault', async () => {
		const { id, stored } = await kept();
		const good = await readSentSeries(db, loft, stored.planned, { id, planned: stored.planned });
		expect('planned' in good && Object.values(good.planned.plans)[0]!.madeWith).toHaveProperty('clam');
		for (const wrong of [null, 7, [], {}, { series: stored.planned.series }, { ...stored.planned, plans: 3 }])
			expect(await readSentSeries(db, loft, wrong, null)).toHaveProperty('faults');
		const bad = structuredClone(stored.planned);
		bad.series.weeks = 99;
		expect(await readSentSeries(db, loft, bad, { id, planned: stored.planned })).toMatchObject({
			faults: [{ path: 'series.weeks' }]
		});
	});

	it('takes no plan of another series; an id that another studio has too is its own here', async () => {
		const { stored } = await kept();
		const theirs = await createGroup(db, shed, CLIMBERS);
		const foreign = await createPlan(db, shed, theirs, null, classWith(['clam']));
		const { id, stored: own } = await kept();
		const [c] = own.planned.series.classes;
		const swapped = (planId: string): SeriesDocument => ({
			series: {
				...own.planned.series,
				classes: own.planned.series.classes.map((x) => (x.id === c!.id ? { ...x, id: planId } : x))
			},
			plans: { [planId]: classWith(['frog']) }
		});
		const taken = stored.planned.series.classes[0]!.id;
		expect(await readSentSeries(db, loft, swapped(taken), { id, planned: own.planned })).toMatchObject({
			faults: [{ path: `plans.${taken}` }]
		});
		expect(await saveSeries(db, loft, id, 1, own.planVersions, swapped(foreign))).toMatchObject({
			kind: 'saved'
		});
		expect(itemsOf((await getPlan(db, loft, foreign))!.plan)[0]!.movement).toBe('frog');
		expect(sectionsHash((await getPlan(db, shed, foreign))!.plan)).toBe(sectionsHash(classWith(['clam'])));
	});
});
