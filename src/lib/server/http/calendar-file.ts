import { writeCalendar } from '../../core/formats';
import type { Tasks } from '../compute/tasks';
import { seriesInput, type StoredSeriesContext } from '../series/series-context';

/**
 * The classes of a series as an iCalendar file, with nothing of the people. `datesOf`: works the dates out. `stamp`: now.
 */
export async function seriesCalendar(
	context: StoredSeriesContext,
	studioName: string,
	stamp: Date,
	datesOf: (input: ReturnType<typeof seriesInput>) => Promise<ReturnType<Tasks['dates']>>
): Promise<string> {
	const { planned, version } = context.stored;
	const dates = await datesOf(seriesInput(context));
	return writeCalendar(
		`${planned.series.title}, ${studioName}`,
		dates.map(({ id, ...event }) => ({
			...event,
			uid: `${id}@humble-orbit.invalid`,
			where: context.group.group.room,
			sequence: version
		})),
		stamp
	);
}

export const CALENDAR_HEADERS = { 'content-type': 'text/calendar; charset=utf-8' };
