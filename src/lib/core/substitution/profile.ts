import {
	DIRECTIONS,
	directionShares,
	eachDirection,
	GROUP_OF_DIRECTION,
	isSymmetrical,
	type Direction,
	type LegAction,
	type MuscleGroup,
	type Tissue
} from '../anatomy';
import { STRENGTH_FROM_EFFORT } from '../rules';
import { WORKING_MODES, type Movement } from '../movement';

/** Effects of a movement, both legs together. */
export interface Profile {
	/** Share of the work time spent in a direction, both legs added (0-2). */
	range: Record<Direction, number>;
	/** Directions whose muscles can be strengthened by some form of it. */
	strength: ReadonlySet<Direction>;
	tissues: ReadonlySet<Tissue>;
	muscles: ReadonlySet<MuscleGroup>;
}

const known = new WeakMap<Movement, Profile>();

/** The two legs of a movement; twice the same where it has no sides. */
export function legsOf(movement: Movement): [LegAction, LegAction] {
	const { action } = movement;
	return isSymmetrical(action) ? [action.both, action.both] : [action.lead, action.trail];
}

/** Returns the effects of a movement, for comparison and search; cached while the movement lives. */
export function profileOf(movement: Movement): Profile {
	let profile = known.get(movement);
	if (profile) return profile;
	const legs = legsOf(movement);
	const shares = legs.map(directionShares);
	const muscles = new Set(legs.flatMap((leg) => leg.works));
	const strengthens =
		movement.modes.some((mode) => WORKING_MODES.has(mode)) &&
		movement.forms.some((form) => form.effort >= STRENGTH_FROM_EFFORT);
	profile = {
		range: eachDirection((d) => shares.reduce((sum, share) => sum + share[d], 0)),
		strength: new Set(strengthens ? DIRECTIONS.filter((d) => muscles.has(GROUP_OF_DIRECTION[d])) : []),
		tissues: new Set(legs.flatMap((leg) => leg.lengthens)),
		muscles
	};
	known.set(movement, profile);
	return profile;
}
