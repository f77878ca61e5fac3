import { array, object, string } from 'yup';
import { SAYINGS } from './types';

/** More than any class has. */
export const SCRIPT_LIMITS = { steps: 2000, lines: 60, characters: 600, seconds: 6 * 3600 } as const;

/** A line of a script, and several: what scripts and events have in common. */
export const line = string().max(SCRIPT_LIMITS.characters).defined();
export const lines = array().of(line).max(SCRIPT_LIMITS.lines).defined();

/** Schema of the words said in a step. */
export const sayings = array()
	.of(object({ about: string().oneOf(SAYINGS).required(), words: line }).noUnknown())
	.max(SCRIPT_LIMITS.lines)
	.defined();
