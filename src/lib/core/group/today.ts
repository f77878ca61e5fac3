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

const today = new WeakMap<Group, WeakMap<Here, Group>>();

/** A group as it is today, where somebody counted; one and the same object for the same count. */
export function groupToday(group: Group, here: Here | undefined): Group {
	if (!here) return group;
	const counted = today.get(group) ?? new WeakMap<Here, Group>();
	today.set(group, counted);
	const known = counted.get(here) ?? { ...group, size: sizeOf(here), ...here };
	counted.set(here, known);
	return known;
}
