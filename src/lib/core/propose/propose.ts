import { analysePlan } from '../checks';
import { formOf } from '../movement';
import { blocksOf, itemsIn, itemsOf, SECTION_KINDS, type ClassPlan } from '../plan';
import { lostSeconds } from '../ordering';
import { Objective } from './cost';
import { Population } from './cross';
import type { Piece } from './candidate';
import { standardEffort, type Effort } from './effort';
import { factsFor } from './facts';
import { keptOption, optionsFor } from './options';
import { seededRandom, type Random } from './random';
import { gravity, keepsAll, mended, realised } from './realise';
import { Pool } from './pool';
import { NEAR_BEST, refined, rounded } from './refine';
import { begun, searched, settled, type Solution } from './search';
import type { Proposal, ProposeContext, Wishes } from './types';
import { reasonsFor } from './why';

/**
 * How far uphill a class may go at first that is refined after its beginning, after it was crossed, and when it is searched
 * on from at last, points of the objective. Found by trial.
 */
const WARM = { begun: 0.3, crossed: 0.2, rounded: 0.1 };
/** So many of the best are searched on from at last. */
const FINALISTS = 3;

export interface ProposeRequest {
	/** What is there already is kept; an empty plan gives length, style, pace and start. */
	base: ClassPlan;
	wishes: Wishes;
	setting: ProposeContext;
	seed: number;
	/** How many different classes. */
	count?: number;
	effort?: Effort;
}

/**
 * Proposes classes one after another, each different from those before: yields the best so far whenever there is a
 * better one (`done` false) and each class when it is finished. Stop by asking for no more.
 */
export function* propose(
	asked: ProposeRequest
): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	const { base, wishes, setting, seed, count = 3, effort = standardEffort() } = asked;
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
	{ roughSteps, starts, steps, crossings, refineSteps, settleSteps }: Effort
): Generator<Solution> {
	const search = (from: readonly Piece[], many: number, warm?: number) =>
		searched(from, pool, objective, random, many, warm);
	const begin = (many: number) => search(begun(kept, pool, random, wishes), many);
	const population = new Population(Math.max(2, starts));
	const nearBest = new Population(NEAR_BEST);
	let best: Solution | null = null;
	function* better(found: Solution): Generator<Solution> {
		if (best && found.cost >= best.cost) return;
		best = found;
		yield found;
	}
	function* refine(pieces: readonly Piece[], warm: number): Generator<Solution> {
		const founds = refined(pieces, pool, objective, random, refineSteps, warm);
		for (const found of founds) nearBest.add(found);
		population.add(founds[0]!);
		yield* better(rounded(founds[0]!.pieces, pool, objective));
	}
	if (roughSteps > 0) yield* better(begin(roughSteps));
	for (let start = 0; start < starts; start++) yield* refine(begin(steps).pieces, WARM.begun);
	for (let crossing = 0; crossing < crossings; crossing++)
		yield* refine(population.child(random), WARM.crossed);
	const finalists = nearBest.founds
		.map(({ pieces }) => rounded(pieces, pool, objective))
		.sort((a, b) => a.cost - b.cost)
		.slice(0, FINALISTS);
	for (const { pieces } of finalists) yield* better(search(pieces, settleSteps, WARM.rounded));
	yield* better(settled(best!, pool, objective));
}

/** All proposals at once. */
export function proposals(asked: ProposeRequest): Proposal[] {
	return [...propose(asked)].filter(({ done }) => done).map(({ proposal }) => proposal);
}

/** Whether the most intense item stands in the peak, as it does in a class that was searched for. */
function peaksInPeak(plan: ClassPlan, { find }: ProposeContext): boolean {
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

const worth = ({ cost, analysis }: Proposal) => cost + gravity(analysis);

/** The blocks that a plan has already, as pieces of a candidate. */
export function keptPieces(base: ClassPlan, setting: ProposeContext, firstIndex: number): Piece[] {
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
	{ pieces }: Solution,
	objective: Objective,
	pool: Pool,
	{ base, wishes, setting }: ProposeRequest
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
	const plan = mended(realised(base, pieces, setting), base, setting, objective.weights, heldTo);
	const analysis = analysePlan(plan, setting);
	return {
		plan,
		analysis,
		parts: objective.parts(pieces),
		worth: null,
		story: [],
		cost: objective.cost(pieces),
		reasons: reasonsFor(plan, analysis, pieces, objective, pool, wishes, base),
		lostSeconds: lostSeconds(plan, setting.find, setting.pace)
	};
}
