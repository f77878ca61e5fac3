/**
 * The six directions in which a hip moves, in three opposite pairs, and the two legs.
 * Angles are in degrees from the anatomical position (standing, toes forward = 0 everywhere).
 */
export const DIRECTIONS = [
	'flexion',
	'extension',
	'abduction',
	'adduction',
	'internalRotation',
	'externalRotation'
] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** Something for each direction. */
export function eachDirection<T>(of: (direction: Direction) => T): Record<Direction, T> {
	const all = {} as Record<Direction, T>;
	for (const direction of DIRECTIONS) all[direction] = of(direction);
	return all;
}

export const LEGS = ['left', 'right'] as const;
export type Leg = (typeof LEGS)[number];

export const OPPOSITE: Record<Direction, Direction> = {
	flexion: 'extension',
	extension: 'flexion',
	abduction: 'adduction',
	adduction: 'abduction',
	internalRotation: 'externalRotation',
	externalRotation: 'internalRotation'
};

/** The short signs of the trade, shown beside every colour and read by {@link readHips}. */
export const DIRECTION_SIGN: Record<Direction, string> = {
	flexion: 'F',
	extension: 'E',
	abduction: 'AB',
	adduction: 'AD',
	internalRotation: 'IR',
	externalRotation: 'ER'
};

/** Full names, as a teacher says them. */
export const DIRECTION_NAME: Record<Direction, string> = {
	flexion: 'flexion',
	extension: 'extension',
	abduction: 'abduction',
	adduction: 'adduction',
	internalRotation: 'internal rotation',
	externalRotation: 'external rotation'
};

/** Plain words for a direction, shown under its anatomical name. */
export const DIRECTION_PLAIN: Record<Direction, string> = {
	flexion: 'knee toward chest',
	extension: 'thigh back',
	abduction: 'leg out',
	adduction: 'leg across',
	internalRotation: 'turning in',
	externalRotation: 'turning out'
};

/**
 * From this angle on (degrees, inclusive) a hip counts as being "in" a direction.
 * Common practice, no source: below it nothing much is asked of the joint that way.
 */
export const COUNTS_FROM_DEG: Record<Direction, number> = {
	flexion: 100,
	extension: 10,
	abduction: 30,
	adduction: 15,
	internalRotation: 20,
	externalRotation: 30
};

/** No healthy adult is asked for more than this (degrees): the plausibility ceiling of the catalogue. */
export const CEILING_DEG: Record<Direction, number> = {
	flexion: 135,
	extension: 30,
	abduction: 60,
	adduction: 35,
	internalRotation: 50,
	externalRotation: 60
};

/** Knee flexion has one ceiling of its own: heel to seat, with the thigh's weight on it. */
export const KNEE_CEILING_DEG = 160;

/** Left for right and right for left. */
export function otherLeg(leg: Leg): Leg {
	return leg === 'left' ? 'right' : 'left';
}
