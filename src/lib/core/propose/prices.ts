import type { Curves } from './curve';

/**
 * A price for some rows of a convex program, and what its columns cannot cost less than with that, whatever they are: each
 * column and each row for itself is charged where it costs least (weak duality). Quick to say, since what is known of a
 * column is worked out once.
 */
export class Prices {
	private readonly row: Int32Array;
	private readonly price: Float64Array;
	private priced = 0;
	/** What each column costs at least, and of which prices that is known. */
	private readonly least: Float64Array;
	private readonly knownOf: Int32Array;
	private setting = 1;

	/** @param curves of the columns, then of the rows @param parts of each row in each column, column by column */
	constructor(
		private readonly curves: Curves,
		private readonly columns: number,
		private readonly rows: number,
		private readonly parts: Float64Array
	) {
		this.row = new Int32Array(rows);
		this.price = new Float64Array(rows);
		this.least = new Float64Array(columns);
		this.knownOf = new Int32Array(columns);
	}

	/** From now on nothing has a price. */
	clear(): void {
		this.priced = 0;
		this.setting += 1;
	}

	/** Gives a row that has none a price: no more than its steepest piece, no less than its least steep one. */
	add(row: number, price: number): void {
		if (price === 0) return;
		this.row[this.priced] = row;
		this.price[this.priced] = price;
		this.priced += 1;
	}

	/** What a column costs at least together with what it gives to the rows. */
	leastOf(column: number): number {
		if (this.knownOf[column] === this.setting) return this.least[column]!;
		const { row, price, priced, rows, parts } = this;
		const { stride, breaks, values, many } = this.curves;
		let perUnit = 0;
		for (let r = 0; r < priced; r++) perUnit += price[r]! * parts[column * rows + row[r]!]!;
		let least = Infinity;
		for (let at = column * stride, end = at + many[column]!; at < end; at++) {
			const cost = values[at]! + perUnit * breaks[at]!;
			if (cost < least) least = cost;
		}
		this.knownOf[column] = this.setting;
		this.least[column] = least;
		return least;
	}

	/** What these columns cannot cost less than. @param count how many of those given there are */
	bound(columns: Int32Array, count: number): number {
		const { row, price, priced } = this;
		const { stride, breaks, values, slopes, many } = this.curves;
		let sum = 0;
		for (let i = 0; i < count; i++) sum += this.leastOf(columns[i]!);
		for (let r = 0; r < priced; r++) {
			const quantity = this.columns + row[r]!;
			// the break at which the curve of the row turns from less to more steep than its price
			let at = quantity * stride;
			for (const last = at + many[quantity]! - 1; at < last && slopes[at + 1]! < price[r]!;) at += 1;
			sum += values[at]! - price[r]! * breaks[at]!;
		}
		return sum;
	}
}
