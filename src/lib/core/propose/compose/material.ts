import { isSymmetrical } from '../../anatomy';
import type { Group } from '../../group';
import { FORM_IDS, formOf, type Form, type Mode, type Movement } from '../../movement';
import type { SectionKind } from '../../plan';
import { isDeep, isPassiveStretch, STRENGTH_FROM_EFFORT } from '../../rules';
import type { TeachingStyle } from '../../style';
import { Kinds, traitsOf, type Traits } from '../model';
import type { Option } from '../options';
import type { ProposeContext, Wishes } from '../types';

/** Something that may be put into a class, with what the search asks of it. */
export interface Matter {
	option: Option;
	traits: Traits;
	/** Parts of the class where it may stand. */
	sections: ReadonlySet<SectionKind>;
	/** Seconds of the whole item at the usual dose, without getting there. */
	seconds: number;
	/** Usually done in so many sets. */
	sets: number;
}

/** Before sport and at lunch a class ends on the feet. */
const UPRIGHT: ReadonlySet<Group['moment']> = new Set(['before sport', 'lunch hour']);
export const endsUpright = (group: Group): boolean => UPRIGHT.has(group.moment);

/** A closing rest takes at least so long. */
const CLOSING = { seconds: 120, breaths: 15 };
const LYING: ReadonlySet<Movement['position']> = new Set(['supine', 'prone', 'sidelying', 'wall-supine']);

/** What belongs into each part of a class, for these people at this moment. Common practice, no source. */
function belongs(
	movement: Movement,
	form: Form,
	mode: Mode,
	group: Group,
	style: TeachingStyle
): Set<SectionKind> {
	const into = new Set<SectionKind>();
	const upright = endsUpright(group);
	const sided = !isSymmetrical(movement.action);
	const standing = movement.position === 'standing';
	const reset = isReset(movement, form, mode);
	const strong = form.effort >= STRENGTH_FROM_EFFORT && mode !== 'passive' && mode !== 'rest';
	const bare = form.props.length === 0;
	const shaken = movement.purposes.includes('reset') && !movement.purposes.includes('rest');
	const arrives = mode === 'rest' || mode === 'passive' || ARRIVES.has(movement.slug);
	if (!sided && bare && form.intensity === 1 && arrives && !movement.onHands && !shaken)
		if (standing ? upright && mode === 'active' : !(upright && LYING.has(movement.position)))
			into.add('settle');
	if (mode === 'dynamic' && form.intensity <= 2 && form.effort < (sided ? STRENGTH_FROM_EFFORT : 3))
		into.add('warm');
	const quiet = style.holding === 'quiet';
	const hangs = mode === 'passive' && !quiet;
	if (reset) {
		into.add('build').add('peak');
		if (!upright || standing) into.add('release');
	} else if (
		mode !== 'rest' &&
		!hangs &&
		form.intensity <= 3 &&
		(form.intensity >= 2 || strong || mode === 'dynamic')
	)
		into.add('build');
	const beginners = group.preset === 'beginners';
	if (strong && form.intensity >= (beginners || quiet ? 2 : 3)) into.add('peak');
	if (upright) {
		if (
			standing &&
			form.intensity <= 2 &&
			form.effort < STRENGTH_FROM_EFFORT &&
			(mode === 'dynamic' || (group.moment === 'lunch hour' && mode !== 'rest'))
		)
			into.add('release');
	} else if (!standing && form.effort < STRENGTH_FROM_EFFORT && mode !== 'rest' && !isDeep(form)) {
		if (form.intensity <= 3 && (mode === 'passive' || mode === 'active' || form.intensity === 1))
			if (!form.props.some(({ kit }) => kit === 'chair')) into.add('release');
	}
	if (
		upright ? group.moment === 'lunch hour' && ENDS_UPRIGHT.has(movement.slug) : closes(movement, form, mode)
	)
		into.add('rest');
	if (movement.slug === 'savasana') return new Set(into.has('rest') ? (['rest'] as const) : []);
	return into;
}

/** What lets go between: shaken, rested in, or rocked. */
const isReset = (movement: Movement, form: Form, mode: Mode) =>
	movement.purposes.includes('reset') && form.intensity === 1 && form.props.length === 0 && mode !== 'active';

/** Sitting and standing upright, in which one arrives as well as in a rest. */
const ARRIVES: ReadonlySet<string> = new Set(['easy-seat', 'mountain', 'kneeling-sit']);

/** Where a lunch hour comes to its end. */
const ENDS_UPRIGHT: ReadonlySet<string> = new Set(['mountain', 'seated-quiet']);

/** Lying on the back in rest, for a while. */
function closes(movement: Movement, { dose, props }: Form, mode: Mode): boolean {
	if (mode !== 'rest' || !isSymmetrical(movement.action)) return false;
	// what lets go between is no end, but for legs on a chair
	if (movement.purposes.includes('reset') && !props.some(({ kit }) => kit === 'chair')) return false;
	if (movement.position !== 'supine' && movement.position !== 'wall-supine') return false;
	return (
		dose.max >= (dose.unit === 'seconds' ? CLOSING.seconds : CLOSING.breaths) &&
		props.every(({ kit }) => kit !== 'block')
	);
}

/** Everything that may be put into a class for these people, with where it belongs. */
export function materialOf(
	options: readonly Option[],
	wishes: Wishes,
	setting: ProposeContext,
	style: TeachingStyle,
	/** Slugs of what is in the class already. */
	there: readonly string[]
): { matters: Matter[]; kinds: Kinds } {
	const { group, find } = setting;
	const kinds = new Kinds(
		[...there, ...options.flatMap(({ item }) => (item ? [item.movement] : []))].map((slug) => find(slug)!)
	);
	const matters = options.flatMap((option): Matter[] => {
		const { item } = option;
		const movement = item && find(item.movement);
		const form = movement && formOf(movement, item!.form);
		if (!item || !movement || !form) return [];
		const most = wishes.upTo?.[movement.slug];
		if (most && FORM_IDS.indexOf(form.id) > FORM_IDS.indexOf(most)) return [];
		// a group that shall meet nothing new meets nothing new
		if (wishes.mostNew === 0 && option.isNew && !wishes.must?.includes(movement.slug)) return [];
		if (group.moment === 'before sport' && isPassiveStretch(form, item.mode)) return [];
		const sections = belongs(movement, form, item.mode, group, style);
		// what is asked for by name has a place, also where it would not usually be given
		if (wishes.toward === movement.slug) sections.add('peak');
		if (sections.size === 0 && wishes.must?.includes(movement.slug)) sections.add('build');
		return [
			{
				option,
				traits: traitsOf(movement, form, item.mode, kinds),
				sections,
				seconds: option.workSeconds[option.usual]! + option.aroundSeconds,
				sets: movement.sets?.usual ?? 1
			}
		];
	});
	return { matters, kinds };
}
