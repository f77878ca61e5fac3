import { SECTION_KINDS } from '../plan';
import type { Piece } from './candidate';
import type { Random } from './random';
import type { Solution } from './search';

/**
 * The parts of one class with some neighbouring parts of another in their place, now and then with none; a movement that
 * both bring is given once. What is kept stays: both have it in the same part.
 */
export function crossed(one: readonly Piece[], other: readonly Piece[], random: Random): Piece[] {
	const parts = SECTION_KINDS.length;
	const from = 1 + random.below(parts - 1);
	// half of them to the end
	const to = random() < 0.5 ? parts : from + random.below(parts - from + 1);
	const fromOther = ({ section }: Piece) => section >= from && section < to;
	const own = one.filter((piece) => !fromOther(piece));
	const had = new Set(own.flatMap(({ option }) => option.movements));
	const brought = other.filter(
		(piece) =>
			fromOther(piece) && (piece.option.kept || !piece.option.movements.some((slug) => had.has(slug)))
	);
	return [...own, ...brought].sort((a, b) => a.section - b.section);
}

/**
 * The best few classes, each of other movements than the rest: one that is no better than the worst, or than the one like
 * it, finds no place.
 */
export class Population {
	private readonly all: { found: Solution; given: string }[] = [];

	constructor(private readonly size: number) {}

	/** The best first. */
	get founds(): Solution[] {
		return this.all.map(({ found }) => found);
	}

	/** What costs less than this finds a place. */
	get limit(): number {
		return this.all.length < this.size ? Infinity : this.all.at(-1)!.found.cost;
	}

	add(found: Solution): void {
		const { all } = this;
		if (found.cost >= this.limit) return;
		const given = givenIn(found);
		const like = all.findIndex((known) => known.given === given);
		if (like >= 0 && all[like]!.found.cost <= found.cost) return;
		if (like >= 0) all.splice(like, 1);
		else if (all.length === this.size) all.pop();
		all.push({ found, given });
		all.sort((a, b) => a.found.cost - b.found.cost);
	}

	/** What becomes of two of them, the first chosen rather among the better ones. */
	child(random: Random): Piece[] {
		const all = this.founds;
		const one = Math.min(random.below(all.length), random.below(all.length));
		const other = random.below(all.length);
		const mate = other === one ? (one + 1) % all.length : other;
		return crossed(all[one]!.pieces, all[mate]!.pieces, random);
	}
}

/** What is given in a class, whatever its order and doses. */
const givenIn = ({ pieces }: Solution) =>
	pieces
		.map(({ option }) => option.index)
		.sort((a, b) => a - b)
		.join();
