import { memoize } from '../movement';

/**
 * Movements that a group has met, and how that is known: from classes that were taught, or, where none was ever written
 * down as taught, only from those that were planned.
 */
export interface FamiliarMovements {
	slugs: readonly string[];
	from: 'taught' | 'planned';
}

/** The default where no class is planned or recorded. */
export const NOTHING_KNOWN: FamiliarMovements = { slugs: [], from: 'planned' };

/** The slugs as a set: searching asks for each movement anew. */
export const slugsOfKnown = memoize((known: FamiliarMovements): ReadonlySet<string> => new Set(known.slugs));
