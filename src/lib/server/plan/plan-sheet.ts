import { dayInZone, dayName } from '../../core/calendar';
import { groupToday, type Group } from '../../core/group';
import { compute } from '../compute/pool';
import { db } from '../db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '../http/endpoint';
import { loadPlanContext, planInput } from './plan-context';
import type { Tasks } from '../compute/tasks';

/** Sheets about the people of a class: computations that take a plan with everything it is read against. */
type SheetTask = 'room' | 'lived';

/** Loads a sheet of a class, for the group as it is today; 404 where the studio has no such class. */
export async function loadPlanSheet<T extends SheetTask>(
	task: T,
	{ params, locals, request }: { params: { id: string }; locals: App.Locals; request: Request }
): Promise<{ id: string; title: string; group: Group; day: string; sheet: ReturnType<Tasks[T]> }> {
	const today = dayInZone(new Date(), studioOfRequest(locals).timeZone);
	const context = orNotFound(await loadPlanContext(db(), ownerOfRequest(locals), params.id, today));
	const { stored, group } = context;
	return {
		id: stored.id,
		title: stored.plan.title,
		group: groupToday(group, stored.plan.here),
		day: stored.plannedOn ? dayName(stored.plannedOn) : '',
		sheet: await compute(task, planInput(context), request.signal)
	};
}
