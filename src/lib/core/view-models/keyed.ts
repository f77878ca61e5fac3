/** An entry of a list with a key that no other entry of the list has. */
export interface Keyed<T> {
	key: string;
	value: T;
}

/**
 * Entries with keys that stay with them while the list changes round them: the words that tell an entry, and where the
 * same words come again, which time it is.
 */
export function keyed<T>(entries: readonly T[], wordsOf: (entry: T) => string): Keyed<T>[] {
	const times = new Map<string, number>();
	return entries.map((value) => {
		const words = wordsOf(value);
		const time = (times.get(words) ?? 0) + 1;
		times.set(words, time);
		return { key: `${time} ${words}`, value };
	});
}
