import { DIRECTIONS, isSymmetrical } from '../anatomy';
import { setSeconds } from '../clock';
import { doseRange, modesOf, POSITIONS, usualForm, type Mode, type Movement, memoize } from '../movement';
import { DEFAULT_PACE } from '../pace';
import { kitOfForm } from './kit';
import { profileOf } from './profile';

/** How alike two movements are as a teacher would swap them: 0 nothing in common, 1 the same. */
export interface Likeness {
	score: number;
	parts: Record<LikenessPart, number>;
}

/** Weights of the similarity, so that a ranking can be explained. Common practice, no source. */
export const LIKENESS_WEIGHTS = {
	directions: 0.4,
	tissue: 0.2,
	position: 0.2,
	kit: 0.1,
	time: 0.1
} as const;
export type LikenessPart = keyof typeof LIKENESS_WEIGHTS;

/** Cached features of one movement: a planner compares every pair of a catalogue. */
interface LikenessFeatures {
	/** Range and strength in each direction, side by side, and the length of that vector. */
	directions: number[];
	size: number;
	tissues: ReadonlySet<string>;
	muscles: ReadonlySet<string>;
	kit: ReadonlySet<string>;
	seconds: number;
}
const featuresForLikeness = memoize((movement: Movement): LikenessFeatures => {
	const { range, strength, tissues, muscles } = profileOf(movement);
	const directions = [
		...DIRECTIONS.map((d) => range[d]),
		...DIRECTIONS.map((d) => (strength.has(d) ? 1 : 0))
	];
	return {
		directions,
		size: Math.sqrt(directions.reduce((sum, value) => sum + value * value, 0)),
		tissues,
		muscles,
		kit: new Set(kitOfForm(usualForm(movement)).map(([kit]) => kit)),
		seconds: usualSeconds(movement)
	};
});

/** Cosine of the two direction profiles, range and strength side by side. */
function directionLikeness(a: LikenessFeatures, b: LikenessFeatures): number {
	const dot = a.directions.reduce((sum, value, i) => sum + value * (b.directions[i] as number), 0);
	const both = a.size * b.size;
	if (both === 0) return a.size === b.size ? 1 : 0;
	return dot / both;
}

/** Returns the share of all elements that both sets have (Jaccard index). */
function shared<T>(a: ReadonlySet<T>, b: ReadonlySet<T>): number {
	let common = 0;
	for (const value of a) if (b.has(value)) common += 1;
	const all = a.size + b.size - common;
	return all === 0 ? 1 : common / all;
}

function positionLikeness(a: Movement, b: Movement): number {
	const apart = Math.abs(POSITIONS.indexOf(a.position) - POSITIONS.indexOf(b.position));
	return apart === 0 ? 1 : apart === 1 ? 0.5 : 0;
}

/** 1 when the other asks for no kit that this one does not need. */
function kitLikeness(a: LikenessFeatures, b: LikenessFeatures): number {
	let extra = 0;
	for (const kit of b.kit) if (!a.kit.has(kit)) extra += 1;
	return 1 / (1 + extra);
}

/** Seconds of the usual dose on all sides, at the usual pace. */
export function usualSeconds(movement: Movement): number {
	const form = usualForm(movement);
	const mode = modesOf(movement, form)[0] as Mode;
	const range = doseRange(form, mode);
	const { usual } = range;
	const once = setSeconds({ amount: usual }, range, mode, usual, DEFAULT_PACE);
	return isSymmetrical(movement.action) ? once : 2 * once;
}

/**
 * How alike two movements are, 0 to 1, with the parts it is made of: directions, tissues and muscles, position, kit and time,
 * by {@link LIKENESS_WEIGHTS}. A movement is alike to itself by 1.
 */
export function substituteSimilarity(a: Movement, b: Movement): Likeness {
	const [ma, mb] = [featuresForLikeness(a), featuresForLikeness(b)];
	const parts = {
		directions: directionLikeness(ma, mb),
		tissue: (shared(ma.tissues, mb.tissues) + shared(ma.muscles, mb.muscles)) / 2,
		position: positionLikeness(a, b),
		kit: kitLikeness(ma, mb),
		time: Math.min(ma.seconds, mb.seconds) / Math.max(ma.seconds, mb.seconds)
	};
	const score = (Object.keys(LIKENESS_WEIGHTS) as LikenessPart[]).reduce(
		(sum, part) => sum + LIKENESS_WEIGHTS[part] * parts[part],
		0
	);
	return { score, parts };
}
