/**
 * How some quantities follow from others: each *loose* one is a sum of the *held* ones, each so many times. Row by row; all
 * have numbers of their own.
 */
export class Table {
	/** `times[row * width + column]`: how many times the loose quantity of a row has the held one of a column. */
	readonly times: Float64Array;
	readonly loose: Int32Array;
	readonly held: Int32Array;
	/** How many are loose, and how many are held. */
	rows = 0;
	count = 0;

	/** @param mostRows so many may be loose @param width so many may be held */
	constructor(
		mostRows: number,
		readonly width: number
	) {
		this.times = new Float64Array(width * mostRows);
		this.loose = new Int32Array(mostRows);
		this.held = new Int32Array(width);
	}

	/** What another one of the same size has. */
	copy({ times, loose, held, rows, count }: Table): void {
		this.rows = rows;
		this.count = count;
		for (let c = 0; c < count; c++) this.held[c] = held[c]!;
		for (let r = 0; r < rows; r++) this.loose[r] = loose[r]!;
		for (let r = 0; r < rows; r++)
			for (let c = 0, at = r * this.width; c < count; c++, at++) this.times[at] = times[at]!;
	}

	/** A loose quantity is held from now on, and a held one is loose. */
	exchange(row: number, column: number): void {
		const { times, loose, held, count, rows, width } = this;
		const own = row * width;
		const inverse = 1 / times[own + column]!;
		for (let c = 0; c < count; c++) times[own + c]! *= -inverse;
		times[own + column] = inverse;
		for (let r = 0, at = 0; r < rows; r++, at += width) {
			const factor = times[at + column]!;
			if (r === row || factor === 0) continue;
			times[at + column] = 0;
			for (let c = 0; c < count; c++) times[at + c]! += factor * times[own + c]!;
		}
		const quantity = loose[row]!;
		loose[row] = held[column]!;
		held[column] = quantity;
	}

	/** Leaves a held quantity out: as if it were nothing. */
	dropHeld(column: number): void {
		const { times, width } = this;
		this.count -= 1;
		this.held[column] = this.held[this.count]!;
		for (let at = 0, end = this.rows * width; at < end; at += width)
			times[at + column] = times[at + this.count]!;
	}

	/** Leaves a loose quantity out, which changes nothing for the others. */
	dropLoose(row: number): void {
		const { times, width } = this;
		this.rows -= 1;
		this.loose[row] = this.loose[this.rows]!;
		times.copyWithin(row * width, this.rows * width, this.rows * width + this.count);
	}
}
