import { stringify } from 'csv-stringify/sync';
import { HISTORY_COLUMNS, historyTable, type HistoryRow } from '../record';

/** A history as CSV (RFC 4180), its columns named in the first line. */
export const historyCsv = (rows: readonly HistoryRow[]): string =>
	stringify([[...HISTORY_COLUMNS], ...historyTable(rows)], {
		record_delimiter: 'windows',
		// the library quotes only the line break that ends its own lines
		quoted_match: /[\r\n]/,
		// a spreadsheet would take a note that begins so for a formula
		escape_formulas: true
	});
