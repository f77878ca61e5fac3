import {
	doseRange,
	amountTaking,
	formOf,
	usualForm,
	type DoseRange,
	type DoseUnit,
	type Form,
	type HoldUnit,
	type Mode,
	type Movement
} from '../movement';
import { isDeep, LONGEST_HOLD_SECONDS } from '../rules';
import { QUESTION_IDS, QUESTIONS, type QuestionId, type SchoolId } from './questions';

/** Choices of a teacher; a question without a choice has its first school. */
export type StyleChoices = { [Q in QuestionId]?: SchoolId<Q> };
export type TeachingStyle = { [Q in QuestionId]: SchoolId<Q> };

/** The first school of every question. */
const FIRST_SCHOOLS = Object.fromEntries(
	QUESTION_IDS.map((id) => [id, QUESTIONS[id].schools[0].id])
) as TeachingStyle;

/** A whole style: what was chosen, and the first school of every other question. */
export function styleOf(choices: StyleChoices = {}): TeachingStyle {
	return { ...FIRST_SCHOOLS, ...choices };
}

/** Usual passive hold of the quiet school, seconds (common practice). */
const QUIET_USUAL_SECONDS = 180;

const isPassiveHold = (mode: Mode, dose: DoseRange) =>
	mode === 'passive' && (dose.unit === 'breaths' || dose.unit === 'seconds');

const inUnit = (seconds: number, dose: DoseRange) =>
	dose.unit === 'breaths' ? amountTaking(seconds, dose, 'passive') : seconds;

/** The limits that hold in every school: those of the catalogue, wide enough for the quiet one. */
export function widestRange(form: Form, mode: Mode, unit?: DoseUnit): DoseRange {
	return quietRange(doseRange(form, mode, unit), form, mode);
}

/** In a deep form no school lets go for minutes. */
function quietRange(dose: DoseRange, form: Form, mode: Mode): DoseRange {
	if (!isPassiveHold(mode, dose) || isDeep(form)) return dose;
	return { ...dose, max: Math.max(dose.max, inUnit(LONGEST_HOLD_SECONDS.any, dose)) };
}

/** The dose of a form as this style gives it: usual amount and limits, in the unit asked for. */
export function styledRange(style: TeachingStyle, form: Form, mode: Mode, unit?: DoseUnit): DoseRange {
	const dose = doseRange(form, mode, unit);
	if (style.holding === 'as listed' || !isPassiveHold(mode, dose)) return dose;
	if (style.holding === 'quiet') {
		const wide = quietRange(dose, form, mode);
		return wide === dose
			? dose
			: { ...wide, usual: Math.max(dose.usual, Math.min(wide.max, inUnit(QUIET_USUAL_SECONDS, dose))) };
	}
	const most = inUnit(LONGEST_HOLD_SECONDS.active, dose);
	if (dose.max <= most) return dose;
	return {
		...dose,
		min: Math.min(dose.min, most),
		usual: Math.min(dose.usual, most),
		max: most
	};
}

/** The unit in which this style counts a new hold; undefined: as the catalogue has it. */
export function holdUnit(style: TeachingStyle, form: Form, mode: Mode): HoldUnit | undefined {
	if (style.counting === 'as listed' || mode === 'rest') return undefined;
	const own = doseRange(form, mode);
	if (own.unit === style.counting || (own.unit !== 'breaths' && own.unit !== 'seconds')) return undefined;
	return style.counting;
}

/** The form that is offered first: the supported one for those who build with props, and in pigeon with the heel in. */
export function firstForm(style: TeachingStyle, movement: Movement): Form {
	const gentle =
		style.supports === 'from the start' ||
		(style.pigeonShin === 'heel in' && movement.families.includes('pigeon'));
	return (gentle && formOf(movement, 'supported')) || usualForm(movement);
}
