import type { Leg } from '../../core/anatomy';
import { addDays } from '../../core/calendar';
import type { PlanInput } from '../compute/tasks';
import type { Group } from '../../core/group';
import type { CatalogueView, OutdatedMovement } from '../../core/movement';
import type { PaceModel } from '../../core/pace';
import { firstSideOf, slugsOf } from '../../core/plan';
import type { FamiliarMovements } from '../../core/record';
import { type SilencedCheck } from '../../core/checks';
import { analysePlan, planContext } from '../../core/analysis';
import { LATELY_CLASSES, sumOfOrbits, type Lately } from '../../core/orbit';
import type { Db } from '../db/open';
import { getGroup } from '../group/groups';
import { getPlan, lastPlansOfGroup, type StoredPlan } from './plans';
import { metBefore } from '../record/records';
import { silencedChecks } from '../studio/silenced-checks';
import { paceOfTeacher } from '../record/teachers-pace';
import {
	outdatedMovements,
	movementsFor,
	catalogueWith,
	studioCatalogue,
	type StudioCatalogue
} from '../studio/studio-catalogue';
import type { Owner } from '../http/owner';

/** Days that "the last four weeks" are. */
const LATELY_DAYS = 28;

/** Everything that a plan is read against. */
export interface StoredPlanContext {
	stored: StoredPlan;
	groupId: string;
	group: Group;
	current: StudioCatalogue;
	/** Movements that are not what they were when the plan was made. */
	moved: OutdatedMovement[];
	catalogue: CatalogueView;
	/** Movements that the group has met before this class, and in the weeks before it. */
	known: FamiliarMovements;
	usedLately: FamiliarMovements;
	/** The pace of who teaches. */
	pace: PaceModel;
	/** The leg that led in the group's class before this one; null when there was none. */
	lastFirstSide: Leg | null;
	/** Checks that who teaches does not want to hear of. */
	silencedChecks: SilencedCheck[];
	/** Slugs of that class. */
	lastMovements: string[];
	/** The last classes of the group before this one, counted as one. */
	lately: Lately;
}

/** Loads a plan of this studio with its setting, as this teacher teaches it; null for another studio's and for none at all. `day`: the day it is now. */
export async function loadPlanContext(
	db: Db,
	{ studioId, teacherId }: Owner,
	planId: string,
	day: string
): Promise<StoredPlanContext | null> {
	const stored = await getPlan(db, studioId, planId);
	const group = stored && (await getGroup(db, studioId, stored.groupId));
	if (!stored || !group) return null;
	const on = stored.plannedOn ?? day;
	const [current, earlier, { known, lately }, pace, silenced] = await Promise.all([
		studioCatalogue(db, studioId),
		lastPlansOfGroup(db, studioId, group.id, LATELY_CLASSES, { day: on, not: planId }),
		metBefore(db, studioId, group.id, on, latelyFrom(on)),
		paceOfTeacher(db, teacherId),
		silencedChecks(db, teacherId)
	]);
	const plans = earlier.map(({ plan }) => plan);
	const [moved = [], ...movedBefore] = await outdatedMovements(db, studioId, current, [
		stored.plan,
		...plans
	]);
	const orbits = plans.map((plan, i) => {
		const context = planContext(catalogueWith(current, movedBefore[i]!), group.group, pace);
		return analysePlan(plan, context, new Set()).orbit;
	});
	const last = plans[0];
	return {
		stored,
		groupId: group.id,
		group: group.group,
		current,
		moved,
		catalogue: catalogueWith(current, moved),
		known,
		pace,
		silencedChecks: silenced,
		lastMovements: last ? slugsOf(last) : [],
		lastFirstSide: last ? firstSideOf(last) : null,
		lately: { classes: orbits.length, orbit: sumOfOrbits(orbits) },
		usedLately: lately
	};
}

/** The same as plain data, for what is worked out in threads. */
export function planInput({
	stored,
	group,
	current,
	moved,
	known,
	pace,
	silencedChecks: silenced,
	lastFirstSide
}: StoredPlanContext): PlanInput {
	return {
		plan: stored.plan,
		group,
		movements: movementsFor(current, moved),
		known,
		pace,
		silencedChecks: silenced,
		lastFirstSide
	};
}

/** The usual day to look back from when nothing is dated. */
export const latelyFrom = (day: string) => addDays(day, -LATELY_DAYS);
