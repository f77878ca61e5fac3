import type { Leg } from '../anatomy';
import type { TestId } from '../hip-tests';
import type { DoseUnit, Position } from '../movement';
import type { SectionKind } from '../plan';

/** Who moves on: a tap, or the clock. By the clock it waits in steps of the kinds that the teacher named. */
export const LEADS = ['hand', 'clock'] as const;
export type Lead = (typeof LEADS)[number];

/** How time is saved; the teacher says which comes first. */
export const WAYS = ['shorten', 'fewer sets', 'leave out'] as const;
export type CatchUpMethod = (typeof WAYS)[number];

/** Kinds of step. In `in` people get into a shape; in `work` they hold or move it; `out` ends the last one. */
export const STEP_KINDS = ['in', 'work', 'rest', 'notice', 'round', 'talk', 'test', 'out'] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Kinds of line in the script. */
export const SAYINGS = [
	'set-up',
	'form',
	'cue',
	'breath',
	'felt',
	'watch',
	'second side',
	'leave',
	'note'
] as const;
export type SayingKind = (typeof SAYINGS)[number];

/** Something to say, and what it is about. */
export interface Saying {
	about: SayingKind;
	words: string;
}

/** Count in a step of work: its unit, and the seconds of one. */
export interface Count {
	unit: DoseUnit;
	amount: number;
	eachSeconds: number;
	/** Further parts of the dose: "each held 3 counts". */
	parts: string[];
}

/** How the amount of a step of work may change: its seconds are `baseSeconds + amount * eachSeconds`. */
export interface Adjustable {
	min: number;
	max: number;
	current: number;
	/** Amounts are multiples of this, or the current one. */
	step: number;
	eachSeconds: number;
	baseSeconds: number;
	/** How much a change of it counts against that of others. */
	weight: number;
}

/** One thing that the teacher leads through. */
export interface ScriptStep {
	/** The same each time the script is made from one plan, and unique in it. */
	id: string;
	kind: StepKind;
	sectionId: string;
	section: SectionKind;
	blockId: string;
	/** Null for words, tests and rounds of a flow. */
	itemId: string | null;
	title: string;
	/** In a test: which. Absent in scripts of earlier versions. */
	test?: TestId;
	position: Position;
	side: 1 | 2 | null;
	/** The group's leg that leads; null where nothing has a side. */
	leg: Leg | null;
	/** Which set of how many, where there are several. */
	set: { number: number; of: number } | null;
	/** As planned, whole seconds. */
	seconds: number;
	count: Count | null;
	/** The step of the first side that this one equals. */
	equals: string | null;
	say: Saying[];
	/** Who does something else, in a line each. */
	people: string[];
	/** Kit to fetch for it. */
	kit: string[];
	/** In a round: what comes in it, one after another. */
	shapes: { title: string; leg: Leg | null; seconds: number }[];
	/** Key of the drawing in {@link Script.figures}; null where nothing is drawn. */
	figure: string | null;
	adjust: Adjustable | null;
}

/** Replacement of an item, as shown and said; the time stays that of the item. */
export interface Replacement {
	/** Slug and form in the catalogue. */
	movement: string;
	form: string;
	title: string;
	position: Position;
	/** Its usual unit. */
	unit: DoseUnit;
	sayIn: Saying[];
	sayAtWork: Saying[];
	kit: string[];
}

/** Why a block is not left out to save time. */
export const KEPT_FOR = ['closing', 'undoes', 'prepares', 'test'] as const;
export type KeptFor = (typeof KEPT_FOR)[number];

/** A block of the plan, as far as leaving it out goes. */
export interface ScriptBlock {
	id: string;
	title: string;
	section: SectionKind;
	/** Null where it may be left out. */
	keptFor: KeptFor | null;
	/** How much the class loses without it; only the order counts. */
	loss: number;
}

/** A class made ready to teach. */
export interface Script {
	title: string;
	/** On the studio's clock, "HH:MM". */
	startsAt: string;
	lengthSeconds: number;
	steps: ScriptStep[];
	blocks: ScriptBlock[];
}
