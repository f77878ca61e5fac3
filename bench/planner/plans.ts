import { classCost, sumOf } from '../../tests/reference/class-cost';
import { SECTION_KINDS, type ClassPlan } from '../../src/lib/core/plan';
import {
	factsFor,
	keptPieces,
	nearest,
	Objective,
	optionsFor,
	Pool,
	seededRandom,
	sought,
	withAmount,
	type Effort,
	type Solution,
	type Piece
} from '../../src/lib/core/propose';
import type { Instance } from './instances';
import { lostBetween, type Model } from './model';

/** What a class costs by the evaluator that neither the search nor the model has anything of. */
export function judge({ base, setting }: Instance): (plan: ClassPlan) => number {
	const options = optionsFor(base, {}, setting);
	const fillable = new Set(SECTION_KINDS.filter((kind) => options.some((o) => o.sections.has(kind))));
	const deepest = Math.max(0, ...options.filter((o) => o.sections.has('peak')).map((o) => o.intensity));
	return (plan) => sumOf(classCost(plan, setting, { fillable, deepest }));
}

/** What a search of an instance is made with, as for a proposal. */
export function searchOf({ base, setting }: Instance): { kept: Piece[]; objective: Objective; pool: Pool } {
	const offered = optionsFor(base, {}, setting);
	const kept = keptPieces(base, setting, offered.length);
	const facts = factsFor([...offered, ...kept.map(({ option }) => option)], {}, setting);
	const objective = new Objective(base, facts, {}, setting);
	return { kept, objective, pool: new Pool(facts) };
}

/** The classes that the planner's own search finds, as it finds them for a proposal. */
export function* foundBySearch(instance: Instance, seed: number, effort: Effort): Generator<Solution> {
	const { kept, objective, pool } = searchOf(instance);
	yield* sought(kept, pool, objective, seededRandom(seed), {}, effort);
}

/** Pieces of a class as a plan; kept blocks as they are. */
export function planOf(base: ClassPlan, pieces: readonly Piece[]): ClassPlan {
	return {
		...base,
		sections: base.sections.map((section) => ({
			...section,
			blocks: pieces
				.filter((piece) => SECTION_KINDS[piece.section] === section.kind)
				.map(
					({ option, amount }) =>
						option.kept ?? withAmount(option.item!, option.item!.movement, option.amounts[amount]!, 'left')
				)
		}))
	};
}

/** The class that a whole solution of the model stands for: place after place along its path, doses rounded to what may be given. */
export function planOfSolution({ base }: Instance, model: Model, solution: Float64Array): ClassPlan {
	const { ways, places, arcs } = model;
	const next = new Map(arcs.filter((a) => solution[a.taken]! > 0.5).map(({ from, to }) => [from, to]));
	const path: number[] = [];
	for (let at = next.get(-1) ?? -1; at >= 0 && !path.includes(at); at = next.get(at) ?? -1) path.push(at);
	// what is visited on a round of its own comes where it costs least
	const lost = lostBetween(places, base.pinnedPace);
	for (const [at, { visited }] of places.entries()) {
		if (solution[visited]! < 0.5 || path.includes(at)) continue;
		const section = (i: number) => places[path[i]!]!.section;
		const spots = Array.from({ length: path.length + 1 }, (_, i) => i).filter(
			(i) =>
				(i === 0 || section(i - 1) <= places[at]!.section) &&
				(i === path.length || section(i) >= places[at]!.section)
		);
		const added = (i: number) =>
			lost(i === 0 ? -1 : path[i - 1]!, at) + (i < path.length ? lost(at, path[i]!) : 0);
		const best = spots.reduce((a, b) => (added(b) < added(a) ? b : a));
		path.splice(best, 0, at);
	}
	const chosen = path.flatMap((place) =>
		ways
			.filter((way) => way.place === place && solution[way.given]! > 0.5)
			.sort((a, b) => a.option.intensity - b.option.intensity)
			.map(({ option, section, seconds }): Piece => ({
				option,
				section,
				amount: nearest(option.workSeconds, solution[seconds]!)
			}))
	);
	return planOf(base, chosen);
}

/** One step of a dose up or down, as long as one makes the class better: what rounding left. */
export function rounded(
	plan: ClassPlan,
	{ base, setting }: Instance,
	cost: (plan: ClassPlan) => number
): ClassPlan {
	const options = new Map(
		optionsFor(base, {}, setting).map((o) => [`${o.item!.movement} ${o.item!.form} ${o.item!.mode}`, o])
	);
	const pins = new Set(base.sections.flatMap((s) => s.blocks.map((b) => b.id)));
	let now = plan;
	let points = cost(now);
	for (let better = true; better;) {
		better = false;
		for (const section of now.sections)
			for (const block of section.blocks) {
				if (block.kind !== 'item' || pins.has(block.id)) continue;
				const { amounts } = options.get(`${block.movement} ${block.form} ${block.mode}`)!;
				const at = amounts.indexOf(block.dose.amount);
				for (const amount of [amounts[at - 1], amounts[at + 1]]) {
					if (amount === undefined) continue;
					const dose = { ...block.dose, amount };
					const other: ClassPlan = {
						...now,
						sections: now.sections.map((s) => ({
							...s,
							blocks: s.blocks.map((b) => (b.id === block.id ? { ...block, dose } : b))
						}))
					};
					const after = cost(other);
					if (after >= points - 1e-9) continue;
					now = other;
					points = after;
					better = true;
				}
			}
	}
	return now;
}
