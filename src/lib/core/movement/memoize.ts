import type { Movement } from './types';

/**
 * A store for what is costly to work out and depends on a movement (and a key) alone. It lives as long as the movement's
 * object does; the same input gives the same result, so nobody sees that it is kept.
 */
export function memoizeBy<T>(): (movement: Movement, key: string, make: () => T) => T {
	const kept = new WeakMap<Movement, Map<string, T>>();
	return (movement, key, make) => {
		const ofMovement = kept.get(movement) ?? new Map<string, T>();
		kept.set(movement, ofMovement);
		const known = ofMovement.get(key);
		if (known !== undefined) return known;
		const made = make();
		ofMovement.set(key, made);
		return made;
	};
}
