/**
 * Kinds of class, by how much time goes to each shape. They are told apart by what a teacher can count: how many shapes
 * (each side once) come in ten minutes. That the kind is worth more than any other figure, and the figures themselves,
 * are from the timings of 21 taught classes (docs/clock.md); the quiet kind was not among them and is judged. Common
 * practice, no published source.
 */
export const CLASS_KINDS = ['flow', 'ordinary', 'detailed', 'quiet'] as const;
export type ClassKind = (typeof CLASS_KINDS)[number];

/** The kind that is taken where none is chosen. */
export const USUAL_KIND: ClassKind = 'ordinary';

/** Why people get into a shape: what getting in takes depends on it. */
export type Familiarity =
	/** The class has not met it yet. */
	| 'new'
	/** The other side of what was just new, at once or in the second pass of a chain. */
	| 'second side'
	/** It came before in this class. */
	| 'known'
	/** New, as a step of a flow: it is said while people move. */
	| 'step';

/** A kind of class: how it is said, and how its pace differs from the usual one. */
export interface KindOfClass {
	name: string;
	/** Signs that a teacher knows it by. */
	signs: string;
	/** Seconds added to the dose for getting into a shape and explaining it. */
	setUpSeconds: Record<Familiarity, number>;
	/** The part of a new shape's set-up that is said before anybody moves. */
	explainFirstSeconds: number;
	/** How much longer the work lasts than its doses say. */
	workFactor: number;
	/** Standard deviation of the logarithm of a whole class against what is planned. */
	logSd: number;
}

/**
 * How far a whole class is from what is planned where its kind was chosen: standard deviation of the logarithm. 0.12 was
 * seen with the right kind; one teacher of five is taken to choose the kind beside it, which is 0.2 off.
 */
const CHOSEN_KIND_LOG_SD = 0.14;

export const KINDS: Record<ClassKind, KindOfClass> = {
	flow: {
		name: 'Flowing',
		signs: '18 shapes or more in ten minutes; a name and one or two cues, much is linked',
		setUpSeconds: { new: 15, 'second side': 6, known: 2.5, step: 2 },
		explainFirstSeconds: 5,
		workFactor: 0.9,
		logSd: CHOSEN_KIND_LOG_SD
	},
	ordinary: {
		name: 'Ordinary',
		signs: '11 to 18 shapes in ten minutes; cues while people are in the shape',
		setUpSeconds: { new: 14, 'second side': 5.5, known: 2.5, step: 2 },
		explainFirstSeconds: 10,
		workFactor: 1,
		logSd: CHOSEN_KIND_LOG_SD
	},
	detailed: {
		name: 'Detailed',
		signs: 'under 11 shapes in ten minutes; each is built up, with kit and corrections',
		setUpSeconds: { new: 26, 'second side': 10, known: 5, step: 2 },
		explainFirstSeconds: 20,
		workFactor: 1.25,
		logSd: CHOSEN_KIND_LOG_SD
	},
	quiet: {
		name: 'Quiet',
		signs: 'few shapes, each held for minutes by the clock, with much support',
		setUpSeconds: { new: 21, 'second side': 8, known: 4, step: 2 },
		explainFirstSeconds: 15,
		workFactor: 1,
		logSd: 0.2
	}
};

/** The same where none is chosen kind of class it is. */
export const UNKNOWN_KIND_LOG_SD = 0.2;

/** 80 % of a normal distribution lie within this many standard deviations of its mean. */
export const EIGHT_OF_TEN = 1.2815516;

/** Variance of a sum of visits, in seconds per second of the sum. */
export const CHANCE_SECONDS = 8;

/** A shape that is only passed through costs this share of its set-up, and of the least that would be given of it. */
export const PASSED_THROUGH = { setUpShare: 0.4, doseShare: 0.8, mostBreaths: 2 } as const;
