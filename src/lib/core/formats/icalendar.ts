import { asOneLine } from '../validation';
import ical, { ICalCalendarMethod } from 'ical-generator';

/** A class as a calendar shows it. */
export interface CalendarEvent {
	/** The same for as long as it is the same class, wherever it is moved. */
	uid: string;
	title: string;
	start: Date;
	lengthSeconds: number;
	where: string;
	note: string;
	/** Rises with each change, so that calendars take the newer one. */
	sequence: number;
}

/** A text as RFC 5545 section 3.3.11 writes it. */
const escaped = (text: string): string => text.replace(/[\\;,]/g, '\\$&');

/**
 * Classes as an iCalendar file (RFC 5545). Times are written in UTC, which every calendar shows in its own zone: right
 * across clock changes without carrying a table of them. `stamp`: when it was written.
 */
export function writeCalendar(name: string, events: readonly CalendarEvent[], stamp: Date): string {
	const calendar = ical({
		// the library escapes the texts of events, and leaves this one as it is
		name: escaped(asOneLine(name)),
		prodId: { company: 'Humble Orbit', product: 'series', language: 'EN' },
		method: ICalCalendarMethod.PUBLISH
	});
	for (const { uid, title, start, lengthSeconds, where, note, sequence } of events)
		calendar.createEvent({
			id: uid,
			sequence,
			stamp,
			start,
			end: new Date(start.getTime() + 1000 * lengthSeconds),
			summary: asOneLine(title),
			...(where ? { location: asOneLine(where) } : {}),
			...(note
				? {
						description: note
							.split(/\r\n?|\n/)
							.map(asOneLine)
							.join('\n')
					}
				: {})
		});
	return calendar.toString();
}
