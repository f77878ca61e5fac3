import type { DoseRange, DoseUnit, Form, Mode, Movement, Tempo } from './types';

/** Holds can be counted by the breath or by the clock; a style may say which. */
export const HOLD_UNITS = ['breaths', 'seconds'] as const;
export type HoldUnit = (typeof HOLD_UNITS)[number];

/**
 * Seconds of one unit of a dose before a teacher's own are known. Fitted to the timings of 21 taught classes; the spread
 * of each stands in docs/clock.md. Common practice, no published source.
 */
export const USUAL_UNIT_SECONDS = {
	heldBreath: 7,
	movingBreath: 5,
	roundBreath: 6,
	count: 1.7,
	repetition: { small: 4.6, sweep: 5.2, large: 8, balance: 11.7, 'slow-switch': 14.5 } satisfies Record<
		Tempo,
		number
	>
} as const;

/** A round is a breath in and a breath out of two parts, where nothing else is said. */
export const USUAL_BREATHS_PER_ROUND = 2;

/** Held seconds are given in such steps, so that the teacher need not count to 43. */
export const HELD_STEP_SECONDS = 5;

/** Modes in which a breath is joined to a movement and so is quicker than a held one. */
const MOVING_MODES: ReadonlySet<Mode> = new Set(['dynamic']);

/** Whether the breath is joined to movement in a mode. */
export const isMoving = (mode: Mode): boolean => MOVING_MODES.has(mode);

/** Whether a dose is held: counted in breaths or seconds. */
export const isHold = (dose: DoseRange): dose is DoseRange & { unit: HoldUnit } =>
	dose.unit === 'breaths' || dose.unit === 'seconds';

/** Seconds of one unit of a dose at the usual pace. */
export function usualUnitSeconds({ unit, tempo, breathsPerRound }: DoseRange, mode: Mode): number {
	const { heldBreath, movingBreath, roundBreath, count, repetition } = USUAL_UNIT_SECONDS;
	switch (unit) {
		case 'seconds':
			return 1;
		case 'counts':
			return count;
		case 'breaths':
			return isMoving(mode) ? movingBreath : heldBreath;
		case 'rounds':
			return (breathsPerRound ?? USUAL_BREATHS_PER_ROUND) * roundBreath;
		case 'repetitions':
			return repetition[tempo ?? 'small'];
	}
}

/** By how much an amount in a unit goes up or down at once. */
export const stepOf = (unit: DoseUnit): number => (unit === 'seconds' ? HELD_STEP_SECONDS : 1);

/** Returns the amount that takes about the given seconds, in whole units (seconds in steps of five); at least one step. */
export function amountTaking(seconds: number, dose: DoseRange, mode: Mode): number {
	const step = stepOf(dose.unit);
	return Math.max(step, step * Math.round(seconds / (step * usualUnitSeconds(dose, mode))));
}

/** An amount in another unit that takes about as long. */
export function exchanged(amount: number, from: DoseRange, to: DoseRange, mode: Mode): number {
	return amountTaking(amount * usualUnitSeconds(from, mode), to, mode);
}

/** How much of a form is usual in a mode, counted in the unit that is asked for. */
export function doseRange(form: Form, mode: Mode, unit?: DoseUnit): DoseRange {
	const own = form.doseIn?.[mode] ?? form.dose;
	if (!unit || unit === own.unit) return own;
	const to: DoseRange = { ...own, unit };
	const amount = (value: number) => exchanged(value, own, to, mode);
	return { ...to, min: amount(own.min), usual: amount(own.usual), max: amount(own.max) };
}

/** Between two sets of what does not say how long. Common practice, no source. */
const USUAL_SET_REST_SECONDS = 15;

/** Seconds of rest between two sets of a movement. */
export const setRestOf = ({ sets }: Pick<Movement, 'sets'>): number =>
	sets?.restSeconds ?? USUAL_SET_REST_SECONDS;
