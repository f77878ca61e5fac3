/**
 * Movements that a group has met, and how that is known: from classes that were taught, or, where none was ever written
 * down as taught, only from those that were planned.
 */
export interface FamiliarMovements {
	slugs: readonly string[];
	from: 'taught' | 'planned';
}

/** Of nothing planned and nothing taught nobody knows anything. */
export const NOTHING_KNOWN: FamiliarMovements = { slugs: [], from: 'planned' };

const slugSets = new WeakMap<FamiliarMovements, ReadonlySet<string>>();

/** The slugs as a set, made once while the value lives: searching asks for each movement anew. */
export function slugsOfKnown(known: FamiliarMovements): ReadonlySet<string> {
	let slugs = slugSets.get(known);
	if (!slugs) slugSets.set(known, (slugs = new Set(known.slugs)));
	return slugs;
}
