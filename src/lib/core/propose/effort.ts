/** How much work a proposal may cost: steps of the search, never seconds, so that a seed gives one class everywhere. */
export interface Effort {
	/** Steps of a rough class that is there at once; 0 for none. */
	roughSteps: number;
	/** Searches from different beginnings, and steps of each. */
	starts: number;
	steps: number;
	/** Classes put together from the parts of two. */
	crossings: number;
	/** Steps of the refinement of each beginning and of each class that was put together. */
	refineSteps: number;
	/** Steps of a last search from each of the best, once their doses are such as may be given. */
	settleSteps: number;
}

/** Found by trial: how they are divided makes little difference, how many there are in all makes much. */
const STANDARD = { starts: 3, steps: 5000, crossings: 4, refineSteps: 40_000, settleSteps: 20_000 };

/**
 * What a proposal usually costs, a second to a second and a half of work; `times` as much of it: more searches, and longer
 * ones.
 */
export function standardEffort(times = 1): Effort {
	const more = Math.sqrt(times);
	const starts = Math.round(STANDARD.starts * more);
	const crossings = Math.round(STANDARD.crossings * more);
	const refinements = STANDARD.starts + STANDARD.crossings;
	return {
		roughSteps: 2000,
		starts,
		steps: Math.round((times * STANDARD.starts * STANDARD.steps) / starts),
		crossings,
		refineSteps: Math.round((times * refinements * STANDARD.refineSteps) / (starts + crossings)),
		settleSteps: Math.round(times * STANDARD.settleSteps)
	};
}
