import type { Movement } from './types';

/**
 * A store for what is costly to work out and depends on a movement (and a key) alone. It lives as long as the movement's
 * object does; the same input gives the same result, so the cache is transparent.
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

/**
 * A function that keeps what it has worked out, for as long as the objects that it was worked out from live. They are
 * never changed in place, so the cache is transparent.
 */
export function memoize<K extends readonly object[], T>(make: (...keys: K) => T): (...keys: K) => T {
	const first = new WeakMap<object, unknown>();
	return (...keys) => {
		let level = first;
		for (const key of keys.slice(0, -1)) {
			if (!level.has(key)) level.set(key, new WeakMap());
			level = level.get(key) as WeakMap<object, unknown>;
		}
		const last = keys.at(-1)!;
		if (!level.has(last)) level.set(last, make(...keys));
		return level.get(last) as T;
	};
}
