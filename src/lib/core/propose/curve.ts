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
