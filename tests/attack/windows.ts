/**
 * Windows that work on the same documents: each reads, changes and saves as the browser does, in a random order. After
 * each run every text that the server said it had saved must be there, or must have been replaced by a window that had
 * seen it.
 */
import { findMovement } from '../../src/lib/catalogue';
import type { Group } from '../../src/lib/core/group';
import type { Movement } from '../../src/lib/core/movement';
import type { ClassPlan } from '../../src/lib/core/plan';
import { withNewIds, type SeriesDocument } from '../../src/lib/core/series';
import type { Db } from '../../src/lib/server/db/open';
import { newRowId } from '../../src/lib/server/db/ids';
import { createGroup, getGroup, saveGroup } from '../../src/lib/server/group/groups';
import { createPlan, getPlan, plansOfGroup, savePlan } from '../../src/lib/server/plan/plans';
import type { SaveResult } from '../../src/lib/server/http/save-result';
import { createSeries, getSeries, saveSeries } from '../../src/lib/server/series/series';
import { createOwn, getOwn, saveOwn } from '../../src/lib/server/studio/studio-catalogue';
import { createStudio } from '../../src/lib/server/studio/studios';
import { createTemplate, getTemplate, saveTemplate } from '../../src/lib/server/plan/templates';
import { seeded } from '../reference/seeded';
import { classWith, CLIMBERS, filled, seriesOf } from '../unit/series-built';

/** A document that windows share: how one reads it, and how one saves a text into it. */
interface Shared {
	read(): Promise<{ version: number; text: string } | null>;
	save(version: number, text: string): Promise<SaveResult<unknown>>;
}

interface Studio {
	db: Db;
	studioId: string;
}

const freshStudio = async (db: Db, teacherId: string): Promise<Studio> => ({
	db,
	studioId: (await createStudio(db, teacherId, 'Saltmarsh Loft', 'Europe/London')).id
});

const titled = (plan: ClassPlan, title: string): ClassPlan => ({ ...plan, title });

async function sharedPlan({ db, studioId }: Studio, groupId: string): Promise<Shared> {
	const id = await createPlan(db, studioId, groupId, null, titled(classWith(['clam']), 'begun'));
	return planAt({ db, studioId }, id);
}

const planAt = ({ db, studioId }: Studio, id: string): Shared => ({
	async read() {
		const stored = await getPlan(db, studioId, id);
		return stored && { version: stored.version, text: stored.plan.title };
	},
	save: (version, text) => savePlan(db, studioId, id, version, titled(classWith(['clam']), text))
});

async function sharedGroup({ db, studioId }: Studio): Promise<Shared> {
	const group: Group = { ...CLIMBERS, note: 'begun' };
	const id = await createGroup(db, studioId, group);
	return {
		async read() {
			const stored = await getGroup(db, studioId, id);
			return stored && { version: stored.version, text: stored.group.note };
		},
		save: (version, text) => saveGroup(db, studioId, id, version, { ...group, note: text })
	};
}

async function sharedTemplate({ db, studioId }: Studio): Promise<Shared> {
	const id = await createTemplate(db, studioId, titled(classWith(['clam']), 'begun'));
	return {
		async read() {
			const stored = await getTemplate(db, studioId, id);
			return stored && { version: stored.version, text: stored.plan.title };
		},
		save: (version, text) => saveTemplate(db, studioId, id, version, titled(classWith(['clam']), text))
	};
}

async function sharedMovement({ db, studioId }: Studio): Promise<Shared> {
	const own = (setUp: string): Movement => ({
		...(findMovement('clam') as Movement),
		slug:
			'own-' +
			newRowId()
				.toLowerCase()
				.replace(/[^a-z0-9]/g, 'x'),
		setUp
	});
	const made = own('begun');
	const slug = await createOwn(db, studioId, made);
	return {
		async read() {
			const stored = await getOwn(db, studioId, slug);
			return stored && { version: stored.version, text: stored.movement.setUp };
		},
		save: (version, text) => saveOwn(db, studioId, version, { ...made, slug, setUp: text })
	};
}

/** State of a document in one window: the version and text that it saw last. */
interface Seen {
	version: number;
	text: string;
}

/** Which text was written with which other one in sight; the text that is there now must lead back to every other. */
class Ledger {
	private readonly over = new Map<string, string>();

	saved(text: string, over: string): void {
		this.over.set(text, over);
	}

	/** Texts that the server said were saved and that neither are there nor were seen by who wrote over them. */
	lost(there: Iterable<string>): string[] {
		const safe = new Set<string>();
		for (let text of there)
			for (; !safe.has(text); text = this.over.get(text) as string) {
				safe.add(text);
				if (!this.over.has(text)) break;
			}
		return [...this.over.keys()].filter((text) => !safe.has(text));
	}
}

/** One run over a document of each kind but series; the texts that were lost. */
export async function windowsOnDocuments(db: Db, teacherId: string, seed: number): Promise<string[]> {
	const studio = await freshStudio(db, teacherId);
	const random = seeded(seed);
	const groupId = await createGroup(studio.db, studio.studioId, CLIMBERS);
	const makers = [
		() => sharedPlan(studio, groupId),
		() => sharedGroup(studio),
		() => sharedTemplate(studio),
		() => sharedMovement(studio)
	];
	const shared = await makers[Math.floor(random() * makers.length)]!();
	const windows: Seen[] = [];
	const first = (await shared.read())!;
	for (let i = 0; i < 2 + Math.floor(random() * 2); i++) windows.push({ ...first });
	const ledger = new Ledger();
	const steps = 6 + Math.floor(random() * 6);
	const under: Promise<void>[] = [];
	for (let step = 0; step < steps; step++) {
		const w = windows[Math.floor(random() * windows.length)]!;
		const text = `text ${step}`;
		const act = async () => {
			const { version, text: over } = w;
			if (random() < 0.3) Object.assign(w, await shared.read());
			else {
				const saved = await shared.save(version, text);
				if (saved.kind !== 'saved') return;
				ledger.saved(text, over);
				if (w.version < saved.version) Object.assign(w, { version: saved.version, text });
			}
		};
		// some at the same moment, some one after another
		under.push(act());
		if (random() < 0.6) await Promise.all(under);
	}
	await Promise.all(under);
	return ledger.lost([(await shared.read())!.text]);
}

/** State of a window of the series page: the series, the versions it is based on, and the text of its first class. */
interface SeriesWindow {
	version: number;
	planVersions: Record<string, number>;
	whole: SeriesDocument;
	planned: SeriesDocument;
	/** The text of the class as the server last told this window. */
	text: string;
}

/**
 * One run over a series and the class in it that windows take out, put back by undo and write at, at the desk and in the
 * series; the texts that were lost.
 */
export async function windowsOnSeries(db: Db, teacherId: string, seed: number): Promise<string[]> {
	const studio = await freshStudio(db, teacherId);
	const { studioId } = studio;
	const random = seeded(seed);
	const groupId = await createGroup(db, studioId, CLIMBERS);
	const begun = withNewIds(
		filled(seriesOf({ weeks: 2 }), () => titled(classWith(['clam']), 'begun')),
		newRowId
	);
	const classId = begun.series.classes[0]!.id;
	// not as it was proposed: taken out of the series, it stays as a class of the group
	begun.plans[classId] = titled(classWith(['frog']), 'begun');
	const id = await createSeries(db, { studioId, teacherId }, groupId, begun);
	const load = async (): Promise<SeriesWindow> => {
		const { version, planVersions, planned } = (await getSeries(db, studioId, id))!;
		const whole = planned.plans[classId] ? planned : begun;
		return { version, planVersions, whole, planned, text: planned.plans[classId]?.title ?? '' };
	};
	const seriesWindows = [await load(), await load()];
	const desk = planAt(studio, classId);
	const deskWindow = (await desk.read())!;
	const ledger = new Ledger();
	for (let step = 0; step < 12; step++) {
		const text = `text ${step}`;
		const which = random();
		if (which < 0.35) {
			if (random() < 0.3) Object.assign(deskWindow, await desk.read());
			const over = deskWindow.text;
			const saved = await desk.save(deskWindow.version, text);
			if (saved.kind === 'saved') {
				ledger.saved(text, over);
				Object.assign(deskWindow, { version: saved.version, text });
			}
			continue;
		}
		const w = seriesWindows[which < 0.7 ? 0 : 1]!;
		const next = edited(w, random(), classId, text);
		const saved = await saveSeries(db, studioId, id, w.version, w.planVersions, next);
		if (saved.kind === 'saved') {
			const now = next.plans[classId]?.title;
			// a text that this window did not know is kept apart by the server, and needs no one to have seen it
			if (now === text) ledger.saved(text, w.text);
			Object.assign(w, {
				version: saved.version,
				planVersions: { ...w.planVersions, ...saved.planVersions },
				planned: next,
				whole: next.plans[classId] ? next : w.whole,
				text: now ?? w.text
			});
		} else if (saved.kind === 'stale') Object.assign(w, await load());
	}
	const there = await plansOfGroup(db, studioId, groupId);
	return ledger.lost(there.map(({ plan }) => plan.title.replace(/( \(other version\))+$/, '')));
}

/** The series with the class taken out, put back as this window knew it, or written at. */
function edited(w: SeriesWindow, chance: number, classId: string, text: string): SeriesDocument {
	const { series, plans } = w.whole;
	if (chance < 0.35)
		return {
			series: { ...series, classes: series.classes.filter((c) => c.id !== classId) },
			plans: Object.fromEntries(Object.entries(plans).filter(([key]) => key !== classId))
		};
	if (chance < 0.7 || !plans[classId]) return w.whole;
	return { series, plans: { ...plans, [classId]: titled(plans[classId], text) } };
}
