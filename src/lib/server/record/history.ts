import { secondsInMinute } from 'date-fns/constants';
import { and, eq, inArray } from 'drizzle-orm';
import { foundInHistory, type HistoryRow, type TaughtBefore } from '../../core/record';
import type { Db } from '../db/open';
import { plan, planMovement, taughtTime } from '../db/schema';
import { getGroup } from '../group/groups';
import { historyOfGroup, taughtCount } from './records';
import { mentionable, readable } from '../group/students';
import { studioCatalogue } from '../studio/studio-catalogue';
import type { Owner } from '../http/owner';

/** The history of a group as a page shows it. */
export interface GroupHistory {
	group: string;
	/** Of all classes, or of those that were found. */
	rows: HistoryRowOfClass[];
	/** How many there are: of the group, and of those that were found. */
	all: number;
	found: number;
	nameOf: (slug: string) => string;
}

/** A class of a group as its history lists it. */
export interface HistoryRowOfClass extends HistoryRow {
	id: string;
	/** Null where it had no plan, or the plan is not there any more. */
	planId: string | null;
	leftOut: readonly string[];
}

/**
 * The history of a group, the newest class first, with names as this teacher may read them: all of it, or one page
 * of the classes in which all words stand that are asked for. Null for another studio's group.
 */
export async function groupHistory(
	db: Db,
	owner: Owner,
	groupId: string,
	page?: { from: number; size: number; asked: string }
): Promise<GroupHistory | null> {
	const { studioId } = owner;
	const group = await getGroup(db, studioId, groupId);
	if (!group) return null;
	const isSearch = Boolean(page?.asked.trim());
	const [all, classes, { catalogue }, people] = await Promise.all([
		taughtCount(db, studioId, groupId),
		historyOfGroup(db, studioId, groupId, isSearch ? undefined : page),
		studioCatalogue(db, studioId),
		mentionable(db, owner, groupId)
	]);
	const nameOf = (slug: string) => catalogue.find(slug)?.english ?? slug;
	const rows = classes.map((taught) => ({
		...taught,
		run: readable(taught.run, people),
		leftOut: taught.run.leftOut.map(nameOf)
	}));
	const found = isSearch ? foundInHistory(rows, page!.asked) : rows;
	const shown = isSearch ? found.slice(page!.from, page!.from + page!.size) : found;
	const there = await plansThere(
		db,
		studioId,
		shown.flatMap(({ planId }) => planId ?? [])
	);
	return {
		group: group.group.name,
		rows: shown.map((row) => ({
			...row,
			planId: row.planId !== null && there.has(row.planId) ? row.planId : null
		})),
		all,
		found: isSearch ? found.length : all,
		nameOf
	};
}

/** Those of some plans that are there. */
async function plansThere(db: Db, studioId: string, ids: readonly string[]): Promise<ReadonlySet<string>> {
	if (ids.length === 0) return new Set();
	const rows = await db
		.select({ id: plan.id })
		.from(plan)
		.where(and(eq(plan.studioId, studioId), inArray(plan.id, [...ids])));
	return new Set(rows.map(({ id }) => id));
}

/** The last classes of a group with what is said of them over the weeks, the newest first. */
export async function lastTaught(
	db: Db,
	studioId: string,
	groupId: string,
	most: number
): Promise<TaughtBefore[]> {
	const classes = await historyOfGroup(db, studioId, groupId, { from: 0, size: most });
	const beside = await besideOf(db, studioId, classes);
	return classes.map((taught) => ({ ...taught, ...beside(taught) }));
}

/** How long the classes were to be, what was in them, and their sides where they were led. */
async function besideOf(
	db: Db,
	studioId: string,
	classes: readonly { id: string; planId: string | null }[]
): Promise<(taught: { id: string; planId: string | null }) => Omit<TaughtBefore, 'run'>> {
	const planIds = classes.flatMap(({ planId }) => planId ?? []);
	if (classes.length === 0) return () => ({ plannedMinutes: null, sides: null, planned: [] });
	const [lengths, movements, times] = await Promise.all([
		planIds.length
			? db
					.select({ id: plan.id, lengthSeconds: plan.lengthSeconds })
					.from(plan)
					.where(and(eq(plan.studioId, studioId), inArray(plan.id, planIds)))
			: [],
		planIds.length
			? db
					.select({ planId: planMovement.planId, slug: planMovement.slug })
					.from(planMovement)
					.where(and(eq(planMovement.studioId, studioId), inArray(planMovement.planId, planIds)))
			: [],
		db
			.select({ recordId: taughtTime.recordId, document: taughtTime.document })
			.from(taughtTime)
			.where(
				inArray(
					taughtTime.recordId,
					classes.map(({ id }) => id)
				)
			)
	]);
	const lengthOf = new Map(lengths.map(({ id, lengthSeconds }) => [id, lengthSeconds]));
	const sidesOf = new Map(times.map(({ recordId, document }) => [recordId, document.sides ?? null]));
	const slugsOf = new Map<string, string[]>();
	for (const { planId, slug } of movements) slugsOf.set(planId, [...(slugsOf.get(planId) ?? []), slug]);
	return ({ id, planId }) => {
		const seconds = planId === null ? undefined : lengthOf.get(planId);
		return {
			plannedMinutes: seconds === undefined ? null : Math.round(seconds / secondsInMinute),
			sides: sidesOf.get(id) ?? null,
			planned: planId === null ? [] : (slugsOf.get(planId) ?? [])
		};
	};
}
