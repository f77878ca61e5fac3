import {
	DIRECTIONS,
	MUSCLE_GROUPS,
	TISSUES,
	COUNTS_FROM_DEG,
	type HipAngles,
	type LegAction,
	legPair
} from '../../anatomy';
import { memoize, type Movement } from '../../movement';
import { FAMILY_LIKENESS, FAR_APART_DEG, FARTHEST_LINK_DEG, SIMILARITY, MUSCLE_WEIGHT } from './amounts';

const legsOf = ({ action }: Movement): [LegAction, LegAction] => legPair(action);

/** Returns a movement as a vector: directions of both legs, lengthened tissues, working muscles. */
const vectorOf = memoize((movement: Movement): number[] => {
	const legs = legsOf(movement);
	const inDirection = DIRECTIONS.map((d) => {
		const shares = legs.map(
			(leg) => leg.positions.filter((p) => (p[d] ?? 0) >= COUNTS_FROM_DEG[d]).length / leg.positions.length
		);
		return Math.min(1, shares[0]! + shares[1]!);
	});
	const lengthens = TISSUES.map((t) => Number(legs.some((leg) => leg.lengthens.includes(t))));
	const works = MUSCLE_GROUPS.map((g) => (legs.some((leg) => leg.works.includes(g)) ? MUSCLE_WEIGHT : 0));
	return [...inDirection, ...lengthens, ...works];
});

/**
 * How far two movements do the same to a hip, 0 to 1: the cosine of what they do. Position, kit and time do not count;
 * two of one family are alike, and each is alike to itself.
 */
export const movementSimilarity = memoize((a: Movement, b: Movement): number => {
	if (a.slug === b.slug) return 1;
	const [va, vb] = [vectorOf(a), vectorOf(b)];
	let [dot, aa, bb] = [0, 0, 0];
	for (const [i, x] of va.entries()) {
		const y = vb[i]!;
		dot += x * y;
		aa += x * x;
		bb += y * y;
	}
	const cosine = aa > 0 && bb > 0 ? dot / Math.sqrt(aa * bb) : 0;
	return a.families.some((family) => b.families.includes(family))
		? Math.max(FAMILY_LIKENESS, cosine)
		: cosine;
});

const signed = (p: HipAngles, knee: number) => [
	(p.flexion ?? 0) - (p.extension ?? 0),
	(p.abduction ?? 0) - (p.adduction ?? 0),
	(p.externalRotation ?? 0) - (p.internalRotation ?? 0),
	knee / 2
];
const apart = (a: number[], b: number[]) => a.reduce((sum, x, i) => sum + Math.abs(x - b[i]!), 0);
const endOf = (leg: LegAction) => signed(leg.positions.at(-1)!, leg.kneeDeg.at(-1)!);
const startOf = (leg: LegAction) => signed(leg.positions[0]!, leg.kneeDeg[0]!);

/** Degrees between how one movement ends and how the next begins: mean of the legs, whichever of them leads. */
export const degreesApart = memoize((a: Movement, b: Movement): number => {
	const [al, at] = legsOf(a).map(endOf) as [number[], number[]];
	const [bl, bt] = legsOf(b).map(startOf) as [number[], number[]];
	return Math.min(apart(al, bl) + apart(at, bt), apart(al, bt) + apart(at, bl)) / 2;
});

/** From lying to standing: how high above the floor the hips are. */
const LEVEL: Record<Movement['position'], number> = {
	standing: 3,
	kneeling: 2,
	quadruped: 2,
	seated: 1,
	sidelying: 0,
	prone: 0,
	supine: 0,
	'wall-supine': 0
};
/** Returns how high the body is: 0 lying to 3 standing. */
export const levelOf = ({ position }: Movement): number => LEVEL[position];

const isRest = (m: Movement) => m.modes.every((mode) => mode === 'rest');

const isLunge = (m: Movement) => m.families.some((family) => family === 'lunge' || family === 'low lunge');

/** With the hands down one goes from shape to shape, and steps into a lunge and out of it. */
const stepsOnHands = (a: Movement, b: Movement) =>
	a.onHands === 'most' && (b.onHands !== undefined || isLunge(b));

/** Whether two movements can be gone through in one, as a link of a chain or a flow. */
export function canLink(a: Movement, b: Movement): boolean {
	if (isRest(a) || isRest(b)) return false;
	if (stepsOnHands(a, b) || stepsOnHands(b, a)) return true;
	// from the floor to the feet one goes through a lunge
	if (a.position !== b.position) return isLunge(a) && isLunge(b);
	// alternating movements have no side to continue with
	if (a.byTurns || b.byTurns) return false;
	const apart = degreesApart(a, b);
	return (
		apart <= FAR_APART_DEG || (movementSimilarity(a, b) >= SIMILARITY.joined && apart <= FARTHEST_LINK_DEG)
	);
}
