/** Keys in order, so that the same content has the same text however it was put together. */
function ordered(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(ordered);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value)
			.filter(([, v]) => v !== undefined)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([key, v]) => [key, ordered(v)])
	);
}

/** A document as text: two have the same text when they say the same, in whatever order their keys stand. */
export const contentText = (document: unknown): string => JSON.stringify(ordered(document));
