/**
 * A cost of one number that is made of straight pieces, each steeper than the one before (convex): where it bends, what it
 * costs there, and how steep it is before the first bend, between two and after the last one.
 */
export interface Curve {
	breaks: readonly number[];
	values: readonly number[];
	slopes: readonly number[];
}

/** As good as a wall, for what cannot be: it outweighs everything that a second may cost, and no rounding shows in it. */
const WALL = 1e3;
/** Pieces whose steepness differs by less are one. */
const ROUNDING = 1e-9;

/** The highest convex curve that lies over none of some points, with a wall on either side. @param at rising */
export function curveUnder(at: readonly number[], values: readonly number[]): Curve {
	const bends: number[] = [];
	const steepness = (i: number, j: number) => (values[j]! - values[i]!) / (at[j]! - at[i]!);
	for (let i = 0; i < at.length; i++) {
		while (
			bends.length > 1 &&
			steepness(bends.at(-1)!, i) <= steepness(bends.at(-2)!, bends.at(-1)!) + ROUNDING
		)
			bends.pop();
		bends.push(i);
	}
	return {
		breaks: bends.map((i) => at[i]!),
		values: bends.map((i) => values[i]!),
		slopes: [-WALL, ...bends.slice(1).map((i, before) => steepness(bends[before]!, i)), WALL]
	};
}

/** Nothing from one number to another (they may be the same); outside so much for each unit. */
export function costsOutside(from: number, to: number, perUnit: number): Curve {
	return { breaks: [from, to], values: [0, 0], slopes: [-perUnit, 0, perUnit] };
}

/** So much for each unit under a number. */
export const costsUnder = (least: number, perUnit: number): Curve => ({
	breaks: [least],
	values: [0],
	slopes: [-perUnit, 0]
});

/** So much for each unit over a number. */
export const costsOver = (most: number, perUnit: number): Curve => ({
	breaks: [most],
	values: [0],
	slopes: [0, perUnit]
});

/** Many curves, each with its numbers from a multiple of `stride` on; none where there is null. */
export class Curves {
	readonly stride: number;
	readonly breaks: Float64Array;
	readonly values: Float64Array;
	readonly slopes: Float64Array;
	/** How many breaks each has. */
	readonly many: Int32Array;

	constructor(curves: readonly (Curve | null)[]) {
		this.stride = 1 + Math.max(...curves.map((curve) => curve?.breaks.length ?? 0));
		const laidOut = (of: (curve: Curve) => readonly number[]) => {
			const all = new Float64Array(curves.length * this.stride);
			for (const [i, curve] of curves.entries()) if (curve) all.set(of(curve), i * this.stride);
			return all;
		};
		this.breaks = laidOut((curve) => curve.breaks);
		this.values = laidOut((curve) => curve.values);
		this.slopes = laidOut((curve) => curve.slopes);
		this.many = Int32Array.from(curves, (curve) => curve?.breaks.length ?? 0);
	}
}
