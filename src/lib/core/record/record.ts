import { array, number, object, string } from 'yup';
import { SLUG } from '../movement';
import { noteLength, withNames } from '../people';
import { PLAN_LIMITS } from '../plan';
import {
	eachOnce,
	schemaFaults,
	textOfLines,
	withVersion,
	type DocumentKind,
	type Fault
} from '../validation';

/** Notes on a class after it was taught. */
export interface ClassNotes {
	/** How hard it was, 0-10, as the group says it; null where it was not asked. */
	effort: number | null;
	minutes: number;
	/** How many people came; null where not counted. */
	attendance: number | null;
	/** Slugs of what was left out. */
	leftOut: string[];
	note: string;
	/** How many were sore the next day, asked before the next class; left out where it was not asked. */
	sore?: Sore;
	/** How many people could do a movement, by its slug, asked at the same time. */
	there?: Record<string, HowMany>;
}

/** How many of a group, as one sees it. */
export const HOW_MANY = ['most', 'some', 'few'] as const;
export type HowMany = (typeof HOW_MANY)[number];
export const SORE = ['nobody', 'few', 'some', 'most'] as const;
export type Sore = (typeof SORE)[number];

/** A class that was taught: by whom it was given and when stands beside it, where it is stored. */
export interface ClassRecord extends ClassNotes {
	/** The plan it was taught from, which is also the id of a class of a series; null where there was none. */
	planId: string | null;
	/** The studio's calendar day, and the time on its clock at which it began, "HH:MM". */
	on: string;
	startsAt: string;
}

/** Runs by the id of the plan that they were taught from. */
export type ClassRecords = Readonly<Record<string, ClassRecord>>;

export const RECORD_LIMITS = { minutes: 600, attendance: 200, leftOut: 200 } as const;

const slug = string().matches(SLUG, '${path} must be a slug of the catalogue').required();

const MOST_THERE = 20;
function isThere(value: unknown): boolean {
	if (value === undefined) return true;
	if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
	const entries = Object.entries(value);
	return (
		entries.length <= MOST_THERE &&
		entries.every(([key, said]) => SLUG.test(key) && HOW_MANY.includes(said as HowMany))
	);
}

export const classNotesSchema = object({
	effort: number().min(0).max(10).nullable().defined(),
	minutes: number().min(0).max(RECORD_LIMITS.minutes).required(),
	attendance: number().integer().min(0).max(RECORD_LIMITS.attendance).nullable().defined(),
	leftOut: array()
		.of(slug)
		.max(RECORD_LIMITS.leftOut)
		.defined()
		.test(
			'once',
			eachOnce((given) => given, 'this is left out already')
		),
	note: textOfLines(PLAN_LIMITS.noteCharacters),
	sore: string().oneOf(SORE).optional(),
	there: object().default(undefined).test('there', '${path} says of movements: most, some or few', isThere)
}).noUnknown();

/** A note of mentions alone has this many times its letters. */
const MENTION_ROOM = 20;

/** The same as it is kept: a mention takes more room than it counts. */
const keptNotesSchema = classNotesSchema.shape({
	note: textOfLines(MENTION_ROOM * PLAN_LIMITS.noteCharacters).test(
		'length',
		`\${path} must be at most ${PLAN_LIMITS.noteCharacters} characters`,
		(note) => noteLength(note) <= PLAN_LIMITS.noteCharacters
	)
});

/** Document kind of the notes on a taught class, in requests and files. */
export const CLASS_NOTES: DocumentKind = {
	name: 'notes of a taught class',
	schema: classNotesSchema,
	steps: []
};

/** The same as they are kept in the database, with references to those whom they mention. */
export const KEPT_NOTES: DocumentKind = { ...CLASS_NOTES, schema: keptNotesSchema };

/** Everything wrong with what is written down of a class; empty: it can be used as {@link ClassNotes}. */
export function classNotesFaults(value: unknown): Fault[] {
	return schemaFaults(classNotesSchema, value);
}

/** Returns first notes that repeat the plan, in whole figures. */
export function notesAsPlanned(effort: number, minutes: number): ClassNotes {
	return {
		effort: Math.round(effort),
		minutes: Math.round(minutes),
		attendance: null,
		leftOut: [],
		note: ''
	};
}

/** Points of effort (0 to 10) that "harder" adds and "easier" takes off. Judged. */
const HARDER = 2;

/** The same, but harder or easier than it was planned. */
export const withFeltEffort = (notes: ClassNotes, how: 'harder' | 'easier'): ClassNotes => ({
	...notes,
	effort: Math.max(0, Math.min(10, (notes.effort ?? 5) + (how === 'harder' ? HARDER : -HARDER)))
});

/** Returns the feedback on a class in sentences, as given before the next one; empty where there is none. */
export function feedbackText({ sore, there }: ClassNotes, nameOf: (slug: string) => string): string[] {
	const of = { most: 'most of them', some: 'some of them', few: 'few of them' };
	return [
		...(sore ? [`The next day ${sore === 'nobody' ? 'nobody was' : `${of[sore]} were`} sore.`] : []),
		...Object.entries(there ?? {}).map(([slug, many]) => `${nameOf(slug)} could be done by ${of[many]}.`)
	];
}

/** Returns the notes that the form starts with: earlier notes where there are any, else `begin` with the effort not said. */
export function draftNotes(run: ClassNotes | null | undefined, begin: ClassNotes): ClassNotes {
	if (!run) return { ...begin, effort: null };
	const { minutes, attendance, leftOut, note, sore, there } = run;
	return {
		effort: run.effort,
		minutes,
		attendance,
		leftOut,
		note,
		...(sore ? { sore } : {}),
		...(there ? { there } : {})
	};
}

/** Returns the notes of each run as requests and files hold them; place and time stand beside them. */
export function notesOf(runs: ClassRecords): Record<string, ClassNotes & { version: number }> {
	return Object.fromEntries(
		Object.entries(runs).map(([id, { planId: _plan, on: _on, startsAt: _at, ...notes }]) => [
			id,
			// whom a note mentions is for their teacher's eyes alone
			withVersion(CLASS_NOTES, { ...notes, note: withNames(notes.note, []) })
		])
	);
}

/** Whether two say the same of how a class went, but for what is asked before the next one. */
export const sameNotes = (a: ClassNotes, b: ClassNotes): boolean =>
	a.effort === b.effort &&
	a.minutes === b.minutes &&
	a.attendance === b.attendance &&
	a.note === b.note &&
	a.leftOut.join() === b.leftOut.join();

/** Efforts from 0 to 10 in half points, as people say them, and the one that was worked out. */
export function effortsToSay(workedOut: number | null): number[] {
	const halves = Array.from({ length: 21 }, (_, half) => half / 2);
	return [...new Set(workedOut === null ? halves : [...halves, workedOut])].sort((a, b) => a - b);
}
