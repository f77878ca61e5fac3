import { modesOf, type Form, type Mode, type Movement } from '../movement';
import { CALM_UP_TO_INTENSITY, isCalm, isDeep, isPeak, STRENGTH_FROM_EFFORT } from '../rules';
import { SECTION_KINDS, type SectionKind } from '../plan';

/** How much of a class each part usually takes. Common practice, no source. */
export const SECTION_SHARE: Record<SectionKind, number> = {
	settle: 0.06,
	warm: 0.18,
	build: 0.34,
	peak: 0.16,
	release: 0.16,
	rest: 0.1
};

/** A form of a movement in one of its modes. */
interface FormInMode {
	movement: Movement;
	form: Form;
	mode: Mode;
}

/** From these on a rest is long enough to close a class with. */
const CLOSING = { seconds: 120, breaths: 15 };

/** Something that is nothing but rest, and can be rested in for a while. */
const closes = ({ movement, form }: FormInMode) =>
	modesOf(movement, form).every((mode) => mode === 'rest') &&
	form.dose.max >= (form.dose.unit === 'seconds' ? CLOSING.seconds : CLOSING.breaths);

/** A class closes with it and with nothing after it. */
const CLOSES_ONLY: ReadonlySet<string> = new Set(['savasana']);

/** What belongs into each part, by how it is done and how far it goes. Common practice, no source. */
const BELONGS: Record<SectionKind, (given: FormInMode) => boolean> = {
	settle: ({ movement, form, mode }) =>
		form.intensity === 1 &&
		movement.position !== 'standing' &&
		(mode === 'rest' || mode === 'passive' || mode === 'active'),
	warm: ({ form, mode }) => isCalm(form) && (mode === 'dynamic' || mode === 'active'),
	build: ({ form, mode }) => mode !== 'rest' && form.intensity >= CALM_UP_TO_INTENSITY && !isDeep(form),
	peak: ({ form, mode }) => mode !== 'rest' && isPeak(form),
	// down from the feet and from the chair, and nothing that asks for strength
	release: ({ movement, form, mode }) =>
		isCalm(form) &&
		form.effort < STRENGTH_FROM_EFFORT &&
		movement.position !== 'standing' &&
		!form.props.some((prop) => prop.kit === 'chair') &&
		mode !== 'isometric' &&
		mode !== 'rest',
	rest: closes
};

/** The parts of a class in which a movement may stand in one of its forms and modes. */
export function mayStandIn(movement: Movement, form: Form, mode: Mode): ReadonlySet<SectionKind> {
	if (CLOSES_ONLY.has(movement.slug)) return new Set(['rest']);
	return new Set(SECTION_KINDS.filter((kind) => BELONGS[kind]({ movement, form, mode })));
}
