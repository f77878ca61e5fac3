import { millisecondsInDay } from 'date-fns/constants';
import { TZDate } from '@date-fns/tz';
import { utc, UTCDate } from '@date-fns/utc';
import {
	addDays as daysLater,
	differenceInCalendarDays,
	format,
	getISODay,
	getISOWeek,
	getISOWeekYear,
	startOfISOWeek
} from 'date-fns';

/** Days of the calendar are counted in a zone without clock changes; what zone a studio has does not matter to them. */
const IN = { in: utc };
const dateOf = (isoDay: string): UTCDate => new UTCDate(`${isoDay}T00:00:00Z`);
const isoDayOf = (date: Date): string => date.toISOString().slice(0, 10);

/** A week of the studio's calendar, Monday first; days are ISO dates ("2026-11-24"). */
export interface Week {
	/** ISO week, e.g. "2026-W48". */
	id: string;
	days: string[];
	previousId: string;
	nextId: string;
}

/** When a group meets: ISO weekday (1 Monday to 7 Sunday) and time on the studio's clock, "HH:MM". */
export interface Meeting {
	weekday: number;
	startsAt: string;
}

const weekId = (day: Date) => `${getISOWeekYear(day, IN)}-W${String(getISOWeek(day, IN)).padStart(2, '0')}`;

/** The calendar day at a moment in a studio's zone. */
export function dayInZone(moment: Date, timeZone: string): string {
	return isoDayOf(new TZDate(moment, timeZone));
}

/** The ISO week that holds a day. */
export function weekOfDay(isoDay: string): Week {
	const monday = startOfISOWeek(dateOf(isoDay), IN);
	const inDays = (days: number) => daysLater(monday, days, IN);
	return {
		id: weekId(monday),
		days: Array.from({ length: 7 }, (_, i) => isoDayOf(inDays(i))),
		previousId: weekId(inDays(-7)),
		nextId: weekId(inDays(7))
	};
}

/** The week of an ISO week id such as "2026-W48"; null when there is no such week. */
export function weekById(id: string): Week | null {
	const [, year, week] = /^(\d{4})-W(\d{2})$/.exec(id) ?? [];
	if (!year) return null;
	// by ISO 8601 the fourth of January lies in the first week
	const found = weekOfDay(addDays(`${year}-01-04`, 7 * (Number(week) - 1)));
	return found.id === id ? found : null;
}

/**
 * Returns the day `days` after another.
 * @example addDays('2026-12-31', 1) // "2027-01-01"
 */
export function addDays(isoDay: string, days: number): string {
	return isoDayOf(daysLater(dateOf(isoDay), days, IN));
}

/** ISO weekday of a day: 1 Monday to 7 Sunday. */
export const weekdayOf = (isoDay: string): number => getISODay(dateOf(isoDay), IN);

/** The first day with this weekday, from a day on; that day itself counts. */
export const nextWeekday = (fromDay: string, weekday: number): string =>
	addDays(fromDay, (weekday - weekdayOf(fromDay) + 7) % 7);

/** One more day a week, at the time of the last: the next weekday that is still free; unchanged when none is. */
export function withOneMoreDay(meetings: readonly Meeting[]): Meeting[] {
	const last = meetings.at(-1)!;
	const taken = new Set(meetings.map(({ weekday }) => weekday));
	const free = [1, 2, 3, 4, 5, 6, 7].map((step) => ((last.weekday + step - 1) % 7) + 1);
	const weekday = free.find((day) => !taken.has(day));
	return weekday === undefined ? [...meetings] : [...meetings, { ...last, weekday }];
}

/** Returns the moment `days` times 24 hours before `now`. */
export const daysAgo = (now: Date, days: number): Date => new Date(now.getTime() - days * millisecondsInDay);

/**
 * How many days lie between two days; negative when the second comes first.
 * @example daysBetween('2026-12-01', '2026-12-08') // 7
 */
export function daysBetween(from: string, to: string): number {
	return differenceInCalendarDays(dateOf(to), dateOf(from), IN);
}

/** "Tuesday 24 November". */
export function dayName(isoDay: string): string {
	return format(dateOf(isoDay), 'EEEE d LLLL', IN);
}

/** "22 November 2026": for what is still read a year later. */
export function dayWithYear(isoDay: string): string {
	return format(dateOf(isoDay), 'd LLLL yyyy', IN);
}

/** "Tue 24 Nov". */
export function shortDay(isoDay: string): string {
	return format(dateOf(isoDay), 'EEE d LLL', IN);
}

/** "Tue 24 Nov 2026": a day as it stands in a field. */
export function dayInField(isoDay: string): string {
	return format(dateOf(isoDay), 'EEE d LLL yyyy', IN);
}

/** Whether a text is a day of the calendar, as in "2026-11-24"; "2026-02-30" is none. */
export function isIsoDay(text: string): boolean {
	if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
	const date = dateOf(text);
	return !Number.isNaN(date.getTime()) && isoDayOf(date) === text;
}

export const WEEKDAY_NAMES = [
	'Monday',
	'Tuesday',
	'Wednesday',
	'Thursday',
	'Friday',
	'Saturday',
	'Sunday'
] as const;

/** The time of day at a moment in a studio's zone, "HH:MM". */
export function timeInZone(moment: Date, timeZone: string): string {
	return new TZDate(moment, timeZone).toISOString().slice(11, 16);
}

/** A moment on a studio's calendar and clock: "Tuesday 24 November, 19:16". */
export const momentWords = (moment: Date, timeZone: string): string =>
	`${dayName(dayInZone(moment, timeZone))}, ${timeInZone(moment, timeZone)}`;

/** A class from paper records may lie at most this many years back. Judged. */
const YEARS_BACK = 10;

/**
 * Whether something can have been done on a day: not after today (a day is allowed for who is further east), and not before
 * anybody wrote it down, as a clock says that stands in 1970.
 */
export const canHaveBeen = (day: string, today: string): boolean =>
	day <= addDays(today, 1) && day >= addDays(today, -365 * YEARS_BACK);
