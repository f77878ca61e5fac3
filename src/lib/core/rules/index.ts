/**
 * The amounts that several parts of the core judge by, each defined once, here. An amount that one check or one step of the planner judges by stands beside it. Intensity is that of a form,
 * 1 to 5; effort 0 to 3; seconds are those of a class. What no source is named for is common practice.
 */
import { WORKING_MODES, type Form, type Mode, type Movement } from '../movement';

/** How a form of a movement is given, as far as these rules look. */
type Intensity = Pick<Form, 'intensity'>;

/**
 * Deep: from this intensity on a form takes a joint near the end of its range, so it wants warmth and a preparation
 * before it. Preparations and repairs are chosen from what is less.
 */
export const DEEP_FROM_INTENSITY = 4;

/** The deepest form that there is: after it something undoes it. */
export const DEEPEST_INTENSITY = 5;

/** Calm: at most this intensity, easy enough to arrive in and to let go in. */
export const CALM_UP_TO_INTENSITY = 2;

/** A class has a peak only where something goes at least so far. */
export const PEAK_FROM_INTENSITY = 3;

/** Strong: work of one's own from this intensity on; muscles that have just hung are slow to answer it. */
export const STRONG_FROM_INTENSITY = 3;

/** A passive hold of at least this intensity is a stretch, not a way of lying. */
export const STRETCH_FROM_INTENSITY = 2;

/** From this effort on work counts as strength; lighter work moves and warms. */
export const STRENGTH_FROM_EFFORT = 2;

/**
 * Seconds of moving or active work before the first deep form. That muscles are stretched when warm
 * is from the ACSM position stand, Garber et al., Med Sci Sports Exerc 43:1334 (2011), from memory; the amount is common
 * practice.
 */
export const WARM_AFTER_SECONDS = 180;

/** Work in these modes warms; holds in deep forms do not. */
const WARMING_MODES: ReadonlySet<Mode> = new Set(['dynamic', 'active', 'isometric']);

/**
 * Seconds in all, on one leg, that change a stretched muscle. ACSM position stand, Garber et
 * al., Med Sci Sports Exerc 43:1334 (2011): about 60 s an exercise, from memory.
 */
export const LONG_STRETCH_SECONDS = 60;

/**
 * Seconds of static stretch of one muscle from which performance right after it suffers. Behm et al., Appl Physiol
 * Nutr Metab 41:1 (2016), from memory.
 */
export const COSTS_SPORT_FROM_SECONDS = 60;

/** The longest passive hold of any school, and that of the active school, seconds a side. */
export const LONGEST_HOLD_SECONDS = { any: 300, active: 120 } as const;

/** The difference of lengths that nobody in the room feels. Common practice, no source. */
export const UNFELT_SECONDS = 30;

/** The most sets of one movement that are given where no teacher says more. Common practice, no source. */
export const USUAL_MOST_SETS = 3;

/** A closing rest lasts at least so long. */
export const CLOSING_REST_SECONDS = 60;

/** From this length on a class is a whole one; shorter ones are sets for one thing and need not have everything. */
export const WHOLE_CLASS_FROM_SECONDS = 20 * 60;

/** Brief: work that is over before it was worth explaining. */
export const BRIEF_BELOW_SECONDS = 45;

/** Number of items in the opening of a class, which are calm. */
export const OPENING_ITEMS = 2;

/** Deep: at least {@link DEEP_FROM_INTENSITY}. Example: a form of intensity 4 is deep, one of 3 is not. */
export const isDeep = ({ intensity }: Intensity): boolean => intensity >= DEEP_FROM_INTENSITY;

/** Calm: at most {@link CALM_UP_TO_INTENSITY}. */
export const isCalm = ({ intensity }: Intensity): boolean => intensity <= CALM_UP_TO_INTENSITY;

/** Far enough to be the peak of a class: at least {@link PEAK_FROM_INTENSITY}. */
export const isPeak = ({ intensity }: Intensity): boolean => intensity >= PEAK_FROM_INTENSITY;

/** Heavy: body weight hangs in the end of a range. */
export const isHeavy = (form: Intensity, mode: Mode): boolean => mode === 'passive' && isDeep(form);

/** A passive hold that stretches. */
export const isPassiveStretch = ({ intensity }: Intensity, mode: Mode): boolean =>
	mode === 'passive' && intensity >= STRETCH_FROM_INTENSITY;

/** Strong: the muscles work hard, and far enough that they must be fresh. */
export const isStrong = ({ intensity, effort }: Intensity & { effort: number }, mode: Mode): boolean =>
	countsAsStrength(effort, mode) && intensity >= STRONG_FROM_INTENSITY;

/** Whether an effort in a mode counts as strength. */
export const countsAsStrength = (effort: number, mode: Mode): boolean =>
	WORKING_MODES.has(mode) && effort >= STRENGTH_FROM_EFFORT;

/** Whether work done so counts towards {@link WARM_AFTER_SECONDS}. */
export const isWarming = (form: Intensity, mode: Mode): boolean =>
	mode === 'dynamic' || (WARMING_MODES.has(mode) && !isDeep(form));

/** Lets go between what is heavy; no check judges by it. */
export const isReset = ({ purposes }: Pick<Movement, 'purposes'>): boolean => purposes.includes('reset');

/** Purposes that build and peak of a class of this length should serve; shorter classes in proportion. Common practice, no source. */
const PURPOSES_PER_MINUTE = { most: 3, fullSeconds: 2700 };

/** Returns the number of purposes, out of the given number, that a class should serve; at least one. */
export function purposesWanted(purposes: number, lengthSeconds: number): number {
	const inProportion = Math.floor(
		(PURPOSES_PER_MINUTE.most * lengthSeconds) / PURPOSES_PER_MINUTE.fullSeconds
	);
	return Math.min(purposes, PURPOSES_PER_MINUTE.most, Math.max(1, inProportion));
}
