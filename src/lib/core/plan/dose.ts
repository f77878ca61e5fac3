import { isSymmetrical, type Leg } from '../anatomy';
import {
	doseRange,
	exchanged,
	type DoseRange,
	type DoseUnit,
	type Form,
	type Mode,
	type Movement
} from '../movement';
import { styledRange, type TeachingStyle } from '../style';

/** Units of a hold inside a dose. */
export const HELD_UNITS = ['counts', 'breaths', 'seconds'] as const;
export type HeldUnit = (typeof HELD_UNITS)[number];

/** So long something is held: "for five counts". */
export interface Hold {
	amount: number;
	unit: HeldUnit;
}

/** How much of a movement is given, on each side where it has sides. */
export interface Dose {
	/** How much of it, in `unit`. Where the sides take turns: all of it, both sides together. */
	amount: number;
	/** A range, "30 to 60 seconds, as it suits you": the most of it. */
	most?: number;
	/** Unit of the amount, where it differs from the catalogue's. */
	unit?: DoseUnit;
	/** How often all of this is done on one side before the other one follows; once where nothing is said. */
	sets?: number;
	/** Between two sets. */
	restSeconds?: number;
	/** In repetitions and rounds: each one is kept so long. */
	hold?: Hold;
	/** After the last repetition of a set it is kept so long. */
	lastHold?: Hold;
	/** How hard a press is, of the most that the person could give. */
	effortPercent?: number;
	/** The amount is given each way: forward and back, to this side and to that. */
	bothWays?: true;
	/** Amount added on the side that this leg leads. */
	moreOn?: { leg: Leg; amount: number };
	/** The amount on the second side, where it is another one. */
	secondSide?: number;
	/** Why the two sides get different amounts. */
	unevenReason?: string;
	/** In a flow: the breaths are joined to the movement, whatever it is elsewhere. */
	byBreath?: true;
}

/** A change of a dose: a field that is undefined goes. */
export type DoseChange = { [K in keyof Dose]?: Dose[K] | undefined };

/** The parts of a dose beside its amount and what that is counted in. */
export type DosePart = Exclude<keyof Dose, 'amount'>;

/** A dose after a change, without fields that say nothing. */
export function changedDose(dose: Dose, change: DoseChange): Dose {
	const changed = { ...dose, ...change } as Dose;
	for (const key of Object.keys(changed) as DosePart[]) if (changed[key] === undefined) delete changed[key];
	if (changed.most !== undefined && changed.most <= changed.amount) delete changed.most;
	if (changed.sets === 1) delete changed.sets;
	if (changed.sets === undefined || changed.restSeconds === 0) delete changed.restSeconds;
	if (!changed.moreOn?.amount) delete changed.moreOn;
	if (changed.secondSide === changed.amount) delete changed.secondSide;
	if (!changed.hold?.amount) delete changed.hold;
	if (!changed.lastHold?.amount) delete changed.lastHold;
	if (!changed.unevenReason || !isUneven(changed)) delete changed.unevenReason;
	return changed;
}

/** Whether the two sides get different amounts. */
export const isUneven = (dose: Dose): boolean =>
	dose.moreOn !== undefined || (dose.secondSide !== undefined && dose.secondSide !== dose.amount);

/** Returns the number of sets; 1 where none is written. */
export const setsOf = (dose: Dose): number => dose.sets ?? 1;

/** A range is planned with its middle. */
export const middleOf = ({ amount, most }: Dose): number =>
	most === undefined ? amount : (amount + most) / 2;

/**
 * The amount that one side gets: the middle of a range, the second side's own, and what is added for a leg.
 * @param side null where nothing has a side
 * @param leads the leg that leads on this side
 */
export function amountOn(dose: Dose, side: 1 | 2 | null, leads: Leg | null): number {
	const base = side === 2 && dose.secondSide !== undefined ? dose.secondSide : middleOf(dose);
	return base + (dose.moreOn && dose.moreOn.leg === leads ? dose.moreOn.amount : 0);
}

/** Returns a dose with its amount changed by `by` on both sides; a range moves as a whole. At least 1. */
export function movedBy({ amount, most, secondSide }: Dose, by: number): DoseChange {
	const moved = (value: number) => Math.max(1, value + by);
	return {
		amount: moved(amount),
		...(most === undefined ? {} : { most: moved(most) }),
		...(secondSide === undefined ? {} : { secondSide: moved(secondSide) })
	};
}

/**
 * The change that counts an item in another unit, for about as long. What only repetitions and rounds have goes where
 * there are none.
 */
export function countedIn(
	item: Sided & { mode: Mode; dose: Dose },
	movement: Movement,
	form: Form,
	unit: DoseUnit
): DoseChange {
	const { dose, mode } = item;
	const own = doseRange(form, mode).unit;
	const from = doseRange(form, mode, dose.unit);
	const to = doseRange(form, mode, unit);
	const inUnit = (amount: number) => exchanged(amount, from, to, mode);
	return {
		amount: inUnit(dose.amount),
		unit: unit === own ? undefined : unit,
		...(dose.most === undefined ? {} : { most: inUnit(dose.most) }),
		...(dose.secondSide === undefined ? {} : { secondSide: inUnit(dose.secondSide) }),
		...(dose.moreOn ? { moreOn: { ...dose.moreOn, amount: inUnit(dose.moreOn.amount) } } : {}),
		...(mayHold(unit) ? {} : { hold: undefined, lastHold: undefined }),
		...(unit === 'breaths' ? {} : { byBreath: undefined })
	};
}

/** Whether there is something in a dose of this unit that can be held each time. */
export const mayHold = (unit: DoseUnit): boolean => unit === 'repetitions' || unit === 'rounds';

/** As much of a plan's item as says how its sides are served. */
interface Sided {
	byTurns?: boolean;
}

/**
 * Whether the sides take turns (left, right, left ...): one pass serves both, without a change of sides. Movements that
 * are taught so say it; an item may say otherwise.
 */
export function goesByTurns(item: Sided, movement: Movement): boolean {
	return !isSymmetrical(movement.action) && (item.byTurns ?? movement.byTurns ?? false);
}

/** As much of an item as says in what it is counted. */
interface CountedItem extends Sided {
	mode: Mode;
	dose: Pick<Dose, 'unit'>;
}

/** Returns the catalogue's range for an item, in the unit of the item; for both sides together where they alternate. */
export function rangeOf(item: CountedItem, movement: Movement, form: Form): DoseRange {
	return forTurns(doseRange(form, item.mode, item.dose.unit), item, movement);
}

/** The same as a style of teaching has it. */
export function rangeInStyle(
	style: TeachingStyle,
	item: CountedItem,
	movement: Movement,
	form: Form
): DoseRange {
	return forTurns(styledRange(style, form, item.mode, item.dose.unit), item, movement);
}

function forTurns(range: DoseRange, item: Sided, movement: Movement): DoseRange {
	if (!goesByTurns(item, movement)) return range;
	return { ...range, min: 2 * range.min, usual: 2 * range.usual, max: 2 * range.max };
}
