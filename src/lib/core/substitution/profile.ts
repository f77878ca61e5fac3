import {
	DIRECTIONS,
	directionShares,
	eachDirection,
	GROUP_OF_DIRECTION,
	type Direction,
	type LegAction,
	type MuscleGroup,
	type Tissue,
	legPair
} from '../anatomy';
import { STRENGTH_FROM_EFFORT } from '../rules';
import { memoize, WORKING_MODES, type Movement } from '../movement';

/** Effects of a movement, both legs together. */
export interface Profile {
	/** Share of the work time spent in a direction, both legs added (0-2). */
	range: Record<Direction, number>;
	/** Directions whose muscles can be strengthened by some form of it. */
	strength: ReadonlySet<Direction>;
	tissues: ReadonlySet<Tissue>;
	muscles: ReadonlySet<MuscleGroup>;
}

/** The two legs of a movement; twice the same where it has no sides. */
export const legsOf = (movement: Movement): [LegAction, LegAction] => legPair(movement.action);

/** Returns the effects of a movement, for comparison and search. */
export const profileOf = memoize((movement: Movement): Profile => {
	const legs = legsOf(movement);
	const shares = legs.map(directionShares);
	const muscles = new Set(legs.flatMap((leg) => leg.works));
	const strengthens =
		movement.modes.some((mode) => WORKING_MODES.has(mode)) &&
		movement.forms.some((form) => form.effort >= STRENGTH_FROM_EFFORT);
	return {
		range: eachDirection((d) => shares.reduce((sum, share) => sum + share[d], 0)),
		strength: new Set(strengthens ? DIRECTIONS.filter((d) => muscles.has(GROUP_OF_DIRECTION[d])) : []),
		tissues: new Set(legs.flatMap((leg) => leg.lengthens)),
		muscles
	};
});
