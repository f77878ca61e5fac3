import { SECTION_KINDS } from '../plan';
import type { Piece } from './cost';
import { nearest } from './nearest';
import type { Option } from './options';
import type { Random } from './random';

/** Part of the steps that look for something in the same body position as the neighbour: it costs no change. */
const NEIGHBOURLY = 0.5;
/** Part of the exchanges in which the other movement gets its usual dose; in the rest it takes the time of the first. */
const USUAL_DOSE = 0.25;
/** Part of the changes after which others give up or take over the time, so that the class stays as long as it was. */
const LEVELLED = 0.7;
const REDOSE_LEVELLED = 0.8;
/** So many others are asked, and so few seconds are left as they are. */
const ASKED = 6;
const OFFERED = 3;
const LEVEL_SECONDS = 4;
/** Part of the steps in which neighbours give way together. */
const REHOUSED = 0.12;
/** Longest jump of a dose in one step. */
const DOSE_STEP = 4;

/** What may be put in: all options of each part, and those of each part by the position that they begin in. */
export class Pool {
	readonly bySection: Option[][];
	readonly byPosition: Map<number, Option[]>[];

	constructor(options: readonly Option[]) {
		this.bySection = SECTION_KINDS.map((kind) => options.filter((option) => option.sections.has(kind)));
		this.byPosition = this.bySection.map((of) => {
			const map = new Map<number, Option[]>();
			for (const option of of) map.set(option.enter, [...(map.get(option.enter) ?? []), option]);
			return map;
		});
	}
}

/** Where a part ends in the order. */
export function placeOf(pieces: readonly Piece[], section: number): number {
	const at = pieces.findIndex((piece) => piece.section > section);
	return at === -1 ? pieces.length : at;
}

/** One change by chance; null where it cannot be. Blocks that are kept stay in their part and in their order. */
export function changed(pieces: readonly Piece[], pool: Pool, random: Random): Piece[] | null {
	if (random() < REHOUSED) return rehoused(pieces, pool, random);
	const kind = random();
	if (kind < 0.3) return replaced(pieces, pool, random);
	if (kind < 0.45) return inserted(pieces, pool, random);
	if (kind < 0.56) return removed(pieces, random);
	if (kind < 0.8) return redosed(pieces, random);
	if (kind < 0.88) return exchanged(pieces, random);
	return moved(pieces, random);
}

function chosen(
	at: number,
	pieces: readonly Piece[],
	section: number,
	pool: Pool,
	random: Random
): Option | null {
	const all = pool.bySection[section]!;
	if (all.length === 0) return null;
	const neighbour = pieces[random() < 0.5 ? at - 1 : at + 1]?.option;
	const near =
		neighbour && random() < NEIGHBOURLY ? pool.byPosition[section]!.get(neighbour.leave) : undefined;
	const from = near ?? all;
	return from[random.below(from.length)]!;
}

/** Whether a movement has its place already: each is proposed once. `besides`: the place that it may take. */
export function given(pieces: readonly Piece[], option: Option, besides = -1): boolean {
	for (let i = 0; i < pieces.length; i++)
		if (i !== besides && pieces[i]!.option.movements[0] === option.movements[0]) return true;
	return false;
}

function replaced(pieces: readonly Piece[], pool: Pool, random: Random): Piece[] | null {
	const at = random.below(pieces.length);
	const piece = pieces[at];
	if (!piece || piece.option.kept) return null;
	const option = chosen(at, pieces, piece.section, pool, random);
	if (!option || option === piece.option || given(pieces, option, at)) return null;
	const amount =
		random() < USUAL_DOSE
			? option.usual
			: nearest(option.workSeconds, secondsOf(piece) - option.aroundSeconds);
	return pieces.with(at, { option, amount, section: piece.section });
}

function inserted(pieces: readonly Piece[], pool: Pool, random: Random): Piece[] | null {
	// now and then at the end of any part, so that one that was emptied is filled again
	const anywhere = pieces.length === 0 || random() < 0.2;
	const before = random.below(pieces.length + 1);
	const section = anywhere
		? random.below(SECTION_KINDS.length)
		: pieces[Math.min(before, pieces.length - 1)]!.section;
	const at = anywhere ? placeOf(pieces, section) : before;
	const option = chosen(at, pieces, section, pool, random);
	if (!option || given(pieces, option)) return null;
	const piece = { option, amount: option.usual, section };
	const next = pieces.toSpliced(at, 0, piece);
	return random() < LEVELLED ? levelled(next, -secondsOf(piece), random, at) : next;
}

function removed(pieces: readonly Piece[], random: Random): Piece[] | null {
	const at = random.below(pieces.length);
	const piece = pieces[at];
	if (!piece || piece.option.kept) return null;
	const next = pieces.toSpliced(at, 1);
	return random() < LEVELLED ? levelled(next, secondsOf(piece), random) : next;
}

function redosed(pieces: readonly Piece[], random: Random): Piece[] | null {
	const at = random.below(pieces.length);
	const piece = pieces[at];
	if (!piece || piece.option.amounts.length < 2) return null;
	const by = (1 + random.below(DOSE_STEP)) * (random() < 0.5 ? -1 : 1);
	const amount = Math.min(piece.option.amounts.length - 1, Math.max(0, piece.amount + by));
	if (amount === piece.amount) return null;
	const other = { ...piece, amount };
	const next = pieces.with(at, other);
	if (random() >= REDOSE_LEVELLED) return next;
	return levelled(next, secondsOf(piece) - secondsOf(other), random, at);
}

/** Gives seconds to some of the pieces (or takes them), all but the one that just changed, so far as their doses go. */
function levelled(pieces: Piece[], seconds: number, random: Random, besides = -1): Piece[] {
	let left = seconds;
	for (let asked = 0; asked < ASKED && pieces.length > 0 && Math.abs(left) > LEVEL_SECONDS; asked++) {
		// of some, the one whose dose is farthest from the usual one on the side from which it has to come back
		let at = random.below(pieces.length);
		for (let more = 1; more < OFFERED; more++) {
			const other = random.below(pieces.length);
			if (other !== besides && Math.sign(left) * (overUsual(pieces[other]!) - overUsual(pieces[at]!)) < 0)
				at = other;
		}
		const piece = pieces[at]!;
		const { workSeconds } = piece.option;
		if (at === besides || workSeconds.length < 2) continue;
		// the first ones take a part of it, the last ones all that is left
		const part = asked < ASKED / 2 ? left * (0.3 + 0.7 * random()) : left;
		const now = workSeconds[piece.amount]!;
		const amount = nearest(workSeconds, now + part);
		left -= workSeconds[amount]! - now;
		pieces[at] = { ...piece, amount };
	}
	return pieces;
}

/** Seconds of work over the usual dose; negative below it. */
const overUsual = ({ option: { workSeconds, usual }, amount }: Piece) =>
	workSeconds[amount]! - workSeconds[usual]!;

const secondsOf = ({ option, amount }: Piece) => option.aroundSeconds + option.workSeconds[amount]!;

/** To another place, of its own part or of another in which it may stand. */
function moved(pieces: readonly Piece[], random: Random): Piece[] | null {
	const at = random.below(pieces.length);
	const piece = pieces[at];
	if (!piece || piece.option.kept) return null;
	const kinds = [...piece.option.sections];
	const kind = kinds[random.below(kinds.length)];
	if (kind === undefined) return null;
	const section = SECTION_KINDS.indexOf(kind);
	const rest = pieces.toSpliced(at, 1);
	const end = placeOf(rest, section);
	let from = end;
	while (from > 0 && rest[from - 1]!.section === section) from -= 1;
	const to = from + random.below(end - from + 1);
	return section === piece.section && to === at ? null : rest.toSpliced(to, 0, { ...piece, section });
}

/** Two movements in each other's place, also across parts where both may stand in the other's. */
function exchanged(pieces: readonly Piece[], random: Random): Piece[] | null {
	const i = random.below(pieces.length);
	const j = random.below(pieces.length);
	const [a, b] = [pieces[i], pieces[j]];
	if (!a || !b || i === j || a.option.kept || b.option.kept) return null;
	const may = (option: Option, section: number) => option.sections.has(SECTION_KINDS[section]!);
	if (!may(a.option, b.section) || !may(b.option, a.section)) return null;
	return pieces.with(i, { ...b, section: a.section }).with(j, { ...a, section: b.section });
}

/** A run of neighbours in one position gives way to as many others in the position beside it: one change less. */
function rehoused(pieces: readonly Piece[], pool: Pool, random: Random): Piece[] | null {
	const at = random.below(pieces.length);
	const piece = pieces[at];
	if (!piece) return null;
	const { section } = piece;
	const together = (i: number) => {
		const other = pieces[i];
		return (
			other !== undefined &&
			other.section === section &&
			!other.option.kept &&
			other.option.enter === piece.option.enter
		);
	};
	if (!together(at)) return null;
	let from = at;
	while (together(from - 1)) from -= 1;
	let to = at;
	while (together(to + 1)) to += 1;
	const beside = pieces[random() < 0.5 ? from - 1 : to + 1];
	const others = beside && pool.byPosition[section]!.get(beside.option.leave);
	if (!others || beside.option.leave === piece.option.enter) return null;
	const next = [...pieces];
	for (let i = from; i <= to; i++) {
		const option = others[random.below(others.length)]!;
		if (given(next, option, i)) return null;
		const seconds = secondsOf(next[i]!) - option.aroundSeconds;
		next[i] = { option, amount: nearest(option.workSeconds, seconds), section };
	}
	return next;
}
