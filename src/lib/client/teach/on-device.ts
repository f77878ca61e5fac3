import { CATALOGUE } from '$lib/catalogue';
import { prepare, swapsFor, type SwapChoice, type TeachPack } from '$lib/core/teach';
import type { Here } from '$lib/core/people';

/*
 * What a device works out by itself from a class that lies on it. The catalogue comes with this module: it is loaded
 * when somebody counts or swaps, and the service worker keeps it.
 */

/** The same class for the people who are here. */
export const prepareHere = (pack: TeachPack, here: Here | undefined): TeachPack =>
	pack.source ? { ...pack, ...prepare(pack.source, here, CATALOGUE) } : pack;

/** What could be given in place of an item. */
export const swapsHere = (pack: TeachPack, here: Here | undefined, itemId: string): SwapChoice[] =>
	pack.source ? swapsFor(pack.source, here, itemId, CATALOGUE) : [];
