import { readPlan } from '../checks';
import { formOf } from '../movement';
import { blocksOf, itemsIn, itemsOf, SECTION_KINDS, type Block, type ClassPlan } from '../plan';
import { lostSeconds } from '../reorder';
import { Objective } from './cost';
import { Population } from './cross';
import type { Piece } from './draft';
import { standardEffort, type Effort } from './effort';
import { factsFor } from './facts';
import { keptOption, optionsFor } from './options';
import { seededRandom, type Random } from './random';
import { gravity, mended, realised } from './realise';
import { Pool } from './pool';
import { begun, searched, settled, type Found } from './search';
import type { Proposal, ProposeSetting, Wishes } from './types';
import { reasonsFor } from './why';

/** How far uphill a class that was crossed may go, points of the objective. */
const REHEATED = 0.3;

export interface Asked {
	/** What is there already is kept; an empty plan gives length, style, pace and start. */
	base: ClassPlan;
	wishes: Wishes;
	setting: ProposeSetting;
	seed: number;
	/** How many different classes. */
	count?: number;
	effort?: Effort;
}

/**
 * Proposes classes one after another, each different from those before: yields the best so far whenever there is a
 * better one (`done` false) and each class when it is finished. Stop by asking for no more.
 */
export function* propose(asked: Asked): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	const { base, wishes, setting, seed, count = 3, effort = standardEffort(base.lengthSeconds) } = asked;
	const offered = optionsFor(base, wishes, setting);
	const kept = keptPieces(base, setting, offered.length);
	const options = [...offered, ...kept.map((piece) => piece.option)];
	const facts = factsFor(options, wishes, setting);
	const pool = new Pool(facts);
	const taken: Proposal[] = [];
	for (let number = 0; number < count; number++) {
		const others = taken.map(({ plan }) => new Set(itemsOf(plan).map((item) => item.movement)));
		const objective = new Objective(base, facts, wishes, setting, others);
		const random = seededRandom(seed + 7919 * number);
		let best: Proposal | null = null;
		for (const found of sought(kept, pool, objective, random, wishes, effort)) {
			const proposal = finished(found, objective, pool, asked);
			if (best && worth(best) <= worth(proposal)) continue;
			best = proposal;
			yield { number, done: false, proposal: best };
		}
		taken.push(best!);
		yield { number, done: true, proposal: best! };
	}
}

/** The classes that a search comes upon, each better than those before: a rough one at once, and the best in the end. */
export function* sought(
	kept: readonly Piece[],
	pool: Pool,
	objective: Objective,
	random: Random,
	wishes: Wishes,
	{ roughSteps, starts, steps, crossings, crossingSteps }: Effort
): Generator<Found> {
	const search = (many: number) => searched(begun(kept, pool, random, wishes), pool, objective, random, many);
	const population = new Population(starts);
	let least = Infinity;
	function* better(found: Found): Generator<Found> {
		if (found.cost >= least) return;
		least = found.cost;
		yield found;
	}
	if (roughSteps > 0) yield* better(search(roughSteps));
	for (let start = 0; start < starts; start++) {
		population.add(search(steps));
		yield* better(population.best);
	}
	for (let crossing = 0; crossing < crossings; crossing++) {
		const child = population.child(random);
		population.add(searched(child, pool, objective, random, crossingSteps, REHEATED));
	}
	yield* better(settled(population.best, pool, objective));
}

/** All proposals at once. */
export function proposals(asked: Asked): Proposal[] {
	return [...propose(asked)].filter(({ done }) => done).map(({ proposal }) => proposal);
}

/** Whether every block that was there is there still, just as it was (but for seconds of the closing rest) and in its part. */
function keepsAll(base: ClassPlan, plan: ClassPlan): boolean {
	return base.sections.every(({ id, blocks }) => {
		const now = plan.sections.find((section) => section.id === id)?.blocks ?? [];
		const closing = itemsOf(plan).at(-1)?.id;
		const same = (a: Block, b: Block) =>
			JSON.stringify(a) ===
			JSON.stringify(a.id === closing && a.kind === 'item' && b.kind === 'item' ? { ...b, dose: a.dose } : b);
		return blocks.every((block) => now.some((other) => same(other, block)));
	});
}

/** Whether the most intense item stands in the peak, as it does in a class that was searched for. */
function peaksInPeak(plan: ClassPlan, { find }: ProposeSetting): boolean {
	const highest = (sections: ClassPlan['sections']) =>
		Math.max(
			0,
			...sections.flatMap((section) =>
				section.blocks.flatMap(itemsIn).map(({ movement, form }) => formOf(find(movement)!, form)!.intensity)
			)
		);
	const peak = plan.sections.filter(({ kind }) => kind === 'peak');
	return peak.every(({ blocks }) => blocks.length === 0) || highest(peak) >= highest(plan.sections);
}

const worth = ({ cost, reading }: Proposal) => cost + gravity(reading);

export function keptPieces(base: ClassPlan, setting: ProposeSetting, firstIndex: number): Piece[] {
	return blocksOf(base)
		.map(({ section, block }, i) => ({
			option: keptOption(base, block, setting, firstIndex + i),
			amount: 0,
			section: SECTION_KINDS.indexOf(section.kind)
		}))
		.sort((a, b) => a.section - b.section);
}

/** A class once it is worked out to the second, mended where the desk can, and read by all checks. */
function finished(
	{ pieces }: Found,
	objective: Objective,
	pool: Pool,
	{ base, wishes, setting }: Asked
): Proposal {
	const wanted = [...(wishes.must ?? []), ...(wishes.toward ? [wishes.toward] : [])];
	const never = new Set(wishes.never);
	const without = new Set(wishes.without);
	const heldTo = (plan: ClassPlan) => {
		const slugs = itemsOf(plan).map((item) => item.movement);
		return (
			wanted.every((slug) => slugs.includes(slug)) &&
			peaksInPeak(plan, setting) &&
			keepsAll(base, plan) &&
			itemsOf(plan).every(
				({ id, movement }) =>
					itemsOf(base).some((item) => item.id === id) ||
					(!never.has(movement) && !without.has(setting.find(movement)!.position))
			)
		);
	};
	const plan = mended(realised(base, pieces, setting), base, setting, heldTo);
	const reading = readPlan(plan, setting);
	return {
		plan,
		reading,
		parts: objective.parts(pieces),
		cost: objective.cost(pieces),
		reasons: reasonsFor(plan, reading, pieces, objective, pool, wishes, base),
		lostSeconds: lostSeconds(plan, setting.find)
	};
}
