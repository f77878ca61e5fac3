/** People in notes: a mention is a reference, a name in free text is a word like others. */
import { describe, expect, it } from 'vitest';
import {
	linesAbout,
	mentions,
	namesAsWord,
	noteLength,
	SOMEBODY,
	withMentions,
	withNames,
	withoutName
} from '../../src/lib/core/people';

const an = { id: 'id-of-an-0000001', name: 'An' };
const ana = { id: 'id-of-ana-000001', name: 'Ana K.' };
const PEOPLE = [an, ana];

describe('a mention', () => {
	it('is kept as a reference and read as the name, of two that begin alike the longer one', () => {
		const kept = withMentions('@Ana K. stood, @An sat; @Anneke and an@home are words.', PEOPLE);
		expect(kept).toBe(`@{${ana.id}} stood, @{${an.id}} sat; @Anneke and an@home are words.`);
		expect(mentions(kept)).toEqual([ana.id, an.id]);
		expect(withNames(kept, PEOPLE)).toBe('@Ana K. stood, @An sat; @Anneke and an@home are words.');
	});

	it('follows a name that changes, and says nothing of who is gone', () => {
		const kept = withMentions('@An sat.', PEOPLE);
		expect(withNames(kept, [{ ...an, name: 'Annika' }])).toBe('@Annika sat.');
		expect(withNames(kept, [ana])).toBe(`${SOMEBODY} sat.`);
	});

	it('counts one character, so that a note never grows past its limit', () => {
		expect(noteLength(`@{${an.id}} sat.`)).toBe('@ sat.'.length);
		const note = '@An '.repeat(250);
		expect(noteLength(withMentions(note, PEOPLE))).toBeLessThanOrEqual(note.length);
	});

	it('gives somebody the lines about them, with everybody else unnamed', () => {
		const note = `Windy.\n@{${an.id}} and @{${ana.id}} spoke.\n@{${ana.id}} left early.`;
		expect(linesAbout(note, an.id, an.name)).toBe(`@An and ${SOMEBODY} spoke.`);
	});
});

describe('a name in free text', () => {
	it.each([
		['An sat down.', true],
		['the low lunge of An', true],
		['An anterior tilt', true],
		['an anterior tilt', false],
		['Ana, Annika and Jan', false],
		['Änne and An’s sister', true],
		['An1', false]
	])('%j: %s', (note, stands) => expect(namesAsWord(note, 'An')).toBe(stands));

	it('is the whole name or the first name alone, taken out where it stands as a word and nowhere else', () => {
		expect(namesAsWord('Ana stood', 'Ana K.')).toBe(true);
		expect(withoutName('Ana K. stood by Ana; Anabel sat.', 'Ana K.')).toBe('… stood by …; Anabel sat.');
		expect(withoutName('A.B (c) stood', 'Ana K.')).toBe('A.B (c) stood');
	});
});
