import { plainText } from '../movement';
import type { ClassRecord } from './record';

/** A class that was taught, as a history lists it. */
export interface HistoryRow {
	title: string;
	run: ClassRecord;
	/** Names of what was left out. */
	leftOut: readonly string[];
}

/** Those in whose title, day, note or left-out movements every word that is asked for stands; all where none is. */
export function foundInHistory<T extends HistoryRow>(rows: readonly T[], asked: string): T[] {
	const words = plainText(asked).split(' ').filter(Boolean);
	return rows.filter(({ title, run, leftOut }) => {
		const text = plainText([title, run.on, run.note, ...leftOut].join(' '));
		return words.every((word) => text.includes(word));
	});
}

/** The columns of a history as a table, with the units in their names. */
export const HISTORY_COLUMNS = [
	'day',
	'begins',
	'class',
	'minutes',
	'effort 0-10',
	'people',
	'left out',
	'note'
] as const;

/** A history as the lines of a table; what was not said is empty. */
export const historyTable = (rows: readonly HistoryRow[]): string[][] =>
	rows.map(({ title, run, leftOut }) => [
		run.on,
		run.startsAt,
		title,
		String(run.minutes),
		run.effort === null ? '' : String(run.effort),
		run.attendance === null ? '' : String(run.attendance),
		leftOut.join('; '),
		run.note
	]);
