import { SECTION_KINDS } from '../plan';
import type { Objective, Piece } from './cost';
import { changed, given, placeOf, type Pool } from './moves';
import type { Random } from './random';
import type { Wishes } from './types';

/** A class that the search found, and what it costs. */
export interface Found {
	pieces: Piece[];
	cost: number;
}

const PEAK = SECTION_KINDS.indexOf('peak');
/** How far a step may lead uphill at the beginning and at the end, points of the objective. */
const WARM = 1;
const COLD = 0.02;

/**
 * Threshold accepting (Dueck & Scheuer 1990, from memory): a change is taken when it makes the class no worse than a
 * threshold that falls from step to step. No exponential is asked for, so every engine takes the same way. Bounded by
 * its number of steps. Blocks that are kept stay in their part and in their order.
 */
export function searched(
	start: readonly Piece[],
	pool: Pool,
	objective: Objective,
	random: Random,
	steps: number,
	warm = WARM
): Found {
	let now = [...start];
	let cost = objective.cost(now);
	let best: Found = { pieces: now, cost };
	const ratio = Math.pow(COLD / warm, 1 / 64);
	let threshold = warm;
	for (let step = 0; step < steps; step++) {
		if (step > 0 && step % Math.max(1, Math.floor(steps / 64)) === 0) threshold *= ratio;
		const next = changed(now, pool, random);
		if (!next) continue;
		const after = objective.cost(next);
		if (after >= cost + threshold) continue;
		now = next;
		cost = after;
		if (cost < best.cost - 1e-9) best = { pieces: now, cost };
	}
	return best;
}

/**
 * Every single exchange and every dose tried in turn, as long as one makes the class better: after it no movement has a
 * better one for its place.
 */
export function settled(found: Found, pool: Pool, objective: Objective): Found {
	let { pieces, cost } = found;
	for (let better = true; better;) {
		better = false;
		for (let at = 0; at < pieces.length; at++) {
			const piece = pieces[at]!;
			const doses = piece.option.amounts.map((_, amount): Piece => ({ ...piece, amount }));
			const others = piece.option.kept
				? []
				: pool.bySection[piece.section]!.filter((option) => !given(pieces, option, at)).map(
						(option): Piece => ({ ...piece, option, amount: option.usual })
					);
			for (const other of [...doses, ...others]) {
				const next = pieces.with(at, other);
				const after = objective.cost(next);
				if (after >= cost - 1e-9) continue;
				pieces = next;
				cost = after;
				better = true;
			}
		}
	}
	return { pieces, cost };
}

/** A class to begin with: what is kept and what is asked for, and one thing for each part that is still empty. */
export function begun(
	kept: readonly Piece[],
	pool: Pool,
	random: Random,
	{ must = [], toward }: Wishes
): Piece[] {
	const pieces = [...kept];
	for (const slug of toward === undefined ? must : [toward, ...must]) {
		if (pieces.some(({ option }) => option.movements.includes(slug))) continue;
		const ways = pool.bySection.flatMap((options, section) =>
			options
				.filter(({ movements }) => movements.includes(slug) && (slug !== toward || section === PEAK))
				.map((option): Piece => ({ option, amount: option.usual, section }))
		);
		const way = ways[random.below(ways.length)];
		if (way) pieces.splice(placeOf(pieces, way.section), 0, way);
	}
	for (const [section, all] of pool.bySection.entries()) {
		const options = all.filter((option) => !given(pieces, option));
		const option = options.length > 0 ? options[random.below(options.length)] : undefined;
		if (option && !pieces.some((piece) => piece.section === section))
			pieces.splice(placeOf(pieces, section), 0, { option, amount: option.usual, section });
	}
	return pieces;
}
