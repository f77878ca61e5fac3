import { memoize } from '../movement';
import { sizeOf, type Attendance, type Tier } from '../people';
import type { Region } from '../hip-tests';
import type { Group } from './types';

/**
 * How many people of each tier: where a movement works, if a check-in told that, else in one word for all. People without a tier do what the room is given. */
export function peopleByTier(group: Group, region: Region | null = null): Record<Tier, number> {
	const { tight, open, middling } = (region && group.regionTiers?.[region]) || group.tiers;
	return { tight, open, middling: Math.max(middling, group.size - tight - open) };
}

/** A group without what was measured of its people: that does not leave the studio in a file. */
export function unmeasured({ regionTiers: _tiers, moreOn: _more, ...group }: Group): Group {
	return group;
}

/** As usual, as a count to begin with. */
export const usuallyHere = (group: Group): Attendance => ({
	tiers: peopleByTier(group),
	cautions: group.cautions
});

const counted = memoize((group: Group, here: Attendance): Group => ({
	...group,
	size: sizeOf(here),
	...here
}));

/** A group as it is today, where the teacher counted; one and the same object for the same count. */
export const groupToday = (group: Group, here: Attendance | undefined): Group =>
	here ? counted(group, here) : group;
