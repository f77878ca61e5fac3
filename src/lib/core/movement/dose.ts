import type { DoseRange, Form, Mode } from './types';

/** Holds can be counted by the breath or by the clock; everything else keeps the unit of its form. */
export const HOLD_UNITS = ['breaths', 'seconds'] as const;
export type HoldUnit = (typeof HOLD_UNITS)[number];

/** One slow held breath, seconds, when a dose changes its unit (observed 6-8: common practice, no source). */
export const HELD_BREATH_SECONDS = 7;
const STEP_SECONDS = 5;

/** Whether a dose is held: counted in breaths or seconds. */
export const isHold = (dose: DoseRange): dose is DoseRange & { unit: HoldUnit } =>
	dose.unit === 'breaths' || dose.unit === 'seconds';

/** An amount of a hold in the other unit: whole breaths, or seconds in fives. Never less than one step. */
export function exchanged(amount: number, to: HoldUnit): number {
	if (to === 'breaths') return Math.max(1, Math.round(amount / HELD_BREATH_SECONDS));
	return Math.max(STEP_SECONDS, STEP_SECONDS * Math.round((amount * HELD_BREATH_SECONDS) / STEP_SECONDS));
}

/** The dose of a form in a mode, counted in the unit that is asked for when it is a hold. */
export function doseRange(form: Form, mode: Mode, unit?: HoldUnit): DoseRange {
	const own = form.doseIn?.[mode] ?? form.dose;
	if (!unit || unit === own.unit || !isHold(own)) return own;
	return {
		unit,
		min: exchanged(own.min, unit),
		usual: exchanged(own.usual, unit),
		max: exchanged(own.max, unit)
	};
}
