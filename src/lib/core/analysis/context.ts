import type { PlanContext } from '../checks';
import type { Group } from '../group';
import type { CatalogueView } from '../movement';
import type { PaceModel } from '../pace';

/**
 * Returns the context for analysing a plan. Every analysis takes its context from here.
 * @param catalogue what may be added, and what is looked up
 * @param group null where the people are not known: then `more` names the targets
 */
export function planContext(
	{ offered, find }: Pick<CatalogueView, 'offered' | 'find'>,
	group: Group,
	pace: PaceModel,
	more?: Omit<Partial<PlanContext>, 'group' | 'pace' | 'find' | 'catalogue'>
): PlanContext & { group: Group };
export function planContext(
	{ offered, find }: Pick<CatalogueView, 'offered' | 'find'>,
	group: Group | null,
	pace: PaceModel,
	more: Omit<Partial<PlanContext>, 'group' | 'pace' | 'find' | 'catalogue'> & Pick<PlanContext, 'targets'>
): PlanContext;
export function planContext(
	{ offered, find }: Pick<CatalogueView, 'offered' | 'find'>,
	group: Group | null,
	pace: PaceModel,
	more: Partial<PlanContext> = {}
): PlanContext {
	const targets = more.targets ?? group!.targets;
	return { ...more, catalogue: offered, find, targets, group, pace };
}
