import type { Caution } from '../cautions';
import type { Position } from '../types';
import { isHeld, type GivenForm } from './given';

/** One thing that provokes a condition: in words, and as a test of a form. */
export interface Provocation {
	words: string;
	provokes: (given: GivenForm) => boolean;
}

/** Something that makes a form fine for a person: when it is needed, and the line that says it. */
export interface CautionAdjustment {
	words: string;
	applies: (given: GivenForm) => boolean;
	line: string;
}

/** A condition that people come with: what a class must not hand them, and what they get instead. */
export interface Condition {
	caution: Caution;
	/** Asked beside the name in lists, where the name alone does not say it. */
	hint?: string;
	provocations: readonly Provocation[];
	/** Needed in forms that provoke nothing. */
	adjustment?: CautionAdjustment;
	/** The line that a teacher reads. */
	advice: string;
	/** Slugs of what is given instead, by position: the first that is no harder than what the room does. */
	instead: (position: Position) => readonly string[];
	/** The published source by name, or "common practice, no source". */
	source: string;
}

/** Stands where no publication is known. */
export const PRACTICE = 'common practice, no source';

/** Spine bent this much forward counts as rounded, degrees. */
export const ROUNDED_FROM_DEG = 20;
/** Shorter efforts than this do not raise the blood pressure for long, seconds. */
export const LONG_EFFORT_SECONDS = 20;

/** Hanging near the end of a range. */
export const PASSIVE_STRETCH: Provocation = {
	words: 'a passive stretch from intensity 3',
	provokes: ({ form, modes }) => modes.includes('passive') && form.intensity >= 3
};
/** Staying at the end of a range, in whatever mode. */
export const DEEP_HELD_STRETCH: Provocation = {
	words: 'a stretch held from intensity 4',
	provokes: (g) => isHeld(g) && g.form.intensity >= 4 && g.legs.some((leg) => leg.lengthens.length > 0)
};
