import { ValidationError, type Schema } from 'yup';

/** What is wrong in something given from outside, and where: `path` as in `sections[2].blocks[0].dose`. */
export interface Fault {
	path: string;
	message: string;
}

/** Validates any value by a Yup schema and turns the errors into faults. */
export function schemaFaults(schema: Schema, value: unknown): Fault[] {
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
