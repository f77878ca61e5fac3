import { boolean, number, object, string } from 'yup';
import type { Leg } from '../anatomy';
import { POSITIONS, USUAL_UNIT_SECONDS, type KitKind, type Position, type Tempo } from '../movement';
import { CLASS_KINDS, KINDS, USUAL_KIND, type ClassKind, type Familiarity } from './kinds';

/**
 * How long things take with one teacher, in seconds. The figures were fitted to 639 timed segments of 21 taught classes
 * (docs/clock.md): common practice, no published source.
 */
export interface Pace {
	classKind: ClassKind;
	/** One slow held breath. */
	heldBreathSeconds: number;
	/** One breath joined to a movement. */
	movingBreathSeconds: number;
	/** One breath of a round. */
	roundBreathSeconds: number;
	/** One spoken count. A count is not a breath. */
	countSeconds: number;
	/** One slow repetition by its size. */
	repetitionSeconds: Record<Tempo, number>;
	/** Real seconds of one planned second of a hold where no timer runs. */
	heldSecond: number;
	/** Holds in seconds are held by a timer: they last as long as is planned, in every kind of class. */
	timer: boolean;
	/** Getting into a new shape and explaining it, on top of the dose. */
	setUpSeconds: number;
	/** Changing sides without kit, and with strap, blanket or block. */
	changeSidesSeconds: number;
	changeSidesWithPropSeconds: number;
	/** Fetching for the first time, by kind. */
	fetchSeconds: Record<KitKind, number>;
	/** Placing what lies beside the mat already. */
	placeSeconds: number;
	/** A change of position that is not {@link FAR}; those are in proportion. */
	moveSeconds: number;
	/** Movements that take longer or shorter with this teacher than their figures say, by slug: times the usual. */
	movements: Readonly<Record<string, number>>;
}

export const DEFAULT_PACE: Pace = {
	classKind: USUAL_KIND,
	heldBreathSeconds: USUAL_UNIT_SECONDS.heldBreath,
	movingBreathSeconds: USUAL_UNIT_SECONDS.movingBreath,
	roundBreathSeconds: USUAL_UNIT_SECONDS.roundBreath,
	countSeconds: USUAL_UNIT_SECONDS.count,
	repetitionSeconds: USUAL_UNIT_SECONDS.repetition,
	heldSecond: 1,
	timer: false,
	setUpSeconds: KINDS[USUAL_KIND].setUpSeconds.new,
	changeSidesSeconds: 11,
	changeSidesWithPropSeconds: 23,
	fetchSeconds: {
		block: 10,
		blanket: 11,
		strap: 10,
		bolster: 10,
		cushion: 8,
		chair: 12,
		// going there is a move
		'wall space': 0,
		belt: 10,
		'elastic band': 10,
		weight: 10
	},
	placeSeconds: 3,
	moveSeconds: 8,
	movements: {}
};

/** Moves that take longer than the usual one: up from lying or down to it, and to or from the wall. Seconds. */
export const FAR = { lying: 18, wall: 16 } as const;

const LYING: ReadonlySet<Position> = new Set(['supine', 'sidelying', 'prone']);
const UPRIGHT: ReadonlySet<Position> = new Set(['quadruped', 'kneeling', 'standing']);
/** On the front one is half way up already. */
const HALF_WAY_UP: ReadonlySet<Position> = new Set(['quadruped', 'kneeling']);

/** Where people are: in a position, at the wall or not; lying on the side, with which leg on top. */
export interface Whereabouts {
	position: Position;
	atWall: boolean;
	onTop: Leg | null;
}

/** Seconds from one place and position to another, turning over included; 0 where nothing changes. */
export function moveSeconds(pace: Pace, from: Whereabouts, to: Whereabouts): number {
	const scale = pace.moveSeconds / DEFAULT_PACE.moveSeconds;
	if (from.atWall !== to.atWall) return FAR.wall * scale;
	if (from.position === to.position)
		return from.onTop && to.onTop && from.onTop !== to.onTop ? pace.moveSeconds : 0;
	return isFar(from.position, to.position) ? FAR.lying * scale : pace.moveSeconds;
}

function isFar(a: Position, b: Position): boolean {
	const [low, high] = LYING.has(a) ? [a, b] : [b, a];
	return LYING.has(low) && UPRIGHT.has(high) && !(low === 'prone' && HALF_WAY_UP.has(high));
}

/** The pace with all that lasts `ratio` times as long: getting in, and each unit of the work. */
function stretchedWork(pace: Pace, ratio: number): Pace {
	return {
		...pace,
		heldBreathSeconds: pace.heldBreathSeconds * ratio,
		movingBreathSeconds: pace.movingBreathSeconds * ratio,
		roundBreathSeconds: pace.roundBreathSeconds * ratio,
		countSeconds: pace.countSeconds * ratio,
		repetitionSeconds: mapped(pace.repetitionSeconds, ratio),
		heldSecond: pace.heldSecond * ratio,
		setUpSeconds: pace.setUpSeconds * ratio
	};
}

/** The same for everything that a class is made of. */
export function stretched(pace: Pace, ratio: number): Pace {
	return {
		...stretchedWork(pace, ratio),
		changeSidesSeconds: pace.changeSidesSeconds * ratio,
		changeSidesWithPropSeconds: pace.changeSidesWithPropSeconds * ratio,
		fetchSeconds: mapped(pace.fetchSeconds, ratio),
		placeSeconds: pace.placeSeconds * ratio,
		moveSeconds: pace.moveSeconds * ratio
	};
}

const mapped = <K extends string>(of: Record<K, number>, ratio: number): Record<K, number> =>
	Object.fromEntries(Object.entries<number>(of).map(([key, seconds]) => [key, seconds * ratio])) as Record<
		K,
		number
	>;

/** The pace as it is for one movement. */
export function paceFor(pace: Pace, slug: string): Pace {
	return Object.hasOwn(pace.movements, slug) ? stretchedWork(pace, pace.movements[slug]!) : pace;
}

/** Seconds of getting into a shape in a class (or a part of it) of a kind, explaining included. */
export function setUpSeconds(pace: Pace, kind: ClassKind, visit: Familiarity): number {
	const own = pace.setUpSeconds / KINDS[pace.classKind].setUpSeconds.new;
	return KINDS[kind].setUpSeconds[visit] * own;
}

/** Figures set by hand for one class. */
export interface PaceChanges {
	classKind?: ClassKind;
	timer?: boolean;
	heldBreathSeconds?: number;
	movingBreathSeconds?: number;
	roundBreathSeconds?: number;
	countSeconds?: number;
	setUpSeconds?: number;
	changeSidesSeconds?: number;
	changeSidesWithPropSeconds?: number;
	moveSeconds?: number;
}

export type PaceFigure = Exclude<keyof PaceChanges, 'classKind' | 'timer'>;

/** Least and most seconds that a plan accepts for each figure. */
export const PACE_LIMITS: Record<PaceFigure, { min: number; max: number }> = {
	heldBreathSeconds: { min: 3, max: 15 },
	movingBreathSeconds: { min: 2, max: 12 },
	roundBreathSeconds: { min: 2, max: 12 },
	countSeconds: { min: 0.5, max: 4 },
	setUpSeconds: { min: 0, max: 120 },
	changeSidesSeconds: { min: 0, max: 120 },
	changeSidesWithPropSeconds: { min: 0, max: 120 },
	moveSeconds: { min: 0, max: 60 }
};

export const paceChangesSchema = object({
	classKind: string().oneOf(CLASS_KINDS),
	timer: boolean(),
	...Object.fromEntries(
		Object.entries(PACE_LIMITS).map(([figure, { min, max }]) => [figure, number().min(min).max(max)])
	)
})
	.noUnknown()
	.required();

/** Every pair of different positions has a figure; used by tests. */
export function moveTable(pace: Pace): { from: Position; to: Position; seconds: number }[] {
	const at = (position: Position): Whereabouts => ({
		position,
		atWall: position === 'wall-supine',
		onTop: null
	});
	return POSITIONS.flatMap((from) =>
		POSITIONS.filter((to) => to !== from).map((to) => ({
			from,
			to,
			seconds: moveSeconds(pace, at(from), at(to))
		}))
	);
}
