import { SECTION_KINDS } from '../plan';
import type { Facts } from './facts';

/** What may be put in, as indices of options: all of each part, and those of each part by the position that they begin in. */
export class Pool {
	readonly bySection: Int32Array[];
	private readonly byPosition: Map<number, Int32Array>[];

	constructor(readonly facts: Facts) {
		this.bySection = SECTION_KINDS.map((kind) =>
			Int32Array.from(facts.options.filter(({ sections }) => sections.has(kind)).map(({ index }) => index))
		);
		this.byPosition = this.bySection.map(
			(options) =>
				new Map(
					[...new Set(options)].map((option) => {
						const position = facts.enterPosition[option]!;
						return [position, options.filter((other) => facts.enterPosition[other] === position)];
					})
				)
		);
	}

	/** What may stand in a part and begins in a position. */
	from(section: number, position: number): Int32Array | undefined {
		return this.byPosition[section]!.get(position);
	}
}
