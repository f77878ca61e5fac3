import type { AnyObject, TestFunction } from 'yup';

/**
 * A test for an array whose entries may each come once: `tellsApart` gives what makes two the same, as JSON values of any
 * kind (the entries may be anything yet). The error names the second one by its place.
 */
export function eachOnce<T>(
	tellsApart: (entry: T) => unknown,
	message: string
): TestFunction<T[] | null | undefined, AnyObject> {
	return (entries, context) => {
		if (!Array.isArray(entries)) return true;
		const seen = new Set<string>();
		for (const [i, entry] of entries.entries()) {
			if (entry === null || entry === undefined) continue;
			const key = JSON.stringify(tellsApart(entry)) ?? '';
			if (seen.has(key)) {
				const path = `${context.path}[${i}]`;
				return context.createError({ path, message: `${path}: ${message}` });
			}
			seen.add(key);
		}
		return true;
	};
}

/** Whether a word is also a property of every object: as an id it would be found where nothing was put. */
export const isPropertyOfAll = (key: string): boolean => key in Object.prototype;
