import type { DoseRange, Mode } from '../movement';
import type { Pace } from '../pace';

/** Modes in which a breath is joined to a movement and so is quicker than a held one. */
const MOVING_MODES: ReadonlySet<Mode> = new Set(['dynamic']);

/** Seconds of one unit of a dose (a breath, a repetition, a round ...) at this pace. */
export function secondsPerUnit(dose: DoseRange, mode: Mode, pace: Pace): number {
	switch (dose.unit) {
		case 'seconds':
			return 1;
		case 'counts':
			return pace.countSeconds;
		case 'breaths':
			return MOVING_MODES.has(mode) ? pace.movingBreathSeconds : pace.heldBreathSeconds;
		case 'rounds':
			return (dose.breathsPerRound ?? 2) * pace.movingBreathSeconds;
		case 'repetitions':
			return pace.repetitionSeconds[dose.tempo ?? 'small'];
	}
}

/** Whole seconds that an amount of a dose takes on one side; never less than 1. */
export function doseSeconds(dose: DoseRange, mode: Mode, amount: number, pace: Pace): number {
	return Math.max(1, Math.round(amount * secondsPerUnit(dose, mode, pace)));
}
