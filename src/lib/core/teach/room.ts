import type { Figure } from '../figure';
import type { Now } from './now';
import type { RunState } from './state';

/** What a second screen shows the people: the figure, the side and the count, and no word about persons. */
export interface RoomNow {
	now: Now;
	figures: Record<string, Figure>;
	mode: RunState['mode'];
}

/** The same moment without what is for the teacher alone: who does something else, what is said, what is owed. */
export function roomNow(
	now: Now,
	mode: RunState['mode'],
	figures: Readonly<Record<string, Figure>>
): RoomNow {
	const bare = <S extends Now['step'] | null>(step: S): S =>
		step && { ...step, say: [], people: [], kit: [], adjust: null };
	const key = now.step.figure;
	const drawn = key === null ? undefined : figures[key];
	return {
		now: { ...now, step: bare(now.step), next: bare(now.next), nextShape: bare(now.nextShape), owed: [] },
		figures: key !== null && drawn ? { [key]: drawn } : {},
		mode
	};
}
