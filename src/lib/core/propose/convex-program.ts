import { Curves, type Curve } from './curve';
import { Prices } from './prices';
import { Table } from './table';

/** Smaller steps and smaller differences are rounding. */
const TINY = 1e-9;
/** So far beyond a break a number may be. */
const SLACK = 1e-7;
/** More steps than any program of a class needs: what takes longer goes round in circles. */
const MOST_STEPS = 200;
/** So many columns a program is ready for; it grows with what it is asked. */
const WIDTH = 64;

/**
 * The least that a sum of convex costs can come to: each of some numbers (columns) costs by its own curve, and so does each
 * of some sums of them (rows). Linear programming with piecewise-linear costs by dual steps (Lemke 1954; Fourer, Math Program
 * 33:204 (1985), both from memory).
 *
 * Every quantity, column or row, is either *held* at one of the breaks of its curve, or *loose*: it follows from those that
 * are held, and is charged by one straight piece of its curve as if that went on for ever. So what is charged is never more
 * than the least there is, each step raises it, and it may be left off as soon as it is too much. When every loose quantity
 * lies on its own piece, it is the least. Every row has a piece that costs nothing, and comes in only when it is off it.
 *
 * What was kept last is gone on from, with other columns or other breaks of the rows: mostly a few steps.
 */
export class ConvexProgram {
	/** Curves of all columns, then of all rows. */
	private readonly stride: number;
	private readonly breaks: Float64Array;
	private readonly values: Float64Array;
	private readonly slopes: Float64Array;
	private readonly many: Int32Array;
	private readonly columns: number;
	private readonly rows: number;
	/** The piece of each row that costs nothing. */
	private readonly flat: Int32Array;

	private now: Table;
	private kept: Table;
	/** Break at which a held quantity stands, or piece on which a loose one is charged; and how much it is. */
	private readonly place: Int32Array;
	private readonly amount: Float64Array;
	private readonly keptPlace: Int32Array;
	/** How fast the cost of what is loose rises with each held quantity. */
	private pull: Float64Array;
	/** Whether a row is in the table. */
	private readonly inTable: Uint8Array;
	private readonly sums: Float64Array;
	/** Columns of the class that is asked about, and those of them that the table has, by the number of the question. */
	private readonly wanted: Int32Array;
	private readonly had: Int32Array;
	private question = 0;
	/** Of what was kept. */
	readonly prices: Prices;

	/** Of each column the rows that it is part of, one behind another, to sum them up quickly. */
	private readonly firstIn: Int32Array;
	private readonly rowIn: Int32Array;
	private readonly partIn: Float64Array;

	/** @param parts of each row in each column, column by column */
	constructor(
		columns: readonly (Curve | null)[],
		rows: readonly Curve[],
		private readonly parts: Float64Array
	) {
		this.columns = columns.length;
		this.rows = rows.length;
		const curves = [...columns, ...rows];
		const laidOut = new Curves(curves);
		({
			stride: this.stride,
			breaks: this.breaks,
			values: this.values,
			slopes: this.slopes,
			many: this.many
		} = laidOut);
		this.prices = new Prices(laidOut, columns.length, rows.length, parts);
		this.firstIn = new Int32Array(columns.length + 1);
		const within: number[] = [];
		for (let at = 0; at < parts.length; at++) {
			if (parts[at] !== 0) within.push(at);
			this.firstIn[Math.floor(at / rows.length) + 1] = within.length;
		}
		this.rowIn = Int32Array.from(within, (at) => at % rows.length);
		this.partIn = Float64Array.from(within, (at) => parts[at]!);
		this.flat = Int32Array.from(rows, ({ slopes }) => slopes.indexOf(0));
		this.place = new Int32Array(curves.length);
		this.keptPlace = new Int32Array(curves.length);
		this.amount = new Float64Array(curves.length);
		this.wanted = new Int32Array(columns.length);
		this.had = new Int32Array(columns.length);
		this.inTable = new Uint8Array(rows.length);
		this.sums = new Float64Array(rows.length);
		this.now = new Table(rows.length, WIDTH);
		this.kept = new Table(rows.length, WIDTH);
		this.pull = new Float64Array(WIDTH);
	}

	/** Puts a break of a row elsewhere. What is kept stays of use. */
	shift(row: number, at: number, to: number): void {
		this.breaks[(this.columns + row) * this.stride + at] = to;
	}

	/** What was found for a column of the class that was asked about last. */
	found(column: number): number {
		return this.amount[column]!;
	}

	/**
	 * The least that these columns can cost; where that is not under the limit, some number that is not under it either.
	 * @param count how many of the columns given there are
	 */
	least(columns: Int32Array, count: number, limit = Infinity): number {
		if (count > this.now.width) this.widen(count);
		if (!this.resumed(columns, count)) this.begin(columns, count);
		this.follow();
		let steps = 0;
		do {
			let charged = this.charged();
			while (charged < limit && this.step()) {
				charged = this.charged();
				if (++steps > MOST_STEPS) return Infinity;
			}
			if (charged >= limit) return charged;
		} while (this.bringIn());
		return this.charged();
	}

	/** Remembers what was found last: what is asked next is like it. */
	keep(): void {
		const { now, kept, columns, place, keptPlace, pull, prices } = this;
		kept.copy(now);
		for (let c = 0; c < now.count; c++) keptPlace[now.held[c]!] = place[now.held[c]!]!;
		for (let r = 0; r < now.rows; r++) keptPlace[now.loose[r]!] = place[now.loose[r]!]!;
		prices.clear();
		for (let c = 0; c < now.count; c++) {
			const quantity = now.held[c]!;
			if (quantity >= columns) prices.add(quantity - columns, -pull[c]!);
		}
		for (let r = 0; r < now.rows; r++) {
			const quantity = now.loose[r]!;
			if (quantity >= columns) prices.add(quantity - columns, this.slopeOf(quantity));
		}
	}

	/** Begins anew with the next question. */
	forget(): void {
		this.kept.count = 0;
		this.prices.clear();
	}

	private widen(count: number): void {
		const width = 2 * count;
		this.now = new Table(this.rows, width);
		this.kept = new Table(this.rows, width);
		this.pull = new Float64Array(width);
		this.forget();
	}

	private slopeOf(quantity: number): number {
		return this.slopes[quantity * this.stride + this.place[quantity]!]!;
	}

	private part(row: number, column: number): number {
		return this.parts[column * this.rows + row]!;
	}

	/** From nothing: every column held, and no rows. */
	private begin(columns: Int32Array, count: number): void {
		const { now } = this;
		now.rows = 0;
		now.count = 0;
		this.inTable.fill(0);
		for (let c = 0; c < count; c++) this.addColumn(columns[c]!);
		this.weigh();
		this.placed();
	}

	/** From what was kept: without the columns that are gone, with those that are new. False where that cannot be. */
	private resumed(columns: Int32Array, count: number): boolean {
		const { now, kept, wanted, had } = this;
		if (kept.count === 0) return false;
		const question = ++this.question;
		for (let i = 0; i < count; i++) wanted[columns[i]!] = question;
		now.copy(kept);
		this.inTable.fill(0);
		for (let c = 0; c < now.count; c++) this.taken(now.held[c]!, question);
		for (let r = 0; r < now.rows; r++) this.taken(now.loose[r]!, question);
		const gone = (quantity: number) => quantity < this.columns && wanted[quantity] !== question;
		for (let r = now.rows - 1; r >= 0; r--) if (gone(now.loose[r]!) && !this.leaveLoose(r)) return false;
		for (let c = now.count - 1; c >= 0; c--) if (gone(now.held[c]!)) now.dropHeld(c);
		for (let i = 0; i < count; i++) if (had[columns[i]!] !== question) this.addColumn(columns[i]!);
		this.weigh();
		return this.placed();
	}

	/** A quantity of what was kept stands where it stood. */
	private taken(quantity: number, question: number): void {
		this.place[quantity] = this.keptPlace[quantity]!;
		if (quantity < this.columns) this.had[quantity] = question;
		else this.inTable[quantity - this.columns] = 1;
	}

	/** A loose column goes; with it a row that it met, which may come in again. False where it meets none. */
	private leaveLoose(row: number): boolean {
		const { now, columns } = this;
		let most = SLACK;
		let other = -1;
		for (let c = 0; c < now.count; c++) {
			if (now.held[c]! < columns) continue;
			const size = Math.abs(now.times[row * now.width + c]!);
			if (size <= most) continue;
			most = size;
			other = c;
		}
		if (other < 0) return false;
		now.exchange(row, other);
		now.dropHeld(other);
		this.inTable[now.loose[row]! - columns] = 0;
		now.dropLoose(row);
		return true;
	}

	/** How the loose quantities follow from a column that was not there. */
	private addColumn(column: number): void {
		const { now, columns } = this;
		const { times, width, held, loose, count } = now;
		for (let r = 0; r < now.rows; r++) {
			let follows = loose[r]! >= columns ? this.part(loose[r]! - columns, column) : 0;
			// a row that is held must come out the same with it
			for (let c = 0; c < count; c++)
				if (held[c]! >= columns) follows -= this.part(held[c]! - columns, column) * times[r * width + c]!;
			times[r * width + count] = follows;
		}
		held[count] = column;
		now.count += 1;
		// from the middle it is not far to where it is pulled
		this.place[column] = this.many[column]! >> 1;
	}

	/** A row comes in, loose, on the piece that costs nothing. */
	private addRow(row: number): void {
		const { now, columns } = this;
		const { times, width, held, loose, count } = now;
		const end = now.rows * width;
		for (let c = 0; c < count; c++) times[end + c] = held[c]! < columns ? this.part(row, held[c]!) : 0;
		for (let r = 0; r < now.rows; r++) {
			if (loose[r]! >= columns) continue;
			const part = this.part(row, loose[r]!);
			if (part !== 0) for (let c = 0; c < count; c++) times[end + c]! += part * times[r * width + c]!;
		}
		loose[now.rows] = columns + row;
		this.place[columns + row] = this.flat[row]!;
		this.inTable[row] = 1;
		now.rows += 1;
	}

	/** Works out anew how much everything loose pulls at what is held. */
	private weigh(): void {
		const { pull } = this;
		const { times, width, loose, count, rows } = this.now;
		pull.fill(0, 0, count);
		for (let r = 0; r < rows; r++) {
			const slope = this.slopeOf(loose[r]!);
			if (slope !== 0) for (let c = 0; c < count; c++) pull[c]! += slope * times[r * width + c]!;
		}
	}

	/** Holds everything at the break where it costs least as it is pulled. False where a row has none. */
	private placed(): boolean {
		const { pull, place, slopes, stride, many } = this;
		const { held, count } = this.now;
		for (let c = 0; c < count; c++) {
			const quantity = held[c]!;
			const first = quantity * stride;
			const last = many[quantity]! - 1;
			let at = Math.min(place[quantity]!, last);
			while (at < last && -pull[c]! > slopes[first + at + 1]!) at += 1;
			while (at > 0 && -pull[c]! < slopes[first + at]!) at -= 1;
			if (-pull[c]! > slopes[first + at + 1]! + TINY || -pull[c]! < slopes[first + at]! - TINY) return false;
			place[quantity] = at;
		}
		return true;
	}

	/** How much everything is: what is held stands at its break, and the rest follows. */
	private follow(): void {
		const { amount, breaks, stride, place } = this;
		const { times, width, loose, held, count, rows } = this.now;
		for (let c = 0; c < count; c++) amount[held[c]!] = breaks[held[c]! * stride + place[held[c]!]!]!;
		for (let r = 0; r < rows; r++) {
			let sum = 0;
			for (let c = 0; c < count; c++) sum += times[r * width + c]! * amount[held[c]!]!;
			amount[loose[r]!] = sum;
		}
	}

	/** What everything is charged: never more than the least. */
	private charged(): number {
		const { breaks, values, slopes, stride, place, amount } = this;
		const { loose, held, count, rows } = this.now;
		let sum = 0;
		for (let c = 0; c < count; c++) sum += values[held[c]! * stride + place[held[c]!]!]!;
		for (let r = 0; r < rows; r++) {
			const quantity = loose[r]!;
			const piece = place[quantity]!;
			const near = quantity * stride + (piece > 0 ? piece - 1 : 0);
			sum += values[near]! + slopes[quantity * stride + piece]! * (amount[quantity]! - breaks[near]!);
		}
		return sum;
	}

	/** The loose quantity that is farthest off its piece is brought back to the end of it. False where none is off. */
	private step(): boolean {
		const { breaks, slopes, stride, many, place, amount, pull, now } = this;
		const { times, width, loose, held, count, rows } = now;
		let out = -1;
		let off = SLACK;
		let up = 0;
		for (let r = 0; r < rows; r++) {
			const quantity = loose[r]!;
			const piece = place[quantity]!;
			const at = quantity * stride + piece;
			const over = piece < many[quantity]! ? amount[quantity]! - breaks[at]! : 0;
			const under = piece > 0 ? breaks[at - 1]! - amount[quantity]! : 0;
			if (over <= off && under <= off) continue;
			out = r;
			up = over > under ? 1 : -1;
			off = Math.max(over, under);
		}
		if (out < 0) return false;
		const quantity = loose[out]!;
		const own = out * width;
		const piece = place[quantity]!;
		const end = up > 0 ? piece : piece - 1;
		const bend = quantity * stride + end;
		const jump = slopes[bend + 1]! - slopes[bend]!;
		for (;;) {
			// how much steeper it may be charged until something that is held would rather move
			let rise = jump;
			let first = -1;
			let rising = false;
			for (let c = 0; c < count; c++) {
				const follows = up * times[own + c]!;
				if (follows <= TINY && follows >= -TINY) continue;
				const at = held[c]! * stride + place[held[c]!]!;
				const left = (-pull[c]! - slopes[follows > 0 ? at : at + 1]!) / follows;
				if (left >= rise) continue;
				rise = left;
				first = c;
				rising = follows < 0;
			}
			if (first < 0) {
				// the next piece is not too steep for it
				for (let c = 0; c < count; c++) pull[c]! += up * jump * times[own + c]!;
				place[quantity] = piece + up;
				return true;
			}
			const moved = held[first]!;
			const to = place[moved]! + (rising ? 1 : -1);
			if (to >= 0 && to < many[moved]!) {
				const gap = breaks[moved * stride + to]! - breaks[moved * stride + place[moved]!]!;
				const nearer = Math.abs(gap * times[own + first]!);
				if (nearer < off) {
					// it goes to its next break, which is not enough
					place[moved] = to;
					amount[moved]! += gap;
					off -= nearer;
					for (let r = 0; r < rows; r++) amount[loose[r]!]! += gap * times[r * width + first]!;
					continue;
				}
			}
			if (rise > 0) for (let c = 0; c < count; c++) pull[c]! += up * rise * times[own + c]!;
			const by = (breaks[bend]! - amount[quantity]!) / times[own + first]!;
			for (let r = 0; r < rows; r++) amount[loose[r]!]! += by * times[r * width + first]!;
			amount[moved]! += by;
			amount[quantity] = breaks[bend]!;
			const charge = slopes[quantity * stride + piece]! + up * Math.max(0, rise);
			place[moved]! += rising ? 1 : 0;
			now.exchange(out, first);
			place[quantity] = end;
			pull[first] = -charge;
			return true;
		}
	}

	/** Brings in the rows that are off the piece that costs nothing. False where none is. */
	private bringIn(): boolean {
		const { now, amount, sums, rows, columns, inTable, flat, breaks, many, stride } = this;
		sums.fill(0);
		for (let c = 0; c < now.count; c++) this.sumUp(now.held[c]!);
		for (let r = 0; r < now.rows; r++) this.sumUp(now.loose[r]!);
		let any = false;
		for (let row = 0; row < rows; row++) {
			if (inTable[row]) continue;
			const piece = flat[row]!;
			const at = (columns + row) * stride + piece;
			const off =
				(piece < many[columns + row]! && sums[row]! > breaks[at]! + SLACK) ||
				(piece > 0 && sums[row]! < breaks[at - 1]! - SLACK);
			if (!off) continue;
			this.addRow(row);
			amount[columns + row] = sums[row]!;
			any = true;
		}
		return any;
	}

	/** Adds what a column gives to each row. */
	private sumUp(quantity: number): void {
		if (quantity >= this.columns) return;
		const { sums, rowIn, partIn } = this;
		const much = this.amount[quantity]!;
		for (let at = this.firstIn[quantity]!, end = this.firstIn[quantity + 1]!; at < end; at++)
			sums[rowIn[at]!]! += much * partIn[at]!;
	}
}
