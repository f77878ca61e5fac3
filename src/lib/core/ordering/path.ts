/** One way to change an order: a run of blocks is taken out and put in elsewhere, as it is or turned round. */
export interface PathMove {
	/** First place of the run and its length. */
	at: number;
	length: number;
	/** Place among the others before which it is put. */
	to: number;
	turned: boolean;
	/** Seconds that it saves. */
	gain: number;
}

/** Less than this is no gain but a rounding. */
const NOTHING = 1e-9;

/** The costs of going from block to block, and what a change of the order saves: each in the same few additions. */
export class Path {
	/** How many steps have been looked at. */
	looked = 0;

	/**
	 * @param start seconds to begin with a block
	 * @param step `step[a][b]`: seconds from block a to block b
	 */
	constructor(
		private readonly start: readonly number[],
		private readonly step: readonly (readonly number[])[]
	) {}

	total(order: readonly number[]): number {
		let sum = 0;
		for (let i = 0; i < order.length; i++) sum += this.between(order[i - 1], order[i]);
		return sum;
	}

	/** Tells every step that saves something; the object is used again for the next one. */
	eachStep(order: readonly number[], tell: (step: PathMove) => void): void {
		const n = order.length;
		const { onward, back } = this.sums(order);
		const told: PathMove = { at: 0, length: 0, to: 0, turned: false, gain: 0 };
		// a run of more than half is the rest, moved the other way
		for (let length = 1; 2 * length <= n + 1; length++)
			for (let at = 0; at + length <= n; at++) {
				const [before, first, last, after] = [
					order[at - 1],
					order[at],
					order[at + length - 1],
					order[at + length]
				];
				const freed = this.between(before, first) + this.between(last, after) - this.between(before, after);
				const turning =
					length === 1 ? 0 : onward[at + length - 1]! - onward[at]! - (back[at + length - 1]! - back[at]!);
				for (let to = 0; to <= n - length; to++) {
					if (to === at && length === 1) continue;
					const left = order[to - 1 < at ? to - 1 : to - 1 + length];
					const right = order[to < at ? to : to + length];
					const opened = freed + this.between(left, right);
					this.looked += 2;
					const asItIs = opened - this.between(left, first) - this.between(last, right);
					const turned = opened + turning - this.between(left, last) - this.between(first, right);
					if (asItIs <= NOTHING && turned <= NOTHING) continue;
					told.at = at;
					told.length = length;
					told.to = to;
					told.turned = turned > asItIs;
					told.gain = Math.max(asItIs, turned);
					tell(told);
				}
			}
	}

	/** The order after a step. */
	taken(order: readonly number[], { at, length, to, turned }: PathMove): number[] {
		const run = order.slice(at, at + length);
		const rest = [...order.slice(0, at), ...order.slice(at + length)];
		return [...rest.slice(0, to), ...(turned ? run.reverse() : run), ...rest.slice(to)];
	}

	/** Cost up to each place, onward and as if every pair were gone the other way. */
	private sums(order: readonly number[]): { onward: Float64Array; back: Float64Array } {
		const onward = new Float64Array(order.length);
		const back = new Float64Array(order.length);
		for (let i = 1; i < order.length; i++) {
			onward[i] = onward[i - 1]! + this.step[order[i - 1]!]![order[i]!]!;
			back[i] = back[i - 1]! + this.step[order[i]!]![order[i - 1]!]!;
		}
		return { onward, back };
	}

	private between(from: number | undefined, to: number | undefined): number {
		if (to === undefined) return 0;
		return from === undefined ? this.start[to]! : this.step[from]![to]!;
	}
}
