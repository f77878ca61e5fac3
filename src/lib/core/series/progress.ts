import type { FindMovement, Mode } from '../movement';
import type { ClassAnalysis } from './analysis';
import { further, heightsOf, standings, type Further, type Height, type Standing } from './heights';

/** Change of a movement that returns in a later class. */
export interface Progress {
	movement: string;
	mode: Mode;
	/** The part of it that changed. */
	what: Further;
	/** Further than in any class before; or not as far as in the last ordinary class that had it. */
	way: 'up' | 'down';
}

/** A dose may shrink by this share without counting as easier: the class has to end on the second. */
const DOSE_SLACK = 0.2;

/** Returns in which way a height is less than the last one; null where it is not. */
function lessThan(now: Height, last: Height): Further | null {
	const less = further(last, now);
	if (less === 'links') return null;
	return less === 'dose' && now.amount >= (1 - DOSE_SLACK) * last.amount ? null : less;
}

/** Returns what a class makes harder or easier than where the group stands. */
export function progressFrom(
	before: ReadonlyMap<string, Standing>,
	now: ReadonlyMap<string, Height>
): Progress[] {
	return [...now].flatMap(([key, height]): Progress[] => {
		const known = before.get(key);
		if (!known) return [];
		const { movement, mode } = height;
		const up = further(height, known.highest);
		if (up) return [{ movement, mode, what: up, way: 'up' }];
		const down = lessThan(height, known.last);
		return down ? [{ movement, mode, what: down, way: 'down' }] : [];
	});
}

/** Returns where the group stands before a class with each movement of the classes before it that have a plan. */
export const standingsBefore = (
	classes: readonly ClassAnalysis[],
	c: ClassAnalysis,
	find: FindMovement
): Map<string, Standing> =>
	standings(
		classes.slice(0, c.number - 1).flatMap(({ plan, easier }) => (plan ? [{ plan, easier }] : [])),
		find
	);

/** Returns the movements that a class makes harder or easier than before; in an easier week nothing counts as easier. */
export function progressIn(
	classes: readonly ClassAnalysis[],
	c: ClassAnalysis,
	find: FindMovement
): Progress[] {
	if (!c.plan) return [];
	const all = progressFrom(standingsBefore(classes, c, find), heightsOf(c.plan, find));
	return c.easier ? all.filter(({ way }) => way === 'up') : all;
}
