import type { Leg } from '../core/anatomy';
import { addDays } from '../core/calendar';
import type { PlanToRead } from './compute/tasks';
import type { Group } from '../core/group';
import type { Shelf } from '../core/movement';
import { firstSideOf, slugsOf } from '../core/plan';
import type { Db } from './db/open';
import { getGroup } from './groups';
import { getPlan, lastPlanOfGroup, taughtBefore, usedBetween, type StoredPlan } from './plans';
import { movedOn, movementsFor, shelfWith, studioShelf, type MovedOn, type StudioShelf } from './shelves';

/** Days that "the last four weeks" are. */
const LATELY_DAYS = 28;

/** Everything that a plan is read against. */
export interface PlanSetting {
	stored: StoredPlan;
	groupId: string;
	group: Group;
	today: StudioShelf;
	/** Movements that are not what they were when the plan was made. */
	moved: MovedOn[];
	shelf: Shelf;
	taughtBefore: string[];
	usedLately: string[];
	/** The leg that led in the group's class before this one; null when there was none. */
	lastFirstSide: Leg | null;
	/** Slugs of that class. */
	lastMovements: string[];
}

/** Loads a plan of this studio with its setting; null for another studio's and for none at all. `day`: today. */
export async function planSetting(
	db: Db,
	studioId: string,
	planId: string,
	day: string
): Promise<PlanSetting | null> {
	const stored = await getPlan(db, studioId, planId);
	const group = stored && (await getGroup(db, studioId, stored.groupId));
	if (!stored || !group) return null;
	const taughtOn = stored.taughtOn ?? day;
	const [today, earlier, met, usedLately] = await Promise.all([
		studioShelf(db, studioId),
		lastPlanOfGroup(db, studioId, group.id, { day: taughtOn, not: planId }),
		taughtBefore(db, studioId, group.id, taughtOn),
		usedBetween(db, studioId, addDays(taughtOn, -LATELY_DAYS), addDays(taughtOn, -1), group.id)
	]);
	const [moved = []] = await movedOn(db, studioId, today, [stored.plan]);
	return {
		stored,
		groupId: group.id,
		group: group.group,
		today,
		moved,
		shelf: shelfWith(today, moved),
		taughtBefore: met,
		lastMovements: earlier ? slugsOf(earlier.plan) : [],
		lastFirstSide: earlier ? firstSideOf(earlier.plan) : null,
		usedLately
	};
}

/** The same as plain data, for what is worked out in threads. */
export function planToRead({
	stored,
	group,
	today,
	moved,
	taughtBefore,
	lastFirstSide
}: PlanSetting): PlanToRead {
	return {
		plan: stored.plan,
		group,
		movements: movementsFor(today, moved),
		taughtBefore,
		lastFirstSide
	};
}

/** The usual day to look back from when nothing is dated. */
export const latelyFrom = (day: string) => addDays(day, -LATELY_DAYS);
