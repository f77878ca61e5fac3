import { memoize } from '../movement';
import { sizeOf, type Here, type Tier } from '../people';
import type { Group } from './types';

/** How many people of each tier; people without a tier do what the room is given. */
export function peopleByTier(group: Group): Record<Tier, number> {
	const { tight, open } = group.tiers;
	return { tight, open, middling: Math.max(group.tiers.middling, group.size - tight - open) };
}

/** Everybody who usually comes, as a count to begin with. */
export const usuallyHere = (group: Group): Here => ({
	tiers: peopleByTier(group),
	cautions: group.cautions
});

const counted = memoize((group: Group, here: Here): Group => ({ ...group, size: sizeOf(here), ...here }));

/** A group as it is today, where somebody counted; one and the same object for the same count. */
export const groupToday = (group: Group, here: Here | undefined): Group =>
	here ? counted(group, here) : group;
