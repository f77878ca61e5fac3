/** How much work a proposal may cost: steps of the search, never seconds, so that a seed gives one class everywhere. */
export interface Effort {
	/** Steps of a rough class that is there at once; 0 for none. */
	roughSteps: number;
	/** Searches from different beginnings, and steps of each. */
	starts: number;
	steps: number;
	/** Classes put together from the parts of two, and steps of the search from each. */
	crossings: number;
	crossingSteps: number;
}

/** Steps of a search in all: about a second of work. Half of them begin, half go on from what was crossed. */
const STEPS = 600_000;
/** So many seconds of class are divided among the beginnings: a longer class takes longer to settle. Found by trial. */
const SHARED_SECONDS = 9000;
const CROSSINGS_PER_START = 4;

/** What a proposal of a class of some length usually costs; `times` as much of it. */
export function standardEffort(lengthSeconds: number, times = 1): Effort {
	const starts = Math.max(2, Math.round((Math.sqrt(times) * SHARED_SECONDS) / lengthSeconds));
	const crossings = CROSSINGS_PER_START * starts;
	const half = (times * STEPS) / 2;
	return {
		roughSteps: 2000,
		starts,
		steps: Math.round(half / starts),
		crossings,
		crossingSteps: Math.round(half / crossings)
	};
}
