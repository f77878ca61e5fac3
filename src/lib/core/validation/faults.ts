import { ValidationError, type Schema } from 'yup';

/** A fault in outside input, with its place: `path` as in `sections[2].blocks[0].dose`. */
export interface Fault {
	path: string;
	message: string;
}

/** More parts (values, at any depth) than any document but a series and a script has; a class of 300 items has some 6000. */
const MOST_PARTS = 20_000;

/** Returns whether a value has more than `most` parts, itself and everything in it; it stops counting there. */
export function hasMoreParts(value: unknown, most: number): boolean {
	const open: unknown[] = [value];
	for (let seen = 1; open.length > 0;) {
		const next = open.pop();
		if (typeof next !== 'object' || next === null) continue;
		const parts = Object.values(next);
		seen += parts.length;
		if (seen > most) return true;
		for (const part of parts) open.push(part);
	}
	return false;
}

/**
 * Validates any value by a Yup schema and turns the errors into faults. What is larger than any document is not looked at
 * part by part: that would take seconds.
 */
export function schemaFaults(schema: Schema, value: unknown, mostParts = MOST_PARTS): Fault[] {
	if (value === undefined) return [{ path: '', message: 'is missing' }];
	if (hasMoreParts(value, mostParts))
		return [{ path: '', message: `this is too large: it has more than ${mostParts} parts` }];
	try {
		schema.validateSync(value, { abortEarly: false, strict: true });
		return [];
	} catch (error) {
		if (!(error instanceof ValidationError)) throw error;
		const all = error.inner.length ? error.inner : [error];
		return all.map((e) => ({ path: e.path ?? '', message: e.message.replace(/\s+/g, ' ').slice(0, 300) }));
	}
}

/** The faults of a part, with the part's place in front of theirs. */
export const inside = (path: string, faults: readonly Fault[]): Fault[] =>
	faults.map((fault) => ({ ...fault, path: [path, fault.path].filter(Boolean).join('.') }));
