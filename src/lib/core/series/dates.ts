import { TZDate } from '@date-fns/tz';
import { addDays, daysBetween, weekOfDay } from '../calendar';
import type { Meeting, Series } from './types';

/** A date and time on which a class may be. */
export interface Slot {
	on: string;
	startsAt: string;
}

/** A text that sorts as the moments of slots do. */
export const slotKey = ({ on, startsAt }: Slot): string => `${on} ${startsAt}`;
const inOrder = (a: Slot, b: Slot) => slotKey(a).localeCompare(slotKey(b));

const mondayOf = (day: string) => weekOfDay(day).days[0]!;

/** The calendar week of a day within a series, 1 for the one in which it starts. */
export function weekNumber({ startsOn }: Pick<Series, 'startsOn'>, day: string): number {
	return daysBetween(mondayOf(startsOn), mondayOf(day)) / 7 + 1;
}

/** The Monday of a week of the series. */
export function mondayOfWeek({ startsOn }: Pick<Series, 'startsOn'>, week: number): string {
	return addDays(mondayOf(startsOn), 7 * (week - 1));
}

/** The dates of one week, in their order, without those that are skipped or lie before the start. */
export function slotsOfWeek(series: Pick<Series, 'startsOn' | 'meetings' | 'skipped'>, week: number): Slot[] {
	const monday = mondayOfWeek(series, week);
	return series.meetings
		.map(({ weekday, startsAt }: Meeting) => ({ on: addDays(monday, weekday - 1), startsAt }))
		.filter(({ on }) => on >= series.startsOn && !series.skipped.includes(on))
		.sort(inOrder);
}

/** All dates of a series by its rule. */
export function allSlots(series: Pick<Series, 'startsOn' | 'meetings' | 'skipped' | 'weeks'>): Slot[] {
	return Array.from({ length: series.weeks }, (_, i) => slotsOfWeek(series, i + 1)).flat();
}

/** The first date by the rule after a given one; null where the group never meets. */
export function slotAfter(
	series: Pick<Series, 'startsOn' | 'meetings' | 'skipped'>,
	after: Slot
): Slot | null {
	const from = Math.max(1, weekNumber(series, after.on));
	for (let week = from; week <= from + 60; week++) {
		const next = slotsOfWeek(series, week).find((slot) => inOrder(slot, after) > 0);
		if (next) return next;
	}
	return null;
}

/** Slots in the order of their moments. */
export const sortedSlots = (slots: readonly Slot[]): Slot[] => [...slots].sort(inOrder);

/** A moment of the studio's clock as a moment of the world; a time that a clock change leaves out moves on by it. */
export function momentOf({ on, startsAt }: Slot, timeZone: string): Date {
	const [year, month, day] = on.split('-').map(Number) as [number, number, number];
	const [hour, minute] = startsAt.split(':').map(Number) as [number, number];
	return new Date(new TZDate(year, month - 1, day, hour, minute, timeZone).getTime());
}
