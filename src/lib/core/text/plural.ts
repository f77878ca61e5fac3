const RULES = new Intl.PluralRules('en-GB');

/** Returns the word that goes with a count: `one` for 1, else `other` (by default `one` with an s). */
export const plural = (count: number, one: string, other = `${one}s`): string =>
	RULES.select(count) === 'one' ? one : other;

/**
 * Returns a count with its word: "1 class", "3 classes".
 * @example counted(1, 'class', 'classes') // "1 class"
 * @example counted(3, 'class', 'classes') // "3 classes"
 */
export const counted = (count: number, one: string, other?: string): string =>
	`${count} ${plural(count, one, other)}`;
