/** iCalendar (RFC 5545), read back by ical.js, which shares nothing with what writes it. */
import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { writeCalendar, type CalendarEvent } from '../../src/lib/core/formats';

const STAMP = new Date('2026-11-25T08:00:00Z');

function read(text: string) {
	const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
	return calendar.getAllSubcomponents('vevent').map((component) => {
		const event = new ICAL.Event(component);
		return {
			uid: event.uid,
			title: event.summary,
			start: event.startDate.toJSDate(),
			end: event.endDate.toJSDate(),
			where: event.location ?? '',
			note: event.description ?? '',
			sequence: event.sequence
		};
	});
}

const someText = fc
	.oneof(
		fc.string({ maxLength: 120, unit: 'grapheme' }),
		fc
			.array(fc.constantFrom('Hips', ', ', '; ', '\\', '\r\n', '\n', '\r', '\u2028', '\t', 'ü'), {
				maxLength: 12
			})
			.map((parts) => parts.join(''))
	)
	.map((text) => text.trim());
const someEvent = fc.record({
	uid: fc.uuid(),
	title: someText,
	start: fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true }),
	lengthSeconds: fc.integer({ min: 5, max: 240 }).map((minutes) => 60 * minutes),
	where: someText,
	note: someText,
	sequence: fc.nat(1000)
});

describe('a calendar file', () => {
	it('says its name as it is, whatever signs are in it', () => {
		for (const name of ['Loft; Tuesdays, ten \\ past', 'Chalk, rest day', 'Plain']) {
			// RFC 7986 section 5.1: NAME is a text; RFC 5545 section 3.3.11: which signs a text escapes
			const lines = writeCalendar(name, [], STAMP).split('\r\n');
			const text = name.replaceAll('\\', '\\\\').replaceAll(';', '\\;').replaceAll(',', '\\,');
			expect(lines).toContain(`NAME:${text}`);
			expect(lines).toContain(`X-WR-CALNAME:${text}`);
		}
	});

	it('comes back as it was written for any events: commas, semicolons, line ends, accents and all', () => {
		fc.assert(
			fc.property(fc.array(someEvent, { maxLength: 5 }), (raw) => {
				const events: CalendarEvent[] = raw.map((event) => ({
					...event,
					start: new Date(1000 * Math.floor(event.start.getTime() / 1000))
				}));
				const back = read(writeCalendar('Saltmarsh Loft', events, STAMP));
				// titles and rooms are one line each, so what breaks a line there becomes a blank; only a note has several
				const unfit = /[\p{Cc}\p{Zl}\p{Zp}\u202a-\u202e\u2066-\u2069]+/gu;
				const oneLine = (text: string) => text.replace(unfit, ' ');
				const lines = (text: string) =>
					text
						.split(/\r\n|\r|\n/)
						.map(oneLine)
						.join('\n');
				expect(back).toEqual(
					events.map(({ lengthSeconds, ...event }) => ({
						...event,
						title: oneLine(event.title),
						where: oneLine(event.where),
						note: lines(event.note),
						end: new Date(event.start.getTime() + 1000 * lengthSeconds)
					}))
				);
			}),
			{ numRuns: 500 }
		);
	});

	it('has lines of at most 75 octets, ended by CR LF, as section 3.1 asks', () => {
		const event = {
			uid: 'a',
			title: 'Äußere Hüfte und innere Drehung, '.repeat(9),
			start: STAMP,
			lengthSeconds: 2700,
			where: 'Saltmarsh Loft, Wick Hollow; above the sails',
			note: 'one\ntwo',
			sequence: 3
		};
		const text = writeCalendar('Saltmarsh Loft', [event], STAMP);
		expect(text.endsWith('END:VCALENDAR') || text.endsWith('END:VCALENDAR\r\n')).toBe(true);
		for (const line of text.split('\r\n')) {
			expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
			expect(line).not.toContain('\n');
		}
	});

	it('holds its lines whatever titles, rooms and notes say, to an independent reader', () => {
		const hostile = fc.oneof(
			fc.string({ unit: 'binary' }),
			fc.constantFrom(
				'A class\r\nBEGIN:VEVENT\r\nSUMMARY:Another',
				'A class\nATTACH:https://elsewhere.example',
				'A class\rEND:VCALENDAR',
				'A class\u2028X-EVIL:1',
				'A class\u0085END:VEVENT',
				'"; DTSTART:19700101'
			)
		);
		fc.assert(
			fc.property(hostile, hostile, hostile, (title, where, note) => {
				const text = writeCalendar(
					title,
					[{ uid: 'u1', start: STAMP, lengthSeconds: 3600, sequence: 1, title, where, note }],
					new Date(0)
				);
				const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
				const events = calendar.getAllSubcomponents('vevent');
				expect(events).toHaveLength(1);
				const names = (component: ICAL.Component) => component.getAllProperties().map(({ name }) => name);
				for (const name of names(calendar))
					expect(['version', 'prodid', 'method', 'name', 'x-wr-calname']).toContain(name);
				for (const name of names(events[0]!))
					expect([
						'uid',
						'sequence',
						'dtstamp',
						'dtstart',
						'dtend',
						'summary',
						'location',
						'description'
					]).toContain(name);
				expect(new ICAL.Event(events[0]).summary ?? '').not.toMatch(/[\r\n]/);
			}),
			{ numRuns: 500 }
		);
	});
});
