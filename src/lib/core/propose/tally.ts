/** What is known of a class after some of its pieces: sums, and where people are. Seconds and points. */
export interface Tally {
	direction: number[];
	sections: number[];
	total: number;
	least: number;
	most: number;
	lost: number;
	work: number;
	strength: number;
	/** Effort times seconds. */
	effort: number;
	warm: number;
	moved: boolean;
	heavy: boolean;
	/** Index of the body position, bits of the kit at hand; -1 before the first piece. */
	position: number;
	kit: number;
	/** Intensity of the piece before, the highest so far, the highest in the peak. */
	before: number;
	highest: number;
	highestInPeak: number;
	restedIn: number;
	/** How many movements there are to compare the next one with. */
	compared: number;
	fresh: number;
	named: number;
	again: number;
	towardInPeak: boolean;
	variety: number;
	rules: number;
	arc: number;
	dose: number;
	shape: number;
}

/** What every tally begins with, besides its two lists. */
const NOTHING = {
	total: 0,
	least: 0,
	most: 0,
	lost: 0,
	work: 0,
	strength: 0,
	effort: 0,
	warm: 0,
	moved: false,
	heavy: false,
	position: -1,
	kit: 0,
	before: 0,
	highest: 0,
	highestInPeak: 0,
	restedIn: -1,
	compared: 0,
	fresh: 0,
	named: 0,
	again: 0,
	towardInPeak: false,
	variety: 0,
	rules: 0,
	arc: 0,
	dose: 0,
	shape: 0
};

export const newTally = (): Tally => ({
	direction: [0, 0, 0, 0, 0, 0],
	sections: [0, 0, 0, 0, 0, 0],
	...NOTHING
});

/** The same tally as if nothing had been counted. */
export function restarted(tally: Tally): Tally {
	tally.direction.fill(0);
	tally.sections.fill(0);
	return Object.assign(tally, NOTHING);
}
