/** Index of the value nearest to a wanted one; the first of two as near. */
export function nearest(values: readonly number[], wanted: number): number {
	let best = 0;
	for (let i = 1; i < values.length; i++)
		if (Math.abs(values[i]! - wanted) < Math.abs(values[best]! - wanted)) best = i;
	return best;
}
