/**
 * The weight of each part of the objective, in points. One point is a difference that a reader just notices: the
 * loss when two distant items of a good class are swapped. Weights and caps come from comparing taught classes with
 * worsened ones (docs/planner.md); common practice measured on few classes, no published source.
 */

/** Points for a whole 1 of a term, and the value from which more of it earns nothing. */
export const TERMS = {
	/** Intense shapes have one of their preparations before them. */
	prepared: { points: 2.7, cap: 0.65 },
	/** Two easier likenesses come before what is intense. */
	twoBefore: { points: 1.4, cap: 0.87 },
	/** Sided items stand in chains and flows. */
	linked: { points: 1.8, cap: 0.75 },
	/** Neighbours are more alike than any two items are. */
	theme: { points: 9, cap: 0.09 },
	/** Movements come back: minus the share of different ones. */
	returns: { points: 5.3, cap: -0.72 },
	/** Of two alike the later one asks more. */
	further: { points: 1.4, cap: 0.32 },
	/** Moved before it is held. */
	movedFirst: { points: 1.9, cap: 0.89 },
	/** From the floor to the feet and back, per change from item to item. */
	levelChanges: { points: 6, cap: 0 },
	/** The theme goes on where the position changes. */
	carriedOver: { points: 2.3, cap: 0.05 },
	/** No neighbour does the same again. */
	noCopy: { points: 9, cap: 0 },
	/** The first item has no sides. */
	opensSymmetrical: { points: 0.7, cap: 1 },
	/** The time goes to few tissues and muscles. */
	tissueFocus: { points: 3.5, cap: 0.55 },
	/** Seconds of changing position and fetching kit, as a share of the class. */
	transitionShare: { points: 12, cap: -0.02 },
	/** The most demanding item is own strength or a shape of the group’s purposes, never a resting shape. */
	peak: { points: 1.2, cap: 1 },
	/** Strength comes in sets. */
	sets: { points: 0.8, cap: 0.4 },
	/** After each heavy side something lets go. */
	released: { points: 1, cap: 1 },
	/** Words at the beginning, before what is new and at the end; pauses to notice. */
	cueCoverage: { points: 0.8, cap: 1 }
} as const satisfies Record<string, { points: number; cap: number }>;
export type TermId = keyof typeof TERMS;

/** Points each time beyond what is let pass; no guard takes more than {@link MOST_PER_GUARD} unless it says so. */
export const GUARDS = {
	/** Items beyond six in one chain or flow. */
	longChain: { points: 0.15, most: 2 },
	/** Neighbours in a chain that no body goes through in one. */
	badLink: { points: 0.6, most: 5 },
	/** The same movement again at once, not harder and not in a later mode. */
	copyInARow: { points: 0.4, most: 2 },
	/** Visits of one movement beyond three. */
	tooOften: { points: 0.4, most: 2 },
	/** Rests in a row, and too many before the last. */
	rests: { points: 0.4, most: 2 },
	/** Resets after nothing that was heavy. */
	pointlessResets: { points: 0.4, most: 2 },
	/** Away and back within three items. */
	backAndForth: { points: 0.3, most: 2 },
	/** Changes of position in more than half of the joints between items. */
	travel: { points: 0.2, most: 2 },
	/** Direction time in few directions: per tenth of entropy. */
	oneSided: { points: 0.3, most: 2 },
	/** Kinds of kit beyond three. */
	kit: { points: 0.3, most: 2 }
} as const satisfies Record<string, { points: number; most: number }>;
export type GuardId = keyof typeof GUARDS;

/** From this likeness on two movements do about the same, are of one theme, or have something to do with each other. */
export const SIMILARITY = { copy: 0.85, alike: 0.7, related: 0.5, joined: 0.3 } as const;
/** Of one family they are at least so alike. */
export const FAMILY_LIKENESS = 0.8;
/** How much a worked muscle counts beside a lengthened tissue. */
export const MUSCLE_WEIGHT = 0.7;
/** Least difference of demand (intensity plus half the effort) that people feel. */
export const FELT_DEMAND = 0.4;
/** From this intensity on something is intense. */
export const INTENSE = 3;
/** From this demand on a side is heavy. */
export const HEAVY_DEMAND = 4;
/** The part of the class after which going further counts no more. */
export const WIND_DOWN_FROM = 0.85;
/** Summed angles of hips and half of those of the knees, mean of the legs: farther apart two shapes are not one way. */
export const FAR_APART_DEG = 60;
/** Alike shapes are still one way so far apart. */
export const FARTHEST_LINK_DEG = 110;
/** Nats of direction time below which a class is one-sided. */
export const LEAST_ENTROPY = 1.3;
export const LONGEST_CHAIN = 6;
export const MOST_VISITS = 3;
export const MOST_KIT_KINDS = 3;
