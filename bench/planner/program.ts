import type { Highs, Model } from 'highs';

/** A mixed-integer program that is written down column by column and row by row. */
export class Program {
	private readonly cost: number[] = [];
	private readonly lower: number[] = [];
	private readonly upper: number[] = [];
	private readonly whole: (0 | 1)[] = [];
	private readonly rowLower: number[] = [];
	private readonly rowUpper: number[] = [];
	private readonly starts = [0];
	private readonly indices: number[] = [];
	private readonly values: number[] = [];

	/** A variable; its number. */
	column(cost: number, lower = 0, upper = Infinity, whole = false): number {
		this.lower.push(lower);
		this.upper.push(upper);
		this.whole.push(whole ? 1 : 0);
		return this.cost.push(cost) - 1;
	}

	/** lower <= sum of coefficients times variables <= upper; a variable may be named more than once. */
	row(
		lower: number,
		upper: number,
		terms: readonly (readonly [column: number, coefficient: number])[]
	): void {
		const sum = new Map<number, number>();
		for (const [column, coefficient] of terms) sum.set(column, (sum.get(column) ?? 0) + coefficient);
		for (const [column, coefficient] of sum)
			if (coefficient !== 0) {
				this.indices.push(column);
				this.values.push(coefficient);
			}
		this.starts.push(this.indices.length);
		this.rowLower.push(lower);
		this.rowUpper.push(upper);
	}

	/** @param relaxed whether every variable may be broken */
	handedTo(highs: Highs, relaxed: boolean): Model {
		const bound = (value: number) => Math.max(-highs.infinity, Math.min(highs.infinity, value));
		return highs.createModel({
			numCols: this.cost.length,
			numRows: this.rowLower.length,
			colCost: Float64Array.from(this.cost),
			colLower: Float64Array.from(this.lower, bound),
			colUpper: Float64Array.from(this.upper, bound),
			rowLower: Float64Array.from(this.rowLower, bound),
			rowUpper: Float64Array.from(this.rowUpper, bound),
			matrix: {
				format: 'csr',
				numRows: this.rowLower.length,
				numCols: this.cost.length,
				starts: Int32Array.from(this.starts),
				indices: Int32Array.from(this.indices),
				values: Float64Array.from(this.values)
			},
			...(relaxed ? {} : { integrality: Int32Array.from(this.whole) })
		});
	}
}
