import type { FindMovement, Movement } from './types';

/** Movements that a teacher can choose, and movements that a plan may name. */
export interface CatalogueView {
	/** All that may be added and proposed: without what the studio left out. */
	offered: readonly Movement[];
	/** Everything of the catalogue and of the studio's own, left out or not. */
	all: readonly Movement[];
	find: FindMovement;
}

/**
 * Puts a catalogue together. `kept` are movements as a plan was made with them; they go before today's of the same
 * slug when something is looked up, and are never offered.
 */
export function catalogueView(
	catalogue: readonly Movement[],
	own: readonly Movement[] = [],
	leftOut: readonly string[] = [],
	kept: readonly Movement[] = []
): CatalogueView {
	const all = own.length ? [...catalogue, ...own] : catalogue;
	const bySlug = new Map([...all, ...kept].map((movement) => [movement.slug, movement]));
	return {
		all,
		offered: leftOut.length ? all.filter((movement) => !leftOut.includes(movement.slug)) : all,
		find: (slug) => bySlug.get(slug)
	};
}
