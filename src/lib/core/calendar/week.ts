import { DateTime } from 'luxon';

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

const weekId = (day: DateTime) => day.toFormat("kkkk-'W'WW");

/** The calendar day at a moment in a studio's zone. */
export function dayInZone(moment: Date, timeZone: string): string {
	return DateTime.fromJSDate(moment, { zone: timeZone }).toISODate() as string;
}

/** The ISO week that holds a day. */
export function weekOfDay(isoDay: string): Week {
	const monday = DateTime.fromISO(isoDay, { zone: 'utc' }).startOf('week');
	return {
		id: weekId(monday),
		days: Array.from({ length: 7 }, (_, i) => monday.plus({ days: i }).toISODate() as string),
		previousId: weekId(monday.minus({ weeks: 1 })),
		nextId: weekId(monday.plus({ weeks: 1 }))
	};
}

/** The week of an ISO week id such as "2026-W48"; null when there is no such week. */
export function weekById(id: string): Week | null {
	if (!/^\d{4}-W\d{2}$/.test(id)) return null;
	const day = DateTime.fromISO(id, { zone: 'utc' });
	return day.isValid ? weekOfDay(day.toISODate()) : null;
}

/** A day that lies so many days after another. */
export function addDays(isoDay: string, days: number): string {
	return DateTime.fromISO(isoDay, { zone: 'utc' }).plus({ days }).toISODate() as string;
}

/** ISO weekday of a day: 1 Monday to 7 Sunday. */
export const weekdayOf = (isoDay: string): number => DateTime.fromISO(isoDay, { zone: 'utc' }).weekday;

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

/** How many days lie between two days; negative when the second comes first. */
export function daysBetween(from: string, to: string): number {
	const [a, b] = [from, to].map((day) => DateTime.fromISO(day, { zone: 'utc' }));
	return Math.round(b!.diff(a!, 'days').days);
}

/** "Tuesday 24 November". */
export function dayName(isoDay: string): string {
	return DateTime.fromISO(isoDay, { zone: 'utc' }).setLocale('en-GB').toFormat('cccc d LLLL');
}

/** "22 November 2026": for what is still read a year later. */
export function dayWithYear(isoDay: string): string {
	return DateTime.fromISO(isoDay, { zone: 'utc' }).setLocale('en-GB').toFormat('d LLLL yyyy');
}

/** "Tue 24 Nov". */
export function shortDay(isoDay: string): string {
	return DateTime.fromISO(isoDay, { zone: 'utc' }).setLocale('en-GB').toFormat('ccc d LLL');
}

/** "Tue 24 Nov 2026": a day as it stands in a field, in the first of the ways in which it may be typed. */
export function dayInField(isoDay: string): string {
	return DateTime.fromISO(isoDay, { zone: 'utc' }).setLocale('en-GB').toFormat(TYPED_DAYS[0]);
}

/** The day comes before the month, as it does wherever the app writes one. */
const TYPED_DAYS = [
	'ccc d LLL yyyy',
	'cccc d LLLL yyyy',
	'd LLL yyyy',
	'd LLLL yyyy',
	'd.L.yyyy',
	'd/L/yyyy',
	'yyyy-LL-dd'
] as const;

/** A day as people type it ("Tue 24 Nov 2026", "24 Nov 2026", "24.11.2026", "2026-11-24") as "2026-11-24"; null when it is none. */
export function readDay(text: string): string | null {
	const plain = text.trim().replace(/\s+/g, ' ');
	for (const format of TYPED_DAYS) {
		const day = DateTime.fromFormat(plain, format, { zone: 'utc', locale: 'en-GB' });
		if (day.isValid) return day.toISODate();
	}
	return null;
}

/** Whether a text is a day of the calendar, as in "2026-11-24"; "2026-02-30" is none. */
export function isIsoDay(text: string): boolean {
	return /^\d{4}-\d{2}-\d{2}$/.test(text) && DateTime.fromISO(text, { zone: 'utc' }).isValid;
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
	return DateTime.fromJSDate(moment, { zone: timeZone }).toFormat('HH:mm');
}
