import type { Tissue } from '$lib/core/anatomy';
import type { Position } from '$lib/core/movement';
import type { Renewal } from '$lib/core/plan';
import { USUAL_WEIGHTS, type Weights, type Wishes } from '$lib/core/propose';

/** Wishes for a proposal, as the fields of the form hold them. */
export interface WishFields {
	/** Slugs; empty for nothing in particular. */
	toward: string;
	must: string;
	never: string;
	lengthen: Tissue[];
	without: Position[];
	/** The share (0-1) of the last class that shall come again; 0 for as it comes. */
	likeShare: number;
	/** Most movements that the group has never met; null for any number. */
	mostNew: number | null;
	weights: Weights;
	renew: Renewal;
}

export const noWishes = (): WishFields => ({
	toward: '',
	must: '',
	never: '',
	lengthen: [],
	without: [],
	likeShare: 0,
	mostNew: null,
	weights: { ...USUAL_WEIGHTS },
	renew: 'nothing'
});

/** The wishes of a form. `lastMovements`: slugs of the class before this one. */
export function wishesOf(fields: WishFields, lastMovements: readonly string[]): Wishes {
	const { toward, must, never, lengthen, without, likeShare, mostNew, weights } = fields;
	return {
		weights: { ...weights },
		without: [...without],
		...(toward ? { toward } : {}),
		...(must ? { must: [must] } : {}),
		...(never ? { never: [never] } : {}),
		...(lengthen.length ? { lengthen: [...lengthen] } : {}),
		...(likeShare ? { like: { movements: lastMovements, share: likeShare } } : {}),
		...(mostNew === null ? {} : { mostNew })
	};
}

/** How many of the wishes that are folded away are set. */
export function furtherWishes({ lengthen, without, likeShare, mostNew, weights }: WishFields): number {
	const keys = Object.keys(weights) as (keyof Weights)[];
	const weighed = keys.filter((key) => weights[key] !== USUAL_WEIGHTS[key]).length;
	return lengthen.length + without.length + Number(likeShare > 0) + Number(mostNew !== null) + weighed;
}
