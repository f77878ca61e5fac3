import { DIRECTIONS, isSymmetrical } from '../anatomy';
import { doseSeconds } from '../clock';
import { POSITIONS, usualForm, type Mode, type Movement } from '../movement';
import { DEFAULT_PACE } from '../pace';
import { kitOfForm } from './kit';
import { profileOf } from './profile';

/** How alike two movements are as a teacher would swap them: 0 nothing in common, 1 the same. */
export interface Likeness {
	score: number;
	parts: Record<LikenessPart, number>;
}

/** What counts, and how much: stated so that a ranking can be asked why. Common practice, no source. */
export const LIKENESS_WEIGHTS = {
	directions: 0.4,
	tissue: 0.2,
	position: 0.2,
	kit: 0.1,
	time: 0.1
} as const;
export type LikenessPart = keyof typeof LIKENESS_WEIGHTS;

/** Cosine of the two direction profiles, range and strength side by side. */
function directionLikeness(a: Movement, b: Movement): number {
	const vector = (m: Movement) => {
		const { range, strength } = profileOf(m);
		return [...DIRECTIONS.map((d) => range[d]), ...DIRECTIONS.map((d) => (strength.has(d) ? 1 : 0))];
	};
	const [x, y] = [vector(a), vector(b)];
	const dot = x.reduce((sum, value, i) => sum + value * (y[i] as number), 0);
	const size = (v: number[]) => Math.sqrt(v.reduce((sum, value) => sum + value * value, 0));
	const both = size(x) * size(y);
	if (both === 0) return size(x) === size(y) ? 1 : 0;
	return dot / both;
}

/** What the two share of all that either has (Jaccard). */
function shared<T>(a: ReadonlySet<T>, b: ReadonlySet<T>): number {
	const all = new Set([...a, ...b]);
	if (all.size === 0) return 1;
	return [...a].filter((value) => b.has(value)).length / all.size;
}

function positionLikeness(a: Movement, b: Movement): number {
	const apart = Math.abs(POSITIONS.indexOf(a.position) - POSITIONS.indexOf(b.position));
	return apart === 0 ? 1 : apart === 1 ? 0.5 : 0;
}

/** 1 when the other asks for no kit that this one does not need. */
function kitLikeness(a: Movement, b: Movement): number {
	const here = new Set(kitOfForm(usualForm(a)).map(([kit]) => kit));
	const extra = kitOfForm(usualForm(b)).filter(([kit]) => !here.has(kit)).length;
	return 1 / (1 + extra);
}

/** Seconds of the usual dose on all sides, at the usual pace. */
export function usualSeconds(movement: Movement): number {
	const form = usualForm(movement);
	const once = doseSeconds(form.dose, movement.modes[0] as Mode, form.dose.usual, DEFAULT_PACE);
	return isSymmetrical(movement.action) ? once : 2 * once;
}

export function likeness(a: Movement, b: Movement): Likeness {
	const [ta, tb] = [usualSeconds(a), usualSeconds(b)];
	const [pa, pb] = [profileOf(a), profileOf(b)];
	const parts = {
		directions: directionLikeness(a, b),
		tissue: (shared(pa.tissues, pb.tissues) + shared(pa.muscles, pb.muscles)) / 2,
		position: positionLikeness(a, b),
		kit: kitLikeness(a, b),
		time: Math.min(ta, tb) / Math.max(ta, tb)
	};
	const score = (Object.keys(LIKENESS_WEIGHTS) as LikenessPart[]).reduce(
		(sum, part) => sum + LIKENESS_WEIGHTS[part] * parts[part],
		0
	);
	return { score, parts };
}
