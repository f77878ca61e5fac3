/** Limits that keep a plan a plan. Lengths in seconds. */
export const PLAN_LIMITS = {
	minLengthSeconds: 60,
	maxLengthSeconds: 4 * 3600,
	titleCharacters: 200,
	noteCharacters: 1000,
	/** Items of all blocks together; three hours of a class hold a third of this. Common practice, no source. */
	items: 300,
	blocks: 300,
	itemsInChain: 24,
	rounds: 24,
	/** Items times rounds of all flows of a class: what the clock has to write down. */
	flowSteps: 3000,
	testSeconds: 600,
	talkSeconds: 1800,
	noticeSeconds: 120,
	phaseSeconds: 600,
	amount: 3600,
	sets: 10,
	restSeconds: 600,
	holdAmount: 600,
	effortPercent: 100,
	/** Longer than this nobody does one thing on one side. */
	sideSeconds: 3600
} as const;

/** The length of a class given in minutes, whole seconds; null where no class is so long or so short. */
export function lengthOfMinutes(minutes: number): number | null {
	const seconds = Math.round(60 * minutes);
	const { minLengthSeconds, maxLengthSeconds } = PLAN_LIMITS;
	return seconds >= minLengthSeconds && seconds <= maxLengthSeconds ? seconds : null;
}

/** The shortest and the longest class, in minutes. */
export const LENGTH_MINUTES = {
	least: PLAN_LIMITS.minLengthSeconds / 60,
	most: PLAN_LIMITS.maxLengthSeconds / 60
} as const;

/** A length in minutes, as it is typed. */
export const minutesOfLength = (seconds: number): number => seconds / 60;
