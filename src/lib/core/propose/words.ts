/** Words one after another, as they are said: "a, b and c". */
export const listed = (words: readonly string[]): string =>
	words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Words as they begin a line. */
export const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
