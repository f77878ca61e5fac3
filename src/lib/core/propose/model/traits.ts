import { DIRECTIONS, directionShares, isSymmetrical, MUSCLE_GROUPS, TISSUES, legPair } from '../../anatomy';
import { actionOf, WORKING_MODES, type Form, type Mode, type Movement } from '../../movement';
import { countsAsStrength, isReset } from '../../rules';
import { movementSimilarity, canLink, levelOf } from './similarity';
import { SIMILARITY } from './amounts';

/** Movements by number, with how alike each two are and whether they can be linked: looked up millions of times. */
export class Kinds {
	private readonly numbers = new Map<Movement, number>();
	private readonly size: number;
	private readonly likeness: Float64Array;
	private readonly links: Uint8Array;

	constructor(movements: Iterable<Movement>) {
		for (const movement of movements)
			if (!this.numbers.has(movement)) this.numbers.set(movement, this.numbers.size);
		const all = [...this.numbers.keys()];
		this.size = all.length;
		this.likeness = new Float64Array(this.size ** 2);
		this.links = new Uint8Array(this.size ** 2);
		for (const [i, a] of all.entries())
			for (const [j, b] of all.entries()) {
				this.likeness[i * this.size + j] = movementSimilarity(a, b);
				this.links[i * this.size + j] = Number(canLink(a, b));
			}
	}

	/** How many movements there are. */
	get count(): number {
		return this.size;
	}

	numberOf(movement: Movement): number {
		return this.numbers.get(movement)!;
	}

	alike(a: number, b: number): number {
		return this.likeness[a * this.size + b]!;
	}

	canLink(a: number, b: number): boolean {
		return this.links[a * this.size + b] === 1;
	}

	isRelated(a: number, b: number): boolean {
		return this.alike(a, b) >= SIMILARITY.related;
	}
}

/** Tissues and, behind them, muscles: what time goes to. */
export const PARTS = TISSUES.length + MUSCLE_GROUPS.length;

/** Properties of a movement in a form and mode that the objective reads; constant, so computed once. */
export interface Traits {
	movement: Movement;
	form: Form;
	mode: Mode;
	kind: number;
	sided: boolean;
	/** Intensity and half of the effort; a rest half a point. */
	demand: number;
	/** Moving, then held by oneself, then left to weight, then resting: 0 to 3. */
	rank: number;
	level: number;
	rest: boolean;
	strong: boolean;
	reset: boolean;
	/** For each second: seconds in each direction, both legs. */
	directions: readonly number[];
	/** Numbers of the tissues that lengthen and the muscles that work. */
	parts: readonly number[];
	/** Movements of which one goes before it. */
	asks: ReadonlySet<string>;
	kit: readonly string[];
}

/** How late a mode comes in a class: moving, then held by oneself, then left to weight, then resting. */
export const MODE_RANK: Record<Mode, number> = {
	dynamic: 0,
	active: 1,
	isometric: 1,
	'press-and-ease': 2,
	passive: 2,
	rest: 3
};
const REST_DEMAND = 0.5;

/** Returns the demand of an item: intensity, plus half the effort in active modes. */
export function demandOf({ intensity, effort }: Pick<Form, 'intensity' | 'effort'>, mode: Mode): number {
	if (mode === 'rest') return REST_DEMAND;
	return intensity + (mode === 'passive' ? 0 : effort / 2);
}

/** Returns what the planner asks of a movement in a form and mode. */
export function traitsOf(movement: Movement, form: Form, mode: Mode, kinds: Kinds): Traits {
	const action = actionOf(movement, form, mode);
	const legs = legPair(action);
	const shares = legs.map(directionShares);
	const works = WORKING_MODES.has(mode);
	return {
		movement,
		form,
		mode,
		kind: kinds.numberOf(movement),
		sided: !isSymmetrical(movement.action),
		demand: demandOf(form, mode),
		rank: MODE_RANK[mode],
		level: levelOf(movement),
		rest: mode === 'rest',
		strong: countsAsStrength(form.effort, mode),
		reset: isReset(movement),
		directions: DIRECTIONS.map((d) => shares.reduce((sum, share) => sum + share[d], 0)),
		parts: [
			...TISSUES.flatMap((t, i) => (legs.some((leg) => leg.lengthens.includes(t)) ? [i] : [])),
			...(works
				? MUSCLE_GROUPS.flatMap((g, i) =>
						legs.some((leg) => leg.works.includes(g)) ? [TISSUES.length + i] : []
					)
				: [])
		],
		asks: new Set([...movement.preparations, ...movement.prerequisites]),
		kit: form.props.map(({ kit }) => kit)
	};
}
