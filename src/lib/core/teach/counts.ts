import type { GroupCheckIn, MomentOfTest } from '../hip-tests';
import type { Script } from './types';

/** A test in the first half of a class finds people as they come, one in the second as the class leaves them. */
export function momentOfTest({ steps, lengthSeconds }: Script, id: string): MomentOfTest {
	const index = steps.findIndex((step) => step.id === id);
	const before = steps.slice(0, index).reduce((sum, { seconds }) => sum + seconds, 0);
	return before < lengthSeconds / 2 ? 'before the class' : 'after the class';
}

/** Returns the counts as a check-in of the group. */
export const groupCheckInOf = ({
	test,
	moment,
	counts,
	stops
}: Omit<GroupCheckIn, 'kind'>): GroupCheckIn => ({
	kind: 'counts',
	test,
	moment,
	counts,
	...(stops ? { stops } : {})
});
