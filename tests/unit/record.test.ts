/** Notes on a class that was taught. */
import { describe, expect, it } from 'vitest';
import {
	effortsToSay,
	notesAsPlanned,
	notesOf,
	classNotesFaults,
	slugsOfKnown,
	type ClassNotes
} from '../../src/lib/core/record';

const notes = (change: Partial<ClassNotes> = {}): ClassNotes => ({ ...notesAsPlanned(4, 60), ...change });

describe('what is written down of a class', () => {
	it('offers efforts in half points, and one that was written down otherwise', () => {
		expect(effortsToSay(null)).toHaveLength(21);
		expect(effortsToSay(4)).toHaveLength(21);
		expect(effortsToSay(2.7).slice(4, 8)).toEqual([2, 2.5, 2.7, 3]);
	});

	it('begins as it was planned, in whole figures, and says nothing of who came', () => {
		expect(notesAsPlanned(3.6, 44.5)).toEqual({
			effort: 4,
			minutes: 45,
			attendance: null,
			leftOut: [],
			note: ''
		});
	});

	it.each<[string, Partial<ClassNotes>]>([
		['the least', { effort: 0, minutes: 0, attendance: 0 }],
		['the most', { effort: 10, minutes: 600, attendance: 200 }],
		['nothing asked and not counted', { effort: null, attendance: null }],
		['two hundred left out', { leftOut: Array.from({ length: 200 }, (_, i) => `movement-${i}`) }]
	])('may be %s', (_, change) => expect(classNotesFaults(notes(change))).toEqual([]));

	it.each<[string, object, string]>([
		['an effort below 0', { effort: -0.5 }, 'effort'],
		['an effort over 10', { effort: 10.5 }, 'effort'],
		['minutes below 0', { minutes: -1 }, 'minutes'],
		['minutes over ten hours', { minutes: 601 }, 'minutes'],
		['half a person', { attendance: 9.5 }, 'attendance'],
		['fewer than nobody', { attendance: -1 }, 'attendance'],
		['more people than a room holds', { attendance: 201 }, 'attendance'],
		['a movement left out twice', { leftOut: ['clam', 'clam'] }, 'leftOut[1]'],
		['a movement that is no slug', { leftOut: ['Clam!'] }, 'leftOut[0]'],
		['too many left out', { leftOut: Array.from({ length: 201 }, (_, i) => `movement-${i}`) }, 'leftOut'],
		['a field too many', { price: 9 }, '']
	])('is refused with %s, and where it is', (_, change, path) => {
		const faults = classNotesFaults({ ...notes(), ...change });
		expect(faults.map((fault) => fault.path)).toEqual([path]);
	});

	it('is sent without where and when it was, which stands beside it', () => {
		const run = { ...notes(), planId: 'class-1', on: '2026-11-24', startsAt: '18:30' };
		expect(notesOf({ 'class-1': run })).toEqual({ 'class-1': { version: 1, ...notes() } });
	});
});

it('what is known is looked up in one set for as long as the value lives', () => {
	const known = { slugs: ['clam', 'frog'], from: 'taught' as const };
	expect([...slugsOfKnown(known)]).toEqual(['clam', 'frog']);
	expect(slugsOfKnown(known)).toBe(slugsOfKnown(known));
});
