import { DIRECTIONS, type Direction } from '../anatomy';
import type { Targets } from '../orbit';
import type { WeekAnalysis } from './analysis';

/** A direction is neglected after this many weeks in a row below its band. Common practice, no source. */
export const NEGLECT_WEEKS = 3;

const short = (week: WeekAnalysis, d: Direction) => week.balance.directions[d].standing === 'short';

/** Directions that each of the last three planned weeks gave too little of. */
export const neglected = (weeks: readonly WeekAnalysis[]): Direction[] => shortInEach(weeks, NEGLECT_WEEKS);

/** Directions that are neglected if one more week gives too little of them. */
export const nearlyNeglected = (weeks: readonly WeekAnalysis[]): Direction[] =>
	shortInEach(weeks, NEGLECT_WEEKS - 1);

/** Directions that each of the last planned weeks gave too little of; none where fewer weeks are planned. */
function shortInEach(weeks: readonly WeekAnalysis[], count: number): Direction[] {
	const planned = weeks.filter((week) => week.orbit.rangeTotalSeconds > 0).slice(-count);
	if (planned.length < count) return [];
	return DIRECTIONS.filter((d) => planned.every((week) => short(week, d)));
}

/** How far a band is lifted for a direction that is wanted more: this part of its width (our own choice, no source). */
const LIFT = 0.5;

/** Targets that ask for more of some directions: the lower end of their bands goes up half of the way. */
export function targetsWithMore(targets: Targets, more: readonly Direction[]): Targets {
	const directions = { ...targets.directions };
	const wanted = DIRECTIONS.filter((d) => more.includes(d));
	// the lower ends together must leave room for the rest
	let room = 100 - DIRECTIONS.reduce((sum, d) => sum + directions[d].minPercent, 0);
	for (const d of wanted) {
		const { minPercent, maxPercent } = directions[d];
		const lift = Math.max(0, Math.min(room, Math.round(LIFT * (maxPercent - minPercent))));
		directions[d] = { minPercent: minPercent + lift, maxPercent };
		room -= lift;
	}
	return { ...targets, directions };
}
