import { isSymmetrical } from '../../anatomy';
import type { Group } from '../../group';
import type { Form, Mode, Movement } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import { countsAsStrength, isDeep, isReset, STRENGTH_FROM_EFFORT } from '../../rules';
import type { TeachingStyle } from '../../style';

/** A form of a movement in one of its modes. */
export interface FormInMode {
	movement: Movement;
	form: Form;
	mode: Mode;
}

/** Before sport and at lunch a class ends on the feet. */
const UPRIGHT: ReadonlySet<Group['moment']> = new Set(['before sport', 'lunch hour']);
/** Whether the class ends upright, since its group goes on to something. */
export const endsUpright = ({ moment }: Pick<Group, 'moment'>): boolean => UPRIGHT.has(moment);

/** Sitting and standing upright, in which one arrives as well as in a rest. */
const ARRIVES: ReadonlySet<string> = new Set(['easy-seat', 'mountain', 'kneeling-sit']);
/** Where a lunch hour comes to its end. */
const ENDS_UPRIGHT: ReadonlySet<string> = new Set(['mountain', 'seated-quiet']);
/** A class closes with it and with nothing after it. */
const CLOSES_ONLY: ReadonlySet<string> = new Set(['savasana']);
/** From these on a rest is long enough to close a class with. */
const CLOSING = { seconds: 120, breaths: 15 };
const LYING: ReadonlySet<Movement['position']> = new Set(['supine', 'prone', 'sidelying', 'wall-supine']);

const hasSides = ({ action }: Movement) => !isSymmetrical(action);
const needsChair = ({ props }: Form) => props.some(({ kit }) => kit === 'chair');

/** True for resets between demanding blocks: shaking, resting or rocking. */
const letsGo = ({ movement, form, mode }: FormInMode) =>
	isReset(movement) && form.intensity === 1 && form.props.length === 0 && mode !== 'active';

/** Whether a movement suits a section of a class, for these people and this teacher. Common practice, no source. */
const BELONGS: Record<SectionKind, (given: FormInMode, group: Group, style: TeachingStyle) => boolean> = {
	// still, without kit and without a change of sides; not down where the class stays up
	settle: ({ movement, form, mode }, group) => {
		const still = mode === 'rest' || mode === 'passive' || ARRIVES.has(movement.slug);
		const shaken = isReset(movement) && !movement.purposes.includes('rest') && !ARRIVES.has(movement.slug);
		if (!still || shaken || hasSides(movement) || movement.onHands) return false;
		if (form.intensity > 1 || form.props.some(({ kit }) => kit !== 'chair')) return false;
		if (movement.position === 'standing') return mode === 'active';
		if (needsChair(form)) return movement.position === 'seated';
		return !(group.moment === 'before sport' && LYING.has(movement.position));
	},
	warm: ({ movement, form, mode }) =>
		mode === 'dynamic' &&
		form.intensity <= 2 &&
		form.effort < (hasSides(movement) ? STRENGTH_FROM_EFFORT : STRENGTH_FROM_EFFORT + 1),
	build: (given, _group, { holding }) => {
		if (letsGo(given)) return true;
		const { form, mode } = given;
		if (mode === 'rest' || (mode === 'passive' && holding !== 'quiet') || form.intensity > 3) return false;
		return (
			form.intensity === 3 ||
			form.intensity === 2 ||
			mode === 'dynamic' ||
			countsAsStrength(form.effort, mode)
		);
	},
	peak: (given, { preset }, { holding }) => {
		if (letsGo(given)) return true;
		const { form, mode } = given;
		const least = preset === 'beginners' || holding === 'quiet' ? 2 : 3;
		return countsAsStrength(form.effort, mode) && form.intensity >= least;
	},
	// down from the feet and from the chair, or on the feet and light where people go on; nothing that asks for strength
	release: (given, group) => {
		const { movement, form, mode } = given;
		const standing = movement.position === 'standing';
		const upright = endsUpright(group);
		if (letsGo(given) && (!upright || (standing && mode !== 'rest'))) return true;
		if (form.effort >= STRENGTH_FROM_EFFORT || mode === 'rest') return false;
		if (upright)
			return (
				(standing || (needsChair(form) && group.moment === 'lunch hour')) &&
				form.intensity <= 2 &&
				(mode === 'dynamic' || group.moment === 'lunch hour')
			);
		if (standing || isDeep(form) || needsChair(form)) return false;
		return mode === 'passive' || mode === 'active' || form.intensity === 1;
	},
	rest: (given, group) =>
		endsUpright(group)
			? group.moment === 'lunch hour' && ENDS_UPRIGHT.has(given.movement.slug)
			: closes(given)
};

/** Lying on the back in rest, for a while. */
function closes({ movement, form, mode }: FormInMode): boolean {
	if (mode !== 'rest' || hasSides(movement)) return false;
	// a reset is no end, except legs on a chair
	if (isReset(movement) && !needsChair(form)) return false;
	if (movement.position !== 'supine' && movement.position !== 'wall-supine') return false;
	const least = form.dose.unit === 'seconds' ? CLOSING.seconds : CLOSING.breaths;
	return form.dose.max >= least && form.props.every(({ kit }) => kit !== 'block');
}

/** The parts of a class in which a movement may stand in one of its forms and modes. */
export function mayStandIn(given: FormInMode, group: Group, style: TeachingStyle): ReadonlySet<SectionKind> {
	const kinds = SECTION_KINDS.filter((kind) => BELONGS[kind](given, group, style));
	return new Set(CLOSES_ONLY.has(given.movement.slug) ? kinds.filter((kind) => kind === 'rest') : kinds);
}
