import { describe, expect, it } from 'vitest';
import { nextWeekday, weekdayOf } from '../../src/lib/core/calendar';
import {
	groupFaults,
	kitFaults,
	kitWords,
	meetingsOf,
	meetingWords,
	newGroup,
	nextMeeting,
	startOn,
	usualTiers,
	withMeetings,
	type Group
} from '../../src/lib/core/group';
import { newSeries } from '../../src/lib/core/series';

const twice: Group = {
	...newGroup('runners', 'Breakwater Striders'),
	weekday: 4,
	startsAt: '06:40',
	alsoMeets: [{ weekday: 2, startsAt: '19:15' }]
};

describe('a group that meets several times a week', () => {
	it('has all of its meetings, and says them in the order of the week', () => {
		expect(meetingsOf(twice)).toEqual([
			{ weekday: 4, startsAt: '06:40' },
			{ weekday: 2, startsAt: '19:15' }
		]);
		expect({ ...twice, ...withMeetings(meetingsOf(twice)) }).toEqual(twice);
		expect(meetingWords(twice)).toBe('Tuesday 19:15, Thursday 06:40');
	});

	// 24 November 2026 is a Tuesday
	it.each([
		['2026-11-24', '19:15'],
		['2026-11-26', '06:40'],
		['2026-11-28', '06:40']
	])('begins on %s at %s', (day, time) => {
		expect(startOn(twice, day)).toBe(time);
	});

	it.each([
		['2026-11-24', '2026-11-24'],
		['2026-11-25', '2026-11-26'],
		['2026-11-27', '2026-12-01']
	])('meets next, from %s on, on %s', (from, next) => {
		expect(nextMeeting(twice, from)).toBe(next);
	});

	it('has a series on all of its days', () => {
		expect(newSeries(twice, '2026-11-23', 'Europe/London').meetings).toEqual(meetingsOf(twice));
	});

	it('meets on each day once', () => {
		expect(groupFaults(twice)).toEqual([]);
		const messages = (alsoMeets: Group['alsoMeets']) =>
			groupFaults({ ...twice, alsoMeets }).map(({ message }) => message);
		expect(messages([{ weekday: 4, startsAt: '12:00' }])).toEqual(['the group meets on this day already']);
		expect(
			messages([
				{ weekday: 1, startsAt: '12:00' },
				{ weekday: 1, startsAt: '13:00' }
			])
		).toEqual(['alsoMeets[1]: this day is there already']);
	});
});

describe('days of the week', () => {
	it('are counted from Monday', () => {
		const days = ['2026-11-23', '2026-11-24', '2026-11-29'];
		expect(days.map(weekdayOf)).toEqual([1, 2, 7]);
		expect(nextWeekday('2026-11-29', 1)).toBe('2026-11-30');
	});
});

describe('a new group', () => {
	it('is made up of as many as come, whatever their number', () => {
		expect(usualTiers(10)).toEqual({ tight: 3, middling: 5, open: 2 });
		for (let size = 1; size <= 200; size++) {
			const tiers = Object.values(usualTiers(size));
			expect(tiers.reduce((sum, people) => sum + people)).toBe(size);
			expect(Math.min(...tiers), String(size)).toBeGreaterThanOrEqual(0);
		}
	});
});

describe('kit', () => {
	it('is read out in one order, without what is not there', () => {
		expect(kitWords({ strap: 1, block: 24, chair: 0, 'wall space': 8 })).toBe(
			'24 blocks, 1 strap, 8 wall space'
		);
		expect(kitWords({})).toBe('none');
	});

	it('from outside is counted in whole pieces of known kinds', () => {
		expect(kitFaults({ block: 20 })).toEqual([]);
		expect(kitFaults([])).toHaveLength(1);
		for (const kit of [{ block: -1 }, { block: 1.5 }, { anchor: 1 }, { block: 2001 }])
			expect(kitFaults(kit)).toHaveLength(1);
	});
});
