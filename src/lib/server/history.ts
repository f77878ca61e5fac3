import { and, eq, inArray } from 'drizzle-orm';
import type { HistoryRow, TaughtBefore } from '../core/run';
import type { Db } from './db/open';
import { plan, planMovement, taughtTime } from './db/schema';
import { getGroup } from './groups';
import { historyOfGroup } from './runs';
import { studioCatalogue } from './studio-catalogue';

/** A class of a group as its history lists it, with what is known of it beside. */
export interface HistoryOfClass extends HistoryRow, TaughtBefore {
	id: string;
	planId: string | null;
	leftOut: readonly string[];
}

/** The history of a group, and what movements are called; null for another studio's group. */
export async function groupHistory(
	db: Db,
	studioId: string,
	groupId: string
): Promise<{ group: string; rows: HistoryOfClass[]; nameOf: (slug: string) => string } | null> {
	const group = await getGroup(db, studioId, groupId);
	if (!group) return null;
	const [classes, { catalogue }] = await Promise.all([
		historyOfGroup(db, studioId, groupId),
		studioCatalogue(db, studioId)
	]);
	const nameOf = (slug: string) => catalogue.find(slug)?.english ?? slug;
	const beside = await besideOf(db, studioId, classes);
	const rows = classes.map((taught) => ({
		...taught,
		...beside(taught),
		leftOut: taught.run.leftOut.map(nameOf)
	}));
	return { group: group.group.name, rows, nameOf };
}

const SECONDS_PER_MINUTE = 60;

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
			.select({ runId: taughtTime.runId, document: taughtTime.document })
			.from(taughtTime)
			.where(
				inArray(
					taughtTime.runId,
					classes.map(({ id }) => id)
				)
			)
	]);
	const lengthOf = new Map(lengths.map(({ id, lengthSeconds }) => [id, lengthSeconds]));
	const sidesOf = new Map(times.map(({ runId, document }) => [runId, document.sides ?? null]));
	const slugsOf = new Map<string, string[]>();
	for (const { planId, slug } of movements) slugsOf.set(planId, [...(slugsOf.get(planId) ?? []), slug]);
	return ({ id, planId }) => {
		const seconds = planId === null ? undefined : lengthOf.get(planId);
		return {
			plannedMinutes: seconds === undefined ? null : Math.round(seconds / SECONDS_PER_MINUTE),
			sides: sidesOf.get(id) ?? null,
			planned: planId === null ? [] : (slugsOf.get(planId) ?? [])
		};
	};
}
