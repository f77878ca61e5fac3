import type { Leg } from '../anatomy';
import type { TestId } from '../hip-tests';
import type { ClassKind, PaceChanges } from '../pace';
import type { Caution, FormId, KitKind, Mode } from '../movement';
import type { Attendance } from '../people';
import type { StyleChoices } from '../style';
import type { Dose } from './dose';

/** The six parts of a class, in the order in which they come. */
export const SECTION_KINDS = ['settle', 'warm', 'build', 'peak', 'release', 'rest'] as const;
export type SectionKind = (typeof SECTION_KINDS)[number];

export const SECTION_NAME: Record<SectionKind, string> = {
	settle: 'Settle',
	warm: 'Warm',
	build: 'Build',
	peak: 'Peak',
	release: 'Release',
	rest: 'Rest'
};

/** Phases around the work whose time a teacher may pin. A pause for noticing has a field of its own. */
export const PINNED_PHASES = ['move', 'fetch', 'setUp', 'change', 'leave'] as const;
export type PinnedPhase = (typeof PINNED_PHASES)[number];

/**
 * How a leg changes on the way from one item of a chain or flow to the next: stepping through changes who leads,
 * standing up out of a floor shape loads the other leg, turning or crossing over does too.
 */
export const LINKS = ['steps through', 'stands up', 'crosses over'] as const;
export type Link = (typeof LINKS)[number];

/** Who uses a kind of kit, where it is not everybody on both sides. */
export const KIT_FOR = [
	'whoever wants it',
	'the left side',
	'the right side',
	'the tighter side',
	'one person'
] as const;
export type KitFor = (typeof KIT_FOR)[number];

/** Use of one kind of kit in an item: kit of its form, or brought in besides. */
export interface KitUse {
	kit: KitKind;
	for: KitFor;
}

/** One movement given once: on both sides (swapping after the first) unless it is symmetrical. */
export interface Item {
	kind: 'item';
	/** Unique within the plan; items inside a chain too. */
	id: string;
	/** Slug of the catalogue. */
	movement: string;
	form: FormId;
	mode: Mode;
	dose: Dose;
	/** The leg that leads on the first side; in a movement that crosses shins, the one in front. */
	lead: Leg;
	/** In a chain or flow: why another leg leads than in the item before. */
	link?: Link;
	/** Given on one side only, and why: an empty reason is a mistake that a check names. */
	oneSided?: { reason: string };
	/** Whether the sides take turns, where it is otherwise than the movement says. */
	byTurns?: boolean;
	/** The change of sides is a slow, controlled switch: part of the practice, and longer. */
	slowChange?: true;
	/** Kit that is not for everybody on both sides. */
	kit?: KitUse[];
	/** On the way to something else: a breath, not a hold, and nothing is explained. */
	passed?: true;
	/** Cautions in the room with which the teacher keeps it all the same, and the day of that decision. */
	confirmed?: { caution: Caution; on: string }[];
	/** Seconds of the phases round the work that the teacher knows better than the pace does. */
	phases?: Partial<Record<PinnedPhase, number>>;
	/** A pinned item keeps its dose when the class is fitted. */
	pinned?: boolean;
	/** A pause for noticing after the first side (s). */
	noticeFirstSeconds?: number;
	/** A pause for noticing after it, seconds. */
	noticeSeconds?: number;
	note?: string;
}

/**
 * Several items on one side, then all of them mirrored. Each keeps its own lead leg for the first pass,
 * because stepping through may change who leads.
 */
export interface Chain {
	kind: 'chain';
	id: string;
	items: Item[];
	/** As of an item: how the sides change, and a pause for noticing before they do. */
	slowChange?: true;
	noticeFirstSeconds?: number;
}

/** How a flow serves both sides: the other leg leads in each next round, or all rounds on one side come first. */
export const FLOW_SIDES = ['alternate', 'mirror'] as const;
export type FlowSides = (typeof FLOW_SIDES)[number];

/**
 * Rounds of linked items, each with a dose of its own, joined to the breath or held. The first round is slower: only
 * then is each item fetched for and set up.
 */
export interface Flow {
	kind: 'flow';
	id: string;
	items: Item[];
	/** On each side, where the sides are mirrored. */
	rounds: number;
	sides: FlowSides;
}

/** A test of the hips, taken at the start and at the end under the same conditions. */
export interface TestBlock {
	kind: 'test';
	id: string;
	test: TestId;
	/** Both legs, with looking and noticing. */
	seconds: number;
}

/** Words to the group with nothing else going on: a welcome, a story, an announcement. */
export interface Talk {
	kind: 'talk';
	id: string;
	label: string;
	seconds: number;
}

export type Block = Item | Chain | Flow | Talk | TestBlock;

/** A block that holds items one after another. */
export type Linked = Chain | Flow;

/** A part of a class with a purpose in it, from settling to rest. */
export interface Section {
	id: string;
	kind: SectionKind;
	/** How this part is taught, where it is otherwise than the rest of the class. */
	classKind?: ClassKind;
	blocks: Block[];
}

/** A check that says nothing more, over the whole class or at one item. */
export interface Silence {
	check: string;
	itemId?: string;
	reason: string;
}

/** A class as a value: edits return a new one, and all that is shown is worked out from it. */
export interface ClassPlan {
	title: string;
	/** The one thing that this class is about, where it is about one. */
	theme?: string;
	/** How long the class shall be, seconds. */
	lengthSeconds: number;
	/** On the studio's clock, "HH:MM". */
	startsAt: string;
	/** Figures of the pace that were set for this class by hand; everything else is the pace of who teaches it. */
	pinnedPace?: PaceChanges;
	/** Where the schools differ: what is chosen for this class. */
	style?: StyleChoices;
	/** The leg that leads the first side of what is added; left where nothing is said. */
	firstSide?: Leg;
	/** Who is here, where it is differs from your style. */
	here?: Attendance;
	/** Checks that are silenced for this class or for one item of it, each with the reason. */
	silenced?: Silence[];
	/** Which state of each movement the plan was made with: content hash by slug. */
	madeWith?: Record<string, string>;
	/** Marks of the content before and after changes that no hand made: brought to its length, or to a newer version. */
	carried?: { from: string; to: string };
	sections: Section[];
}

/** Where a block stands. */
export interface BlockPosition {
	sectionId: string;
	/** Index within the section's blocks. */
	index: number;
}
