import { nextWeekday, WEEKDAY_NAMES, weekdayOf, type Meeting } from '../calendar';
import type { Group } from './types';

type Meets = Pick<Group, 'weekday' | 'startsAt' | 'alsoMeets'>;

/** All meetings of a group in a week, the first one first. */
export const meetingsOf = ({ weekday, startsAt, alsoMeets = [] }: Meets): Meeting[] => [
	{ weekday, startsAt },
	...alsoMeets
];

/** Returns the fields of a group that hold its meetings (at least one). {@link meetingsOf} reads them. */
export const withMeetings = ([first, ...alsoMeets]: readonly Meeting[]): Meets => ({ ...first!, alsoMeets });

/** "Tuesday 19:15, Thursday 06:40". */
export const meetingWords = (group: Meets): string =>
	meetingsOf(group)
		.sort((a, b) => a.weekday - b.weekday)
		.map(({ weekday, startsAt }) => `${WEEKDAY_NAMES[weekday - 1]} ${startsAt}`)
		.join(', ');

/** When a class on a day begins: as on that weekday, or as the group's first meeting on any other. */
export const startOn = (group: Meets, isoDay: string): string =>
	meetingsOf(group).find(({ weekday }) => weekday === weekdayOf(isoDay))?.startsAt ?? group.startsAt;

/** The next day on which a group meets, from a day on; that day itself counts. */
export const nextMeeting = (group: Meets, fromDay: string): string =>
	meetingsOf(group)
		.map(({ weekday }) => nextWeekday(fromDay, weekday))
		.sort()[0]!;
