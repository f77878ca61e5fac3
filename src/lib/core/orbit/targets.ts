import { DIRECTIONS, eachDirection, type Direction } from '../anatomy';
import { rangeSeconds, rangeShare, strengthShare, sumOfOrbits, type Orbit } from './orbit';

/** A band in percent, both ends inclusive. */
export interface Band {
	minPercent: number;
	maxPercent: number;
}

/** Targets of a group: bands of the time by direction, and the share of strengthening work. */
export interface Targets {
	directions: Record<Direction, Band>;
	strength: Band;
}

export type BandStatus = 'short' | 'within' | 'over';

/** A share of the class beside its target. */
export interface Verdict {
	standing: BandStatus;
	sharePercent: number;
	band: Band;
	/** Percentage points outside the band; 0 within. */
	offByPercent: number;
	/**
	 * Seconds of this direction to add (short, positive) or take away (over, negative), both legs together,
	 * so that the share reaches the band when nothing else changes.
	 */
	offBySeconds: number;
}

/** Where a share stands against a band. Half a hundredth of a percent is within: shares are sums of halves. */
function standing(sharePercent: number, band: Band): BandStatus {
	if (sharePercent < band.minPercent - 0.005) return 'short';
	return sharePercent > band.maxPercent + 0.005 ? 'over' : 'within';
}

/** Whole seconds away from zero; a hair of rounding error adds none. */
const up = (seconds: number) => Math.ceil(seconds - 1e-9);
const down = (seconds: number) => Math.floor(seconds + 1e-9);

function verdict(part: number, total: number, band: Band): Verdict {
	const sharePercent = total === 0 ? 0 : (100 * part) / total;
	const where = standing(sharePercent, band);
	const goal = where === 'short' ? band.minPercent : band.maxPercent;
	// part + x = goal share of (total + x), solved for x
	const x = goal >= 100 ? Infinity : ((goal / 100) * total - part) / (1 - goal / 100);
	return {
		standing: where,
		sharePercent,
		band,
		offByPercent: where === 'within' ? 0 : Math.abs(sharePercent - goal),
		offBySeconds: where === 'within' ? 0 : where === 'short' ? up(x) : down(x)
	};
}

/**
 * The share in percent, whole; with as many decimals as show on which side of the band it stands: 50.03 % is over a
 * band that ends at 50 %, and "50 %" would seem to be within.
 */
export function shareText({ standing: where, sharePercent, band }: Verdict): string {
	const shown = [0, 1].map((decimals) => sharePercent.toFixed(decimals));
	return shown.find((text) => standing(Number(text), band) === where) ?? sharePercent.toFixed(2);
}

/** One direction against its band: its share of all range time in percent, where it stands, and by how many seconds it is off. */
export function directionVerdict(orbit: Orbit, direction: Direction, targets: Targets): Verdict {
	return verdict(rangeSeconds(orbit, direction), orbit.rangeTotalSeconds, targets.directions[direction]);
}

/** How the strength share stands; seconds are of work that strengthens in place of work that does not. */
export function strengthVerdict(orbit: Orbit, targets: Targets): Verdict {
	const { workSeconds, strengthWorkSeconds } = orbit;
	const found = verdict(strengthWorkSeconds, workSeconds, targets.strength);
	if (found.standing === 'within') return found;
	const goal = found.standing === 'short' ? targets.strength.minPercent : targets.strength.maxPercent;
	const exchange = (goal / 100) * workSeconds - strengthWorkSeconds;
	return { ...found, offBySeconds: exchange > 0 ? up(exchange) : down(exchange) };
}

/** Balance is judged over this many classes, about a fortnight. Common practice, no source. */
export const LATELY_CLASSES = 4;

/** The last classes of a group, counted as one. */
export interface Lately {
	classes: number;
	orbit: Orbit;
}

/** A class on top of the last ones: which directions are short then, and which over; null where there were none. */
export function togetherWith(
	orbit: Orbit,
	{ classes, orbit: before }: Lately,
	targets: Targets
): { classes: number; short: Direction[]; over: Direction[] } | null {
	if (before.rangeTotalSeconds === 0) return null;
	const sum = sumOfOrbits([before, orbit]);
	const standingAt = (where: BandStatus) =>
		DIRECTIONS.filter((d) => directionVerdict(sum, d, targets).standing === where);
	return { classes, short: standingAt('short'), over: standingAt('over') };
}

/** Directions of which classes together gave too little; none where there are no classes. */
export function shortDirections(orbits: readonly Orbit[], targets: Targets): Direction[] {
	if (orbits.length === 0) return [];
	const sum = sumOfOrbits(orbits);
	return DIRECTIONS.filter((d) => directionVerdict(sum, d, targets).standing === 'short');
}

/** The orbit of a class beside all targets of its group. */
export interface Balance {
	directions: Record<Direction, Verdict & { share: number; leftSeconds: number; rightSeconds: number }>;
	strength: Verdict & { share: number };
}

/**
 * All verdicts of an orbit at once: for each direction its share of the range time and for strength its share of the
 * work, both from 0 to 1 and in percent, against the bands of the targets.
 */
export function balance(orbit: Orbit, targets: Targets): Balance {
	return {
		// assigned, not spread: that takes a fifth of the time of reading a plan of one block
		directions: eachDirection((d) =>
			Object.assign(directionVerdict(orbit, d, targets), {
				share: rangeShare(orbit, d),
				leftSeconds: orbit.range.left[d],
				rightSeconds: orbit.range.right[d]
			})
		),
		strength: { ...strengthVerdict(orbit, targets), share: strengthShare(orbit) }
	};
}
