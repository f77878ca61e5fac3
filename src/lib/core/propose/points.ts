/** Points of the objective; docs/planner.md gives the reason of each. Common practice, no source. */
export const POINTS = {
	/** For each hundredth of the class that a direction is outside its band, and the strengthening work. */
	directionOff: 1,
	strengthOff: 0.5,
	lostSecond: 0.04,
	/** A pair of movements alike beyond this counts by what it exceeds it. */
	alikeFrom: 0.7,
	alike: 9,
	twice: 12,
	/** Every movement that another proposal has too, as its part of the class. */
	elsewhere: 20,
	/** The whole way from all of an earlier class kept to nothing of it. */
	unlike: 40,
	/** For each percent that a part is farther from its share than nobody notices. */
	sectionPercentOff: 0.25,
	jump: 1.5,
	peakElsewhere: 3,
	/** Each step that the peak stays under the most that these people are given. */
	lowPeak: 1.5,
	/** For the whole range between a dose and the usual one, but for what nobody notices of it. */
	doseRange: 0.6,
	cold: 9,
	unprepared: 7,
	strongAfterHeavy: 6,
	heldBeforeMoved: 7,
	steepOpening: 7,
	restedTwice: 6,
	idleSecond: 0.03,
	/** Work that is over before it was worth explaining. */
	brief: 2.5,
	/** A tissue asked for that is not held long at all; less in part. */
	tissueShort: 12,
	/** A muscle that hangs long enough to cost something in the sport that follows. */
	hungBeforeSport: 6,
	newOne: 8,
	/** Each whole step of effort (of ten) that a class asks for more than it may. */
	effortOver: 80,
	emptySection: 20,
	wishMissing: 80,
	secondOff: 0.03,
	secondOutOfReach: 1
} as const;

/** What nobody notices: percent of the class that a part is longer or shorter, and a share of the usual dose. */
export const UNNOTICED = { sectionPercent: 2, doseShare: 0.2 };
/** A rest before the closing one is no longer than this. */
export const IDLE_SECONDS = 150;
export const JUMP = 2;
