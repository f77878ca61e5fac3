import { kitName } from '../group';
import type { Form, Movement } from '../movement';
import type { KitUse } from '../plan';
import type { Saying } from './types';

/** Returns the words that bring people into a shape the first time. */
export const sayToGetIn = ({ setUp }: Movement, { how }: Form): Saying[] => [
	{ about: 'set-up', words: setUp },
	{ about: 'form', words: how }
];

/** Returns the words for the hold or movement, with the way out last. */
export function sayAtWork({ breath, felt, watch, leave }: Movement, note?: string): Saying[] {
	return [
		...(breath ? [{ about: 'breath', words: `In: ${breath.in}. Out: ${breath.out}.` } as const] : []),
		...(felt ? [{ about: 'felt', words: felt } as const] : []),
		{ about: 'watch', words: watch },
		...(note ? [{ about: 'note', words: note } as const] : []),
		{ about: 'leave', words: leave }
	];
}

/** Returns the kit of a form and the kit uses of the item, one line each. */
export function kitLines({ props }: Form, uses: readonly KitUse[] = []): string[] {
	const own = props.map(({ kit, count, place }) =>
		kit === 'wall space' ? `the wall, ${place}` : `${count} ${kitName(kit, count)}, ${place}`
	);
	const brought = uses
		.filter(({ kit }) => !props.some((prop) => prop.kit === kit))
		.map(({ kit, for: whom }) => `${kit}: ${whom}`);
	return [...own, ...brought];
}
