import {
	directionShares,
	DIRECTIONS,
	eachDirection,
	GROUP_OF_DIRECTION,
	isSymmetrical,
	LEGS,
	STRENGTH_GROUPS,
	type ActionProfile,
	type Direction,
	type Leg,
	type LegAction
} from '../anatomy';
import type { LegPart, Timeline, TimelineEntry } from '../clock';
import { actionOf, formOf, type FindMovement, memoize } from '../movement';
import { countsAsStrength } from '../rules';
import type { Item } from '../plan';

/** Seconds per direction and leg. */
export type DirectionSeconds = Record<Leg, Record<Direction, number>>;

/** The balance of a class, seconds: range and strength are kept apart and never added. */
export interface Orbit {
	/** Held or swung through at or beyond the angle from which a direction counts. */
	range: DirectionSeconds;
	/** The muscles of that direction at work. */
	strength: DirectionSeconds;
	/** All range seconds of both legs: what the shares of the targets refer to. */
	rangeTotalSeconds: number;
	/** Clock time of the work itself, without rest. */
	workSeconds: number;
	/** Part of it in which a hip group or the trunk works. */
	strengthWorkSeconds: number;
	/** Part of it in passive mode. */
	passiveSeconds: number;
}

/** Weights of one second of an action. */
interface ActionWeights {
	range: [Direction, number][];
	strength: Direction[];
	strengthens: boolean;
}
const weights = memoize((action: LegAction): ActionWeights => {
	const shares = directionShares(action);
	return {
		range: DIRECTIONS.filter((d) => shares[d] > 0).map((d) => [d, shares[d]]),
		strength: DIRECTIONS.filter((d) => action.works.includes(GROUP_OF_DIRECTION[d])),
		strengthens: action.works.some((group) => STRENGTH_GROUPS.includes(group))
	};
});

function emptySeconds(): DirectionSeconds {
	const zero = () => eachDirection(() => 0);
	return { left: zero(), right: zero() };
}

const emptyOrbit = (): Orbit => ({
	range: emptySeconds(),
	strength: emptySeconds(),
	rangeTotalSeconds: 0,
	workSeconds: 0,
	strengthWorkSeconds: 0,
	passiveSeconds: 0
});

/**
 * The balance of a timeline. Work strengthens in working modes and in forms that ask for enough effort.
 * Range counts in every mode, for it says where the joint is; a swing gives each end its part of the time.
 *
 * @param timeline of the class
 * @param find looks a movement up by its slug
 * @param itemOf an item of the class by its id
 * @returns seconds per direction and leg, range and strength apart, and seconds of work in all
 */
export function orbit(
	timeline: Timeline,
	find: FindMovement,
	itemOf: (itemId: string) => Item | undefined
): Orbit {
	const result = emptyOrbit();
	for (const entry of timeline.entries) if (entry.phase === 'work') addWork(result, entry, find, itemOf);
	return result;
}

function addWork(
	sum: Orbit,
	entry: TimelineEntry,
	find: FindMovement,
	itemOf: (itemId: string) => Item | undefined
): void {
	const movement = entry.movement === null ? undefined : find(entry.movement);
	const item = entry.itemId === null ? undefined : itemOf(entry.itemId);
	if (!movement || !item || !entry.legs) return;
	const seconds = entry.toSeconds - entry.fromSeconds;
	const { mode } = item;
	const form = formOf(movement, item.form);
	const effort = form?.effort ?? 0;
	const action = actionOf(movement, form, mode);
	const working = countsAsStrength(effort, mode);
	let strengthens = false;
	for (const leg of LEGS) {
		const parts = partsOf(action, entry.legs[leg]);
		for (const legAction of parts) {
			const known = weights(legAction);
			const own = seconds / parts.length;
			for (const [direction, share] of known.range) {
				sum.range[leg][direction] += share * own;
				sum.rangeTotalSeconds += share * own;
			}
			if (!working) continue;
			for (const direction of known.strength) sum.strength[leg][direction] += own;
			strengthens ||= known.strengthens;
		}
	}
	if (mode !== 'rest') sum.workSeconds += seconds;
	if (strengthens) sum.strengthWorkSeconds += seconds;
	if (mode === 'passive') sum.passiveSeconds += seconds;
}

/** Returns the actions of a leg in a part: one, or two that alternate. */
function partsOf(action: ActionProfile, part: LegPart): readonly LegAction[] {
	if (isSymmetrical(action)) return [action.both];
	if (part === 'turns') return [action.lead, action.trail];
	return [part === 'trail' ? action.trail : action.lead];
}

/** Range seconds of both legs in one direction. */
export function rangeSeconds(orbit: Orbit, direction: Direction): number {
	return orbit.range.left[direction] + orbit.range.right[direction];
}

/** Share (0-1) of a direction in all direction time; 0 when there is none. */
export function rangeShare(orbit: Orbit, direction: Direction): number {
	return orbit.rangeTotalSeconds === 0 ? 0 : rangeSeconds(orbit, direction) / orbit.rangeTotalSeconds;
}

/** Share (0-1) of the work in which muscles of the hip or the trunk work. */
export function strengthShare(orbit: Orbit): number {
	return orbit.workSeconds === 0 ? 0 : orbit.strengthWorkSeconds / orbit.workSeconds;
}

/** Several classes counted as one: everything added up. */
export function sumOfOrbits(orbits: readonly Orbit[]): Orbit {
	const sum = emptyOrbit();
	for (const orbit of orbits) {
		for (const leg of LEGS)
			for (const d of DIRECTIONS) {
				sum.range[leg][d] += orbit.range[leg][d];
				sum.strength[leg][d] += orbit.strength[leg][d];
			}
		sum.rangeTotalSeconds += orbit.rangeTotalSeconds;
		sum.workSeconds += orbit.workSeconds;
		sum.strengthWorkSeconds += orbit.strengthWorkSeconds;
		sum.passiveSeconds += orbit.passiveSeconds;
	}
	return sum;
}
