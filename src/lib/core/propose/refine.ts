import type { Objective } from './cost';
import { Population } from './cross';
import { Candidate, type Piece } from './candidate';
import { change, type Means } from './moves';
import type { Pool } from './pool';
import type { Random } from './random';
import { COLD, Falling, type Solution } from './search';

/** So many classes of different movements are kept: which is best once its doses are rounded is not known before. */
export const NEAR_BEST = 12;

/**
 * Threshold accepting over the movements and their order alone: for each class that is looked at, the best doses are
 * found. A step is judged by what the class can be, not by doses that were right for another. The best that were come upon,
 * the very best first; what they cost is with doses as if each could be given.
 */
export function refined(
	start: readonly Piece[],
	pool: Pool,
	objective: Objective,
	random: Random,
	steps: number,
	warm: number
): Solution[] {
	const { facts } = pool;
	const { doses } = objective;
	let now = new Candidate(facts, start, false);
	let next = new Candidate(facts, [], false);
	doses.forget();
	let cost = objective.leastOf(now);
	doses.take(now);
	const best = new Population(NEAR_BEST);
	best.add({ pieces: now.pieces(), cost });
	const means: Means = {
		pool,
		random,
		adds: (option, section, before, after) => objective.addedBy(option, section, before, after)
	};
	const falling = new Falling(warm, COLD, steps);
	for (let step = 0; step < steps; step++) {
		const threshold = falling.at(step);
		if (falling.falls(step)) {
			// from nothing now and then: what is gone on from a thousand times leaves a rest of rounding
			doses.forget();
			cost = objective.leastOf(now);
			doses.take(now);
		}
		if (!change(now, next, means)) continue;
		const after = objective.leastOf(next, cost + threshold);
		if (after >= cost + threshold) continue;
		[now, next] = [next, now];
		cost = after;
		doses.take(now);
		if (cost < best.limit) best.add({ pieces: now.pieces(), cost });
	}
	return best.founds;
}

/** Steps of a dose up and down, the nearest first. */
const BY = [-1, 1, -2, 2, -3, 3];
/** Seconds by which two doses together may change the length. */
const GIVEN_BACK = 5;

/**
 * A class with doses that may be given: those found for it rounded, then one or two at a time another way, as long as that
 * makes it better. Costs what it costs.
 */
export function rounded(pieces: readonly Piece[], pool: Pool, objective: Objective): Solution {
	const { facts } = pool;
	const draft = new Candidate(facts, pieces);
	objective.doses.forget();
	objective.leastOf(draft);
	objective.doses.take(draft);
	draft.sum();
	let cost = objective.costOf(draft);
	const isBetter = (): boolean => {
		const after = objective.costOf(draft, cost - 1e-9);
		if (after >= cost - 1e-9) return false;
		cost = after;
		return true;
	};
	const canMove = (at: number, by: number) =>
		draft.amount[at]! + by >= 0 && draft.amount[at]! + by < facts.doses(draft.option[at]!);
	const secondsOf = (at: number, by: number) => {
		const dose = facts.firstDose[draft.option[at]!]! + draft.amount[at]!;
		return facts.workSeconds[dose + by]! - facts.workSeconds[dose]!;
	};
	const move = (at: number, by: number) => draft.dose(at, draft.amount[at]! + by);
	/** One dose another way and, if need be, another one with it: one that gives back the time, or nearly. */
	const bettered = (one: number, by: number): boolean => {
		if (!canMove(one, by)) return false;
		const seconds = secondsOf(one, by);
		move(one, by);
		if (isBetter()) return true;
		for (let other = one + 1; other < draft.count; other++)
			for (const much of BY) {
				if (!canMove(other, much) || Math.abs(seconds + secondsOf(other, much)) > GIVEN_BACK) continue;
				move(other, much);
				if (isBetter()) return true;
				move(other, -much);
			}
		move(one, -by);
		return false;
	};
	for (let better = true; better;) {
		better = false;
		for (let at = 0; at < draft.count; at++) for (const by of BY) better = bettered(at, by) || better;
	}
	return { pieces: draft.pieces(), cost: objective.cost(draft.pieces()) };
}
