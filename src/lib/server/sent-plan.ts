import { readMovements } from '../core/formats';
import { planFaults, type ClassPlan, type Fault } from '../core/plan';
import type { Db } from './db/open';
import { keepMovements, movedOn, shelfWith, studioShelf, withStates } from './shelves';

/**
 * A plan that a client sends to be kept as a new one: with the movements that it brings along, read against the
 * states it was made with. The plan as it is to be stored, or what is wrong with it.
 */
export async function readSentPlan(
	db: Db,
	studioId: string,
	body: Record<string, unknown> | null
): Promise<{ plan: ClassPlan } | { faults: Fault[] }> {
	const today = await studioShelf(db, studioId);
	const brought = readMovements(body?.movements ?? [], today.shelf.find);
	if (!brought.ok) return { faults: brought.faults };
	const states = await keepMovements(db, studioId, brought.value);
	const plan = body?.plan as ClassPlan | undefined;
	const asked = { ...(plan?.madeWith ?? {}), ...states };
	const withAsked = typeof plan === 'object' && plan !== null ? { ...plan, madeWith: asked } : plan;
	const [kept = []] = await movedOn(db, studioId, today, [{ madeWith: asked } as ClassPlan]);
	const faults = planFaults(withAsked, shelfWith(today, kept).find);
	return faults.length ? { faults } : { plan: withStates(withAsked as ClassPlan, null, today) };
}
