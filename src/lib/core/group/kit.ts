import { KIT_KINDS, type KitKind } from '../movement';

/** Pieces of kit by their kind; a kind that is not named is not there. */
export type Kit = Partial<Record<KitKind, number>>;

/** The most pieces of one kind. */
export const MOST_PIECES = 2000;
/** The most pieces of one kind that a person brings. */
export const MOST_PIECES_EACH = 20;

/** Kit of a new studio until it is counted: for ten people (common practice, no source). */
export const USUAL_KIT: Readonly<Kit> = { block: 20, blanket: 10, strap: 10 };

/** "1 block", "24 blocks"; wall space has no plural. */
export function kitName(kit: KitKind, count: number): string {
	return count === 1 || kit === 'wall space' ? kit : `${kit}s`;
}

/** "20 blocks, 10 blankets, 10 straps"; "none" when there is nothing. */
export const kitWords = (kit: Readonly<Kit>): string =>
	KIT_KINDS.filter((kind) => kit[kind])
		.map((kind) => `${kit[kind]} ${kitName(kind, kit[kind]!)}`)
		.join(', ') || 'none';
