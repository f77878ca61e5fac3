import { LRUCache } from 'lru-cache';
import type { Group } from '../../core/group';
import type { PaceModel } from '../../core/pace';
import { contentText, type ClassPlan } from '../../core/plan';
import type { PlanCard } from '../compute/plan-card';
import { compute } from '../compute/pool';
import type { SilencedCheck } from '../../core/checks';
import type { Db } from '../db/open';
import { silencedChecks } from '../studio/silenced-checks';
import { paceOfTeacher } from '../record/teachers-pace';
import { outdatedMovements, movementsFor, type StudioCatalogue } from '../studio/studio-catalogue';

interface PlanOfCard {
	id: string;
	version: number;
	groupId: string;
	plannedOn: string | null;
	plan: ClassPlan;
}

/** A group, and which state of it this is. */
interface GroupOfCard {
	version: number;
	group: Group;
}

/** Cards that were worked out, by everything that they follow from; some 3 kB each. */
const known = new LRUCache<string, PlanCard>({ max: 2000 });

/** How a teacher reads a class: at their pace, without the checks that they do not want to hear of. */
export interface TeacherPreferences {
	pace: PaceModel;
	silencedChecks: readonly SilencedCheck[];
}

export async function teacherPreferences(db: Db, teacherId: string): Promise<TeacherPreferences> {
	const [pace, silenced] = await Promise.all([paceOfTeacher(db, teacherId), silencedChecks(db, teacherId)]);
	return { pace, silencedChecks: silenced };
}

/** Plans as cards show them to a teacher, each against its group. Each state of a plan is worked out once. */
export async function planCards(
	db: Db,
	studioId: string,
	current: StudioCatalogue,
	plans: readonly PlanOfCard[],
	groupOf: (plan: PlanOfCard) => GroupOfCard,
	{ pace, silencedChecks }: TeacherPreferences,
	givenUp: AbortSignal
): Promise<PlanCard[]> {
	const moved = await outdatedMovements(
		db,
		studioId,
		current,
		plans.map(({ plan }) => plan)
	);
	const keys = plans.map((plan, i) =>
		[
			studioId,
			plan.id,
			plan.version,
			plan.groupId,
			groupOf(plan).version,
			contentText(groupOf(plan).group.kit),
			current.state,
			contentText(pace),
			contentText(silencedChecks),
			...moved[i]!.map(({ slug, now }) => `${slug} ${now}`)
		].join('/')
	);
	const missing = plans.flatMap((plan, i) => (known.has(keys[i]!) ? [] : [{ plan, i }]));
	if (missing.length) {
		const input = missing.map(({ plan: { id, groupId, plannedOn, plan }, i }) => ({
			id,
			groupId,
			plannedOn,
			plan,
			group: groupOf(plans[i]!).group,
			movements: movementsFor(current, moved[i] ?? []),
			pace,
			silencedChecks
		}));
		const cards = await compute('cards', input, givenUp);
		missing.forEach(({ i }, n) => known.set(keys[i]!, cards[n]!));
		if (missing.length === plans.length) return cards;
	}
	const fresh = new Map(missing.map(({ i }) => [i, known.get(keys[i]!)]));
	// the day is not part of a plan's version: a series may have moved it
	return plans.map(({ plannedOn }, i) => ({ ...(fresh.get(i) ?? known.get(keys[i]!))!, plannedOn }));
}
