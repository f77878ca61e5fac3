import { isSymmetrical } from '../../anatomy';
import type { WorkBounds } from '../../fit';
import type { SectionKind } from '../../plan';
import { countsAsStrength, isReset } from '../../rules';
import type { FormInMode } from './roles';

/**
 * How long one item of each role lasts, in seconds, without and with a change of sides. Common practice, no source. What
 * wakes or fills is over before it is dull; what the class is for has time to work.
 */
const ROLES = {
	waking: { once: [30, 75], sided: [40, 85] },
	reset: { once: [10, 45], sided: [20, 60] },
	filler: { once: [20, 60], sided: [40, 80] },
	work: { once: [30, 180], sided: [50, 200] },
	peak: { once: [40, 240], sided: [80, 300] },
	hold: { once: [40, 240], sided: [60, 260] },
	link: { once: [10, 60], sided: [30, 90] }
} as const;

/** One movement takes no more than this part of a class, except rest. */
export const MOST_OF_CLASS = 1 / 7;

/** Whether something only moves: shallow, and without work. */
export const isFiller = ({ form: { intensity, effort }, mode }: FormInMode): boolean =>
	mode === 'dynamic' && intensity <= 2 && effort <= 1;

function roleOf(given: FormInMode, kind: SectionKind, linked: boolean): keyof typeof ROLES {
	if (linked) return 'link';
	if (kind === 'warm') return 'waking';
	if (isReset(given.movement) && given.form.intensity === 1) return 'reset';
	if (isFiller(given)) return 'filler';
	if (kind === 'peak' && countsAsStrength(given.form.effort, given.mode)) return 'peak';
	return given.mode === 'passive' || given.mode === 'press-and-ease' ? 'hold' : 'work';
}

/**
 * Returns how long an item may last in a part of a class; null where its role sets no limit: arriving and closing.
 * @param linked whether it is a part of a chain
 */
export function workBounds(
	given: FormInMode,
	kind: SectionKind,
	classSeconds: number,
	linked = false
): WorkBounds | null {
	if (kind === 'settle' || kind === 'rest') return null;
	if (given.mode === 'rest' && !isReset(given.movement)) return null;
	const [least, most] =
		ROLES[roleOf(given, kind, linked)][isSymmetrical(given.movement.action) ? 'once' : 'sided'];
	const cap = MOST_OF_CLASS * classSeconds;
	return { leastSeconds: Math.min(least, cap), mostSeconds: Math.min(most, cap) };
}
