import { SECTION_KINDS } from '../plan';
import type { Objective } from './cost';
import { Candidate, type Piece } from './candidate';
import { change, given } from './moves';
import type { Pool } from './pool';
import type { Random } from './random';
import type { Wishes } from './types';

/** A class that the search found, and what it costs. */
export interface Solution {
	pieces: Piece[];
	cost: number;
}

const PEAK = SECTION_KINDS.indexOf('peak');
/** How far a step may lead uphill at the beginning and at the end, points of the objective. */
const WARM = 4;
export const COLD = 0.02;
/**
 * So many thresholds getting from place to place counts, as long as that is more than itself. In which positions a class
 * goes is settled while the rest is still soft: people stay where they are, and the changes come in one by one where they
 * mend most. The other way round whatever was good elsewhere held each change where it was. The less there is to choose
 * from, the less can be had without changes: one more for so many movements, from so few on. Found by trial.
 */
const WAYS_PER_THRESHOLD = { most: 9, from: 10, movements: 8 };
/** In so many falls the threshold comes down, each by the same part. */
const FALLS = 64;

/** A root that every engine works out to the same last digit, as it does square roots: FALLS is a power of two. */
function fallOf(ratio: number): number {
	let root = ratio;
	for (let falls = FALLS; falls > 1; falls /= 2) root = Math.sqrt(root);
	return root;
}

/** A threshold that comes down, as every engine does it. */
export class Falling {
	private readonly every: number;
	private readonly thresholds: number[];

	constructor(from: number, to: number, steps: number) {
		this.every = Math.max(1, Math.floor(steps / FALLS));
		this.thresholds = [from];
		const fall = fallOf(to / from);
		for (let step = this.every; step < steps; step += this.every)
			this.thresholds.push(this.thresholds.at(-1)! * fall);
	}

	/** The threshold of a step. */
	at(step: number): number {
		return this.thresholds[Math.floor(step / this.every)]!;
	}

	/** Whether the threshold comes down with a step. */
	falls(step: number): boolean {
		return step > 0 && step % this.every === 0;
	}
}

/**
 * Threshold accepting (Dueck & Scheuer 1990, from memory): a change is taken when it makes the class no worse than a
 * threshold that falls from step to step, while getting from place to place counts less and less down to what it costs.
 * No exponential is asked for, so every engine takes the same way. Bounded by its number of steps. Never worse than the
 * start. Blocks that are kept stay in their part and in their order.
 */
export function searched(
	start: readonly Piece[],
	pool: Pool,
	objective: Objective,
	random: Random,
	steps: number,
	warm = WARM
): Solution {
	let now = new Candidate(pool.facts, start);
	let next = new Candidate(pool.facts);
	const best = new Candidate(pool.facts, start);
	let least = objective.costOf(now);
	const movements = pool.facts.slugs.length;
	let ways = waysAt(warm, movements);
	let cost = objective.costOf(now, Infinity, ways);
	const means = { pool, random };
	const falling = new Falling(warm, COLD, steps);
	for (let step = 0; step < steps; step++) {
		const threshold = falling.at(step);
		if (falling.falls(step)) {
			now.sum();
			ways = waysAt(threshold, movements);
			cost = objective.costOf(now, Infinity, ways);
		}
		if (!change(now, next, means)) continue;
		const after = objective.costOf(next, cost + threshold, ways);
		if (after >= cost + threshold) continue;
		[now, next] = [next, now];
		cost = after;
		// while the way counts more than it costs, no class is compared with the best
		if (ways > 1 || cost >= least - 1e-9) continue;
		best.copy(now);
		least = cost;
	}
	return { pieces: best.pieces(), cost: least };
}

/** How many times getting from place to place counts under a threshold, with so many movements to choose from. */
function waysAt(threshold: number, movements: number): number {
	const { most, from, movements: each } = WAYS_PER_THRESHOLD;
	return Math.max(1, threshold * Math.min(most, (movements - from) / each));
}

/**
 * Every single exchange and every dose tried in turn, as long as one makes the class better: after it no movement has a
 * better one for its place.
 */
export function settled(found: Solution, pool: Pool, objective: Objective): Solution {
	const { facts } = pool;
	const draft = new Candidate(facts, found.pieces);
	let { cost } = found;
	/** Takes what is better there than what is there. */
	function improved(at: number, option: number, amount: number): boolean {
		const [before, much] = [draft.option[at]!, draft.amount[at]!];
		draft.put(at, option, amount, draft.section[at]!);
		const after = objective.costOf(draft, cost - 1e-9);
		if (after < cost - 1e-9) {
			cost = after;
			return true;
		}
		draft.put(at, before, much, draft.section[at]!);
		return false;
	}
	for (let better = true; better;) {
		better = false;
		for (let at = 0; at < draft.count; at++) {
			for (let amount = 0; amount < facts.doses(draft.option[at]!); amount++)
				better = improved(at, draft.option[at]!, amount) || better;
			if (facts.kept[draft.option[at]!]) continue;
			for (const option of pool.bySection[draft.section[at]!]!)
				if (!given(draft, facts, option, at)) better = improved(at, option, facts.usual[option]!) || better;
		}
	}
	return { pieces: draft.pieces(), cost };
}

/** A class to begin with: what is kept and what is asked for, and one thing for each part that is still empty. */
export function begun(
	kept: readonly Piece[],
	pool: Pool,
	random: Random,
	{ must = [], toward }: Wishes
): Piece[] {
	const { facts, bySection } = pool;
	const draft = new Candidate(facts, kept);
	/** One of some options at its usual dose, at the end of a part. */
	const add = (options: ArrayLike<number>, section: number) => {
		const option = options[random.below(options.length)]!;
		draft.insert(draft.start(section + 1), option, facts.usual[option]!, section);
	};
	for (const slug of toward === undefined ? must : [toward, ...must]) {
		if (draft.pieces().some(({ option }) => option.movements.includes(slug))) continue;
		const ways = bySection.flatMap((options, section) =>
			[...options]
				.filter((option) => facts.options[option]!.movements.includes(slug))
				.filter(() => slug !== toward || section === PEAK)
				.map((option) => ({ option, section }))
		);
		const way = ways[random.below(ways.length)];
		if (way) add([way.option], way.section);
	}
	for (const [section, all] of bySection.entries()) {
		const options = all.filter((option) => !given(draft, facts, option));
		if (options.length > 0 && draft.start(section) === draft.start(section + 1)) add(options, section);
	}
	return draft.pieces();
}
