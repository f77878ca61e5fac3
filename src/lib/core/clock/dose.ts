import { isMoving, USUAL_BREATHS_PER_ROUND, type DoseRange, type DoseUnit, type Mode } from '../movement';
import { KINDS, PASSED_THROUGH, type ClassKind, type Pace } from '../pace';
import type { Dose, Hold } from '../plan';

/** As much of the usual amount as says how long one unit takes. */
type UnitOfDose = Pick<DoseRange, 'unit' | 'tempo' | 'breathsPerRound'>;

/** Seconds of one unit of a dose (a breath, a repetition, a round ...) at this pace. */
export function secondsPerUnit({ unit, tempo, breathsPerRound }: UnitOfDose, mode: Mode, pace: Pace): number {
	switch (unit) {
		case 'seconds':
			return pace.timer ? 1 : pace.heldSecond;
		case 'counts':
			return pace.countSeconds;
		case 'breaths':
			return isMoving(mode) ? pace.movingBreathSeconds : pace.heldBreathSeconds;
		case 'rounds':
			return (breathsPerRound ?? USUAL_BREATHS_PER_ROUND) * pace.roundBreathSeconds;
		case 'repetitions':
			return pace.repetitionSeconds[tempo ?? 'small'];
	}
}

/** Seconds of a hold inside a dose. */
const holdSeconds = ({ amount, unit }: Hold, pace: Pace): number =>
	amount * secondsPerUnit({ unit }, 'isometric', pace);

/** How much longer the work is than its doses say; held seconds are not, where a timer is run. */
function workFactor(unit: DoseUnit, pace: Pace, kind: ClassKind): number {
	return unit === 'seconds' && pace.timer ? 1 : KINDS[kind].workFactor;
}

/**
 * Seconds of one more of a dose's amount in one set on one side: with the hold that belongs to each repetition, and
 * both ways where it goes both ways. A round with a hold is the hold and one breath of easing.
 */
export function secondsOfEach(
	dose: Dose,
	counted: UnitOfDose,
	mode: Mode,
	pace: Pace,
	kind: ClassKind = pace.classKind
): number {
	const { unit } = counted;
	const how = dose.byBreath ? 'dynamic' : mode;
	let each = secondsPerUnit(counted, how, pace);
	if (dose.hold && unit === 'repetitions') each += holdSeconds(dose.hold, pace);
	if (dose.hold && unit === 'rounds') each = pace.roundBreathSeconds + holdSeconds(dose.hold, pace);
	return each * (dose.bothWays ? 2 : 1) * workFactor(unit, pace, kind);
}

/** Returns the whole seconds of one set of an amount on one side; at least 1. */
export function setSeconds(
	dose: Dose,
	counted: UnitOfDose,
	mode: Mode,
	amount: number,
	pace: Pace,
	kind: ClassKind = pace.classKind
): number {
	const last = dose.lastHold ? holdSeconds(dose.lastHold, pace) * KINDS[kind].workFactor : 0;
	return Math.max(1, Math.round(amount * secondsOfEach(dose, counted, mode, pace, kind) + last));
}

/**
 * Whole seconds of a shape that is only passed through: a share of the least that would be given of it, which is taken
 * to be two breaths at most; in a flow a share of one breath that is joined to the movement.
 */
export function passedSeconds(
	range: DoseRange,
	mode: Mode,
	inFlow: boolean,
	pace: Pace,
	kind: ClassKind = pace.classKind
): number {
	const most = PASSED_THROUGH.mostBreaths * pace.heldBreathSeconds;
	const least = inFlow
		? pace.movingBreathSeconds
		: Math.min(most, range.min * secondsPerUnit(range, mode, pace));
	return Math.max(1, Math.round(PASSED_THROUGH.doseShare * least * KINDS[kind].workFactor));
}
