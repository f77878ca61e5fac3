import { and, eq, type SQL } from 'drizzle-orm';
import { slugsOf, type ClassPlan } from '../../core/plan';
import type { Db } from '../db/open';
import { plan, planMovement } from '../db/schema';
import { clearRows, updateFrom } from '../db/versioned';

/** Where a plan stands: its day, its series, its group. */
type PlanKey = Partial<Pick<typeof plan.$inferInsert, 'plannedOn' | 'seriesId' | 'version'>>;
type NewPlace = PlanKey & Pick<typeof plan.$inferInsert, 'id' | 'studioId' | 'groupId'>;

/** The columns that follow from a document. */
const columns = (document: ClassPlan) => ({
	title: document.title,
	lengthSeconds: document.lengthSeconds,
	document
});

export const onePlan = (studioId: string, id: string): SQL =>
	and(eq(plan.id, id), eq(plan.studioId, studioId))!;

/** Writes a new plan, with the index of its movements. Every plan that is added comes through here. */
export async function addPlanRow(tx: Db, place: NewPlace, document: ClassPlan): Promise<void> {
	await tx.insert(plan).values({ ...place, ...columns(document) });
	await indexMovements(tx, place.studioId, place.id, document);
}

/** Writes another document into a plan over the version that it began from, with the index; false: it has another. */
export async function changePlanRow(
	tx: Db,
	studioId: string,
	id: string,
	fromVersion: number,
	document: ClassPlan,
	place: PlanKey = {}
): Promise<boolean> {
	const changes = { ...place, ...columns(document) };
	if (!(await updateFrom(tx, plan, onePlan(studioId, id), fromVersion, changes))) return false;
	const rows = and(eq(planMovement.studioId, studioId), eq(planMovement.planId, id))!;
	await clearRows(tx, planMovement, rows);
	await indexMovements(tx, studioId, id, document);
	return true;
}

async function indexMovements(tx: Db, studioId: string, planId: string, document: ClassPlan): Promise<void> {
	const rows = slugsOf(document).map((slug) => ({ studioId, planId, slug }));
	if (rows.length) await tx.insert(planMovement).values(rows);
}
