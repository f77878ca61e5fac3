import { SECTION_KINDS } from '../plan';
import type { Facts } from './facts';

/** What may be put in, as indices of options: all of each part, and those of each part by the position that they begin in. */
export class Pool {
	readonly bySection: Int32Array[];
	private readonly byPosition: Map<number, Int32Array>[];
	/** The same by the movement, as its number. */
	private readonly byMovement: Map<number, Int32Array>[];

	constructor(readonly facts: Facts) {
		this.bySection = SECTION_KINDS.map((kind) =>
			Int32Array.from(facts.options.filter(({ sections }) => sections.has(kind)).map(({ index }) => index))
		);
		this.byPosition = this.bySection.map((options) =>
			grouped(options, (option) => facts.enterPosition[option]!)
		);
		this.byMovement = this.bySection.map((options) => grouped(options, (option) => facts.movementOf(option)));
	}

	/** What may stand in a part and begins in a position. */
	from(section: number, position: number): Int32Array | undefined {
		return this.byPosition[section]!.get(position);
	}

	/** The forms and modes in which the movement of an option may stand in a part. */
	ways(option: number, section: number): Int32Array {
		return this.byMovement[section]!.get(this.facts.movementOf(option)) ?? NONE;
	}
}

const NONE = new Int32Array();

function grouped(options: Int32Array, by: (option: number) => number): Map<number, Int32Array> {
	return new Map(
		[...new Set(options.map(by))].map((key) => [key, options.filter((option) => by(option) === key)])
	);
}
