/**
 * Movements that a group has met, and how that is known: from classes that were taught, or, where none was ever written
 * down as taught, only from those that were planned.
 */
export interface Known {
	slugs: readonly string[];
	from: 'taught' | 'planned';
}

/** Of nothing planned and nothing taught nobody knows anything. */
export const NOTHING_KNOWN: Known = { slugs: [], from: 'planned' };
