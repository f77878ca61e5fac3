/** Index of the value nearest to a wanted one among rising values (from one index up to another); the first of two as near. */
export function nearest(
	values: ArrayLike<number>,
	wanted: number,
	from = 0,
	to: number = values.length
): number {
	let low = from;
	let high = to - 1;
	// the first one that is not under what is wanted, or the last one of all
	while (low < high) {
		const middle = (low + high) >> 1;
		if (values[middle]! < wanted) low = middle + 1;
		else high = middle;
	}
	return low > from && wanted - values[low - 1]! <= values[low]! - wanted ? low - 1 : low;
}
