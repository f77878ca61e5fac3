import type { Tissue } from '../anatomy';
import { POINTS, BRIEF_SECONDS, IDLE_SECONDS } from './points';
import type { Option } from './options';

/** What is taken over as it is. */
type Copied =
	| 'aroundSeconds'
	| 'strengthens'
	| 'effort'
	| 'intensity'
	| 'moves'
	| 'holds'
	| 'warms'
	| 'deep'
	| 'heavy'
	| 'strong'
	| 'isNew';

/**
 * An option as nothing but numbers, every one of the same layout: a search counts a hundred thousand classes a second.
 * Seconds, and points of the objective.
 */
export interface Facts extends Pick<Option, Copied> {
	workSeconds: Float64Array;
	/** For each amount: how far it is from the usual one, and whether so little was worth explaining. */
	dosePoints: Float64Array;
	/** For each amount: resting longer than people like to before the closing rest. */
	idlePoints: Float64Array;
	leastSeconds: number;
	mostSeconds: number;
	/** Where it begins and ends, as indices into the places of the objective; -1 takes people as they are. */
	enter: number;
	leave: number;
	directions: Float64Array;
	/** Seconds that each tissue asked for is held, for each second of work. */
	lengthens: Float64Array;
	rests: boolean;
	/** Its movements, and those of which one should come before (-1 for one that is not to be had), as numbers. */
	ids: Int32Array;
	preparations: Int32Array;
	/** The movement that others are compared with; -1 for a rest: it is like any other, and nobody minds. */
	compared: number;
}

/** @param ids numbers of the movements @param place number of a body position with its kit @param tissues asked for */
export function factsOf(
	option: Option,
	ids: ReadonlyMap<string, number>,
	place: (position: number, kit: number) => number,
	tissues: readonly Tissue[]
): Facts {
	const { workSeconds, amounts, usual } = option;
	const steps = amounts.length - 1;
	const own = Int32Array.from(option.movements, (slug) => ids.get(slug)!);
	return {
		workSeconds: Float64Array.from(workSeconds),
		dosePoints: Float64Array.from(workSeconds, (seconds, amount) => {
			if (steps === 0) return 0;
			const brief = option.rests ? 0 : Math.max(0, BRIEF_SECONDS - seconds) / BRIEF_SECONDS;
			return (POINTS.doseRange * Math.abs(amount - usual)) / steps + POINTS.brief * brief;
		}),
		idlePoints: Float64Array.from(workSeconds, (seconds) =>
			option.rests ? POINTS.idleSecond * Math.max(0, seconds - IDLE_SECONDS) : 0
		),
		leastSeconds: workSeconds[0]!,
		mostSeconds: workSeconds.at(-1)!,
		aroundSeconds: option.aroundSeconds,
		enter: option.enter < 0 ? -1 : place(option.enter, option.enterKit),
		leave: option.enter < 0 ? -1 : place(option.leave, option.leaveKit),
		directions: Float64Array.from(option.directions),
		strengthens: option.strengthens,
		effort: option.effort,
		lengthens: Float64Array.from(tissues, (tissue) => option.lengthens.get(tissue) ?? 0),
		intensity: option.intensity,
		rests: option.rests > 0,
		moves: option.moves,
		holds: option.holds,
		warms: option.warms,
		deep: option.deep,
		heavy: option.heavy,
		strong: option.strong,
		isNew: option.isNew,
		ids: own,
		preparations: Int32Array.from(option.preparations, (slug) => ids.get(slug) ?? -1),
		compared: option.rests > 0 || own.length === 0 ? -1 : own[0]!
	};
}
