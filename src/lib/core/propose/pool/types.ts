import type { Direction, Tissue } from '../../anatomy';
import type { PlanContext } from '../../checks';
import type { Analysis } from '../../analysis';
import type { Group } from '../../group';
import type { FormId, Mode, Position, Purpose } from '../../movement';
import type { Worth } from '../model';
import type { ClassPlan, SectionKind } from '../../plan';

/** Wishes of a teacher for a proposal, besides the needs of the group. */
export interface Wishes {
	/** Movement to which the class leads up: it stands in the peak. */
	toward?: string;
	/** Purpose of the first theme of the class. */
	purpose?: Purpose;
	/** Movements that must be in it, and that must not. */
	must?: readonly string[];
	never?: readonly string[];
	/** Tissues that shall be held long for about a minute a leg. */
	lengthen?: readonly Tissue[];
	/** Body positions that are left out. */
	without?: readonly Position[];
	/** Parts of the class in which something may be put; left out, all of them. */
	only?: readonly SectionKind[];
	/** Most movements that the group has never met; left out, any number. */
	mostNew?: number;
	/** Most different movements, besides those that are rested in; left out, any number. */
	mostMovements?: number;
	/** An earlier class, and the share (0-1) of the movements that it shall have had already. */
	like?: { movements: readonly string[]; share: number };
	/** Between what the effort of the class (0-10, mean over it) shall lie. */
	effort?: { least: number; most: number };
	/** Movements of the group's last class: this one opens, closes and rests between with others. */
	lastTime?: readonly string[];
	/** Directions that the group has had too little of: they come up to their bands. */
	more?: readonly Direction[];
	/** Movements that are given in no harder form than this yet. */
	upTo?: Readonly<Record<string, FormId>>;
	/** How far the group has gone with each movement in each mode, by {@link reachedKey}: what comes again goes no way back. */
	reached?: ReadonlyMap<string, ReachedHeight>;
	/** Movements that are no peak any more. */
	notPeak?: readonly string[];
	/** The demand below which the peak stays. */
	peakBelow?: number;
	/** Preview of the next class, said at the end. */
	nextTime?: string;
	/** Weights of the objective that differ from the usual ones. */
	weights?: Partial<Weights>;
}

/** The key of a movement in a mode. */
export const reachedKey = (movement: string, mode: Mode): string => `${movement} ${mode}`;

/** How far a group has gone with a movement in a mode. */
export interface ReachedHeight {
	/** Rank of the form, from 0. */
	form: number;
	sets: number;
	/** In the unit of the dose, in this form. */
	amount: number;
	/** How often in a row it has been a peak without going further. */
	still: number;
}

/** Slugs that must be in a class, the one that it leads up to among them. */
export const mustOf = ({ must = [], toward }: Pick<Wishes, 'must' | 'toward'>): readonly string[] =>
	toward ? [...must, toward] : must;

/** How much a teacher can feel of each concern: 1 is usual, 0 does not matter, 3 is three times as much. */
export interface Weights {
	/** Bands of the six directions and of strength. */
	balance: number;
	/** Little time lost in changes of position and kit. */
	flow: number;
	/** No two movements that do the same. */
	variety: number;
}

export const USUAL_WEIGHTS: Weights = { balance: 1, flow: 1, variety: 1 };

/** The steps in which a teacher sets a weight. */
export const WEIGHT_STEPS = [
	{ value: 0.3, words: 'matters little' },
	{ value: 1, words: 'as usual' },
	{ value: 3, words: 'matters most' }
] as const;

/** Context of a proposal: all that a plan is analysed against, with a known group. */
export interface ProposeContext extends PlanContext {
	group: Group;
}

/** Why an item is where it is. */
export interface Reason {
	itemId: string;
	/** In the teacher's words, the weightiest first. */
	because: string[];
}

/** One proposed class. */
export interface Proposal {
	plan: ClassPlan;
	analysis: Analysis;
	/** Score of the class, in points. */
	worth: Worth;
	/** Story of the class, a few lines. */
	story: string[];
	/** Its themes: "Standing strength, then long fronts of the hip". */
	about: string;
	reasons: Reason[];
	/** Seconds lost between blocks. */
	lostSeconds: number;
}

/** Something asked for that is not possible together with the rest. */
export interface Conflict {
	/** The smallest set of wishes that do not go together, in the teacher's words. */
	wishes: string[];
	message: string;
}
