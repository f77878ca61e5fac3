const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/**
 * Returns words as a list: "a, b and c".
 * @example listed(['hip', 'knee', 'back']) // "hip, knee and back"
 */
export const listed = (words: readonly string[]): string => LIST.format(words);

/** Words as they begin a line. */
export const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
