import { addDays, dayName } from '../../core/calendar';
import { itemsOf, slugsOf } from '../../core/plan';
import type { Db } from '../db/open';
import { getPlan, type StoredPlan } from '../plan/plans';
import { lastRecordWithoutFeedback } from './records';
import { getSeries } from '../series/series';
import { mentionable, readable } from '../group/students';
import type { StudioCatalogue } from '../studio/studio-catalogue';
import type { Owner } from '../http/owner';

/** Classes before this many days are not asked about. */
const ASKED_FOR_DAYS = 21;
const MOST_MOVEMENTS = 3;

/**
 * Returns the questions to ask when the next class of a group is opened: how the last class felt, and whether people
 * could do what it led to (the rungs of its series, else its peak). Null where there is nothing to ask.
 */
export async function pendingFeedback(
	db: Db,
	owner: Owner,
	next: StoredPlan,
	current: StudioCatalogue,
	day: string
) {
	const { studioId } = owner;
	const before = next.plannedOn ?? day;
	const run = await lastRecordWithoutFeedback(
		db,
		studioId,
		next.groupId,
		before,
		addDays(before, -ASKED_FOR_DAYS)
	);
	const plan = run?.run.planId ? await getPlan(db, studioId, run.run.planId) : null;
	if (!run || !plan) return null;
	const inIt = new Set(slugsOf(plan.plan));
	const series = plan.seriesId ? await getSeries(db, studioId, plan.seriesId) : null;
	const rungs =
		series?.planned.series.ladders.flatMap(({ rungs: of }) => of.map(({ movement }) => movement)) ?? [];
	const peak = itemsOf({ ...plan.plan, sections: plan.plan.sections.filter(({ kind }) => kind === 'peak') });
	const climbed = rungs.filter((slug) => inIt.has(slug));
	const asked = climbed.length ? climbed : peak.map(({ movement }) => movement);
	const { planId: _plan, on, startsAt: _at, ...notes } = run.run;
	return {
		planId: plan.id,
		version: run.version,
		day: dayName(on),
		notes: readable(notes, await mentionable(db, owner, plan.groupId)),
		movements: [...new Set(asked)]
			.filter((slug) => !notes.leftOut.includes(slug))
			.slice(0, MOST_MOVEMENTS)
			.map((slug) => ({ slug, english: current.catalogue.find(slug)?.english ?? slug }))
	};
}
