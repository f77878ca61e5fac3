import type { Direction } from '../anatomy';
import type { Meeting } from '../calendar';
import type { TestId } from '../hip-tests';
import type { FormId, Mode, Purpose } from '../movement';
import type { ClassPlan } from '../plan';
import type { ClassRecords } from '../record';

export type { Meeting } from '../calendar';

/** One step of a ladder: a movement in a form and mode, and how much of it (in the unit of the form, per side). */
export interface Rung {
	movement: string;
	form: FormId;
	mode: Mode;
	dose: number;
}

/** The way to something that the group wants to be able to do; its last rung is the goal. */
export interface Ladder {
	rungs: Rung[];
}

/** Theme of one week. */
export interface WeekTheme {
	words: string;
	/** A direction that it gives more of. */
	more?: Direction;
	/** Purpose of the first theme of its classes. */
	purpose?: Purpose;
	/** A movement to which its classes lead up. */
	toward?: string;
}

/** A class of the series; its plan stands beside the series under the same id. */
export interface SeriesClass {
	id: string;
	/** The studio's calendar day. */
	on: string;
	startsAt: string;
	/** The week of the series, from 1, whose theme, ease and tests it has; it keeps them when it is moved. */
	week: number;
	/** Mark of what was proposed: a plan with another one was changed by hand. */
	proposedAs?: string;
}

/** A cancelled date. */
export interface Missed {
	on: string;
	why: string;
}

/** Weeks of classes that follow from one another. */
export interface Series {
	title: string;
	/** In the teacher's words. */
	goal: string;
	/** IANA name of the studio's zone. */
	timeZone: string;
	/** First day on which a class may be. */
	startsOn: string;
	weeks: number;
	meetings: Meeting[];
	lengthSeconds: number;
	/** Days without a class: holidays, a closed studio. */
	skipped: string[];
	ladders: Ladder[];
	/** One for each week; a week without one has no theme. */
	themes: WeekTheme[];
	/** Each how many weeks one is easier; 0: none is. */
	easierEvery: number;
	/** The same test, at the beginning and the end of the classes of these weeks. */
	retest: { test: TestId; weeks: number[] };
	/** How often a rung is given at least before the next. */
	repeats: number;
	/** Most new movements in one class. */
	mostNew: number;
	/** Most that the load of a week rises over the last ordinary one, percent. */
	mostUpPercent: number;
	/** How much of the last class comes again, percent of the movements. */
	keepPercent: number;
	/** In the order in which they are taught. */
	classes: SeriesClass[];
	missed: Missed[];
}

/** A series with its plans by the id of the class: one document, edited, undone and saved as a whole. */
export interface SeriesDocument {
	series: Series;
	plans: Record<string, ClassPlan>;
}

/** A series with its plans, and what was written down of classes that were taught: no edit of it changes that. */
export interface PlannedSeries extends SeriesDocument {
	runs: ClassRecords;
}

/** Limits that keep a series a series. */
export const SERIES_LIMITS = {
	weeks: 26,
	meetings: 7,
	ladders: 6,
	rungs: 24,
	skipped: 60,
	missed: 200
} as const;
