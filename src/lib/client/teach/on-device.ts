import { CATALOGUE } from '$lib/catalogue';
import { prepare, swapsFor, type SwapChoice, type TeachPack } from '$lib/core/teach';
import type { Attendance } from '$lib/core/people';

/*
 * Computes on the device from a class that is stored on it. The catalogue comes with this module: it is loaded when the
 * teacher counts or swaps, and the service worker keeps it.
 */

/** The same class for the people who are here. */
export const prepareHere = (pack: TeachPack, here: Attendance | undefined): TeachPack =>
	pack.source ? { ...pack, ...prepare(pack.source, here, CATALOGUE) } : pack;

/** Returns the possible replacements of an item. */
export const swapsHere = (pack: TeachPack, here: Attendance | undefined, itemId: string): SwapChoice[] =>
	pack.source ? swapsFor(pack.source, here, itemId, CATALOGUE) : [];
