import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import {
	addDays,
	dayInZone,
	daysBetween,
	dayInField,
	dayName,
	dayOfPicker,
	dayWithYear,
	isIsoDay,
	nextClass,
	readDay,
	timeInZone,
	roomClashes,
	roomTime,
	weekBoard,
	weekById,
	weekOfDay
} from '../../src/lib/core/calendar';

describe('weeks (ISO 8601)', () => {
	it('begin on Monday and know their neighbours', () => {
		expect(weekOfDay('2026-11-24')).toEqual({
			id: '2026-W48',
			days: [
				'2026-11-23',
				'2026-11-24',
				'2026-11-25',
				'2026-11-26',
				'2026-11-27',
				'2026-11-28',
				'2026-11-29'
			],
			previousId: '2026-W47',
			nextId: '2026-W49'
		});
	});

	it('cross the year as ISO 8601 has it: 1 January 2027 lies in week 53 of 2026', () => {
		expect(weekOfDay('2027-01-01').id).toBe('2026-W53');
		expect(weekById('2026-W53')?.days[6]).toBe('2027-01-03');
		expect(weekById('2027-W53')).toBeNull();
		expect(weekById('next week')).toBeNull();
	});

	it('are those of another date library, for sixty years day by day', () => {
		for (let n = 0; n < 60 * 365; n += 5) {
			const other = DateTime.fromISO('2000-01-01', { zone: 'utc' }).plus({ days: n });
			const day = other.toISODate()!;
			const week = weekOfDay(day);
			expect(week.id).toBe(other.toFormat("kkkk-'W'WW"));
			expect(week.days[0]).toBe(other.startOf('week').toISODate());
			expect(addDays('2000-01-01', n)).toBe(day);
			expect(daysBetween('2000-01-01', day)).toBe(n);
			expect(weekById(week.nextId)!.previousId).toBe(week.id);
		}
		expect(weekById('2027-W53')).toBeNull();
		expect(weekById('2026-W53')!.days[0]).toBe('2026-12-28');
	});

	it('the day and the hour are the studio’s, not the server’s', () => {
		const moment = new Date('2026-11-24T23:30:00Z');
		expect(dayInZone(moment, 'Europe/London')).toBe('2026-11-24');
		expect(dayInZone(moment, 'Pacific/Auckland')).toBe('2026-11-25');
		expect(timeInZone(moment, 'Pacific/Auckland')).toBe('12:30');
	});

	it.each([
		'Tue 24 Nov 2026',
		'Tuesday 24 November 2026',
		' 24  Nov 2026 ',
		'24 November 2026',
		'24.11.2026',
		'24/11/2026',
		'2026-11-24'
	])('a day may be typed as "%s"', (text) => expect(readDay(text)).toBe('2026-11-24'));

	it.each(['', 'soon', '24 Nov', '30 Feb 2026', '11/24/2026', 'Mon 24 Nov 2026', '2026-13-01'])(
		'"%s" is no day',
		(text) => expect(readDay(text)).toBeNull()
	);

	it('what a calendar in the browser means is the day on which it is noon there', () => {
		expect(dayOfPicker(new Date('2026-11-24T12:00:00'))).toBe('2026-11-24');
	});

	it('what stands in a field can be typed', () => {
		expect(dayInField('2026-11-24')).toBe('Tue 24 Nov 2026');
		for (let day = '2026-01-01'; day < '2027-01-01'; day = addDays(day, 1))
			expect(readDay(dayInField(day))).toBe(day);
	});

	it('days are added and named across the change of the clocks', () => {
		expect(addDays('2026-03-28', 2)).toBe('2026-03-30');
		expect(dayName('2026-11-24')).toBe('Tuesday 24 November');
		expect(dayWithYear('2026-11-24')).toBe('24 November 2026');
		expect([isIsoDay('2026-02-29'), isIsoDay('2028-02-29'), isIsoDay('24/11/26')]).toEqual([
			false,
			true,
			false
		]);
	});
});

describe('the room', () => {
	const lunch = {
		groupId: 'l',
		groupName: 'Lamp Room',
		startsAt: '12:20',
		lengthSeconds: 1800,
		room: 'Saltmarsh Loft',
		changeover: { beforeMinutes: 5, afterMinutes: 10 }
	};
	const crew = { ...lunch, groupId: 's', groupName: 'Skiff Crew', startsAt: '13:00' };

	it('is kept before and after a class, over midnight too', () => {
		expect(roomTime(lunch)).toEqual({ from: '12:15', to: '13:00' });
		expect(roomTime({ startsAt: '18:30', lengthSeconds: 2700 })).toEqual({ from: '18:30', to: '19:15' });
		expect(roomTime({ ...lunch, startsAt: '00:00' })).toEqual({ from: '23:55', to: '00:40' });
		expect(roomTime({ ...lunch, lengthSeconds: 1801 }).to).toBe('13:01');
	});

	it('is wanted twice where a changeover reaches into another class, by whatever it is written', () => {
		expect(roomClashes([crew, { ...lunch, room: ' saltmarsh loft ' }])).toEqual([
			{ room: 'saltmarsh loft', first: 'Lamp Room', second: 'Skiff Crew', from: '12:55', minutes: 5 }
		]);
	});

	it.each([
		['another room', { ...crew, room: 'Boat shed' }],
		['no room', { ...crew, room: ' ' }],
		['when the first is out', { ...crew, startsAt: '13:05' }]
	])('is nobody’s trouble with %s', (_what, second) => {
		expect(roomClashes([lunch, second])).toEqual([]);
	});

	it('belongs to the board of a day', () => {
		const slot = { room: 'Saltmarsh Loft', lengthSeconds: 2700 };
		const tuesday = (startsAt: string) => ({ ...slot, meetings: [{ weekday: 2, startsAt }] });
		const groups = [
			{ ...tuesday('18:30'), id: 'a', name: 'Breakwater Striders' },
			{ ...tuesday('19:00'), id: 'b', name: 'Chalk Tuesdays' }
		];
		const days = weekBoard(weekOfDay('2026-11-24'), groups, [], '2026-11-24');
		expect(days.map((day) => day.clashes.length)).toEqual([0, 1, 0, 0, 0, 0, 0]);
		expect(days[1]!.clashes[0]).toMatchObject({ minutes: 15, from: '19:00' });
	});
});

describe('the board of a week', () => {
	const groups = [
		{
			id: 'g1',
			name: 'Breakwater Striders',
			meetings: [{ weekday: 2, startsAt: '19:15' }],
			lengthSeconds: 2700,
			room: ''
		},
		{
			id: 'g2',
			name: 'First Tide',
			meetings: [{ weekday: 6, startsAt: '09:30' }],
			lengthSeconds: 3600,
			room: ''
		}
	];
	const plan = { groupId: 'g1', plannedOn: '2026-11-24', startsAt: '19:15', lengthSeconds: 2700 };
	const board = (plans = [plan]) => weekBoard(weekOfDay('2026-11-24'), groups, plans, '2026-11-24');

	it('shows planned and unplanned classes on their days', () => {
		const days = board();
		expect(days[1]!.classes.map((c) => [c.groupName, c.plan !== null])).toEqual([
			['Breakwater Striders', true]
		]);
		expect(days[5]!.classes.map((c) => [c.groupName, c.plan !== null])).toEqual([['First Tide', false]]);
		expect(days.map((d) => d.past)).toEqual([true, false, false, false, false, false, false]);
	});

	it('shows each meeting of a group that comes several times a week, at its time', () => {
		const meetings = [
			{ weekday: 2, startsAt: '19:15' },
			{ weekday: 4, startsAt: '06:40' }
		];
		const week = weekOfDay('2026-11-24');
		const days = weekBoard(week, [{ ...groups[0]!, meetings }], [plan], '2026-11-24');
		const shown = days.flatMap((d) => d.classes.map((c) => [d.name, c.startsAt, c.plan !== null]));
		expect(shown).toEqual([
			['Tuesday 24 November', '19:15', true],
			['Thursday 26 November', '06:40', false]
		]);
	});

	it('a plan moved to another day leaves its usual day open', () => {
		const days = board([{ ...plan, plannedOn: '2026-11-26' }]);
		expect(days[1]!.classes[0]!.plan).toBeNull();
		expect(days[3]!.classes[0]!.plan).not.toBeNull();
	});

	it('the next class is the first that has not begun', () => {
		expect(nextClass(board(), '12:00')?.groupName).toBe('Breakwater Striders');
		expect(nextClass(board(), '19:16')?.groupName).toBe('First Tide');
		expect(nextClass(weekBoard(weekOfDay('2026-11-24'), [], [], '2026-11-24'), '12:00')).toBeNull();
	});
});
