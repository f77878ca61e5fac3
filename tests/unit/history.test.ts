/** The history of a group: searched, and as a table. */
import { describe, expect, it } from 'vitest';
import { historyCsv } from '../../src/lib/core/formats';
import {
	foundInHistory,
	HISTORY_COLUMNS,
	historyTable,
	notesAsPlanned,
	type HistoryRow
} from '../../src/lib/core/record';

const row = (
	title: string,
	on: string,
	more: Partial<HistoryRow['run']> = {},
	leftOut: string[] = []
): HistoryRow => ({
	title,
	leftOut,
	run: { ...notesAsPlanned(5, 60), planId: null, on, startsAt: '19:15', ...more }
});
const ROWS = [
	row('Nach dem Lauf über die Klippe', '2026-11-24', { note: 'Rain; "nobody" late' }),
	row('High step', '2026-11-17', { effort: null, attendance: 9, note: 'two\nlines' }, ['Clam', 'Low lunge'])
];

describe('a history', () => {
	it('is searched by all words, in title, day, note and what was left out, without marks over letters', () => {
		expect(foundInHistory(ROWS, '')).toEqual(ROWS);
		expect(foundInHistory(ROWS, 'uber lauf')).toEqual([ROWS[0]]);
		expect(foundInHistory(ROWS, '2026-11 LUNGE')).toEqual([ROWS[1]]);
		expect(foundInHistory(ROWS, 'lunge rain')).toEqual([]);
	});

	it('is a table in which what nobody said is empty', () => {
		const [first, second] = historyTable(ROWS);
		expect(first).toHaveLength(HISTORY_COLUMNS.length);
		expect(first!.slice(3, 6)).toEqual(['60', '5', '']);
		expect(second!.slice(4, 7)).toEqual(['', '9', 'Clam; Low lunge']);
	});

	// RFC 4180, section 2, rules 1, 6 and 7: lines end with CRLF; fields with line breaks, commas or quotes are quoted,
	// and a quote inside is doubled
	it('is written as RFC 4180 says', () => {
		const csv = historyCsv([...ROWS, row('=SUM(1)', '2026-11-10')]);
		const [head, first, ...rest] = csv.split('\r\n');
		expect(head).toBe(HISTORY_COLUMNS.join(','));
		expect(first).toBe('2026-11-24,19:15,Nach dem Lauf über die Klippe,60,5,,,"Rain; ""nobody"" late"');
		expect(rest[0]).toBe('2026-11-17,19:15,High step,60,,9,Clam; Low lunge,"two\nlines"');
		// the last line ends too; what looks like a formula is text
		expect(rest.slice(1)).toEqual(["2026-11-10,19:15,'=SUM(1),60,5,,,", '']);
	});
});
