import { daysInWeek } from 'date-fns/constants';
import { findMovement } from '../../catalogue';
import { addDays } from '../../core/calendar';
import { fit } from '../../core/fit';
import { USUAL_PACE, type PaceModel } from '../../core/pace';
import { applyEdit, type ClassPlan } from '../../core/plan';
import { scriptOf } from '../../core/teach';
import { DEMO_GROUPS, type DemoGroupKey } from '../../demo/groups';
import { DEMO_PLANS } from '../../demo/plans';
import { ledEvents, SEASON_CHECK_INS, SEASON_NOTES, SEASON_STUDENT, SEASON_WEEKS } from '../../demo/season';
import { addCheckIn } from '../group/check-ins';
import { workHere } from '../compute/tasks';
import type { Db } from '../db/open';
import { newRowId } from '../db/ids';
import { createPlan } from '../plan/plans';
import { recordOfPlan, saveRecordOfPlan } from '../record/records';
import { createStudent } from '../group/students';
import { learnFromPlan } from '../record/teachers-pace';
import { addToSession, writeDownEnded } from '../record/sessions';
import type { Owner } from '../http/owner';

/** Teaches the demo's season: eight weeks of one group led step by step, and check-ins of three months. */
export async function seedSeason(
	db: Db,
	owner: Owner,
	ids: Record<DemoGroupKey, string>,
	monday: string
): Promise<void> {
	const dayOf = (group: DemoGroupKey, week: number) =>
		addDays(monday, daysInWeek * week + DEMO_GROUPS[group].weekday - 1);
	const { plan } = DEMO_PLANS.find(({ group, week }) => group === 'striders' && week === 0)!;
	for (const [i, notes] of SEASON_NOTES.entries()) {
		const week = i - SEASON_WEEKS;
		const day = dayOf('striders', week);
		const planId = await createPlan(db, owner.studioId, ids.striders, day, plan);
		const script = scriptOf(plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
		const startedAt = Date.parse(`${day}T${plan.startsAt}:00Z`);
		const events = ledEvents(script, startedAt, i);
		const id = newRowId();
		await addToSession(db, owner, id, {
			planId,
			groupId: ids.striders,
			startedAt,
			script,
			events: events.map((event, place) => ({ place, event })),
			at: Date.now()
		});
		await writeDownEnded(db, owner, id, day, workHere);
		const run = await recordOfPlan(db, owner.studioId, planId);
		const { planId: _plan, on: _on, startsAt: _at, ...written } = run!.run;
		await saveRecordOfPlan(db, owner, planId, run!.version, { ...written, ...notes }, day);
		await learnFromPlan(db, owner, planId, workHere);
	}
	for (const { group, week, checkIn } of SEASON_CHECK_INS)
		await addCheckIn(db, owner, ids[group], null, dayOf(group, week), checkIn);
	const { group, student, checkIns } = SEASON_STUDENT;
	const studentId = await createStudent(db, owner, ids[group], student);
	for (const { week, checkIn } of checkIns)
		await addCheckIn(db, owner, ids[group], studentId, dayOf(group, week), checkIn);
}

/** A class brought to its length again at the pace of its teacher; as it is where that does not go. */
export function atPace(plan: ClassPlan, pace: PaceModel): ClassPlan {
	const fitted = fit(plan, findMovement, pace);
	return fitted.ok ? applyEdit(plan, { do: 'setDoses', doses: fitted.doses, toLength: true }) : plan;
}
