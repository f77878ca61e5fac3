import { ValidationError, type Schema } from 'yup';

/** The first error of each field of a form, or null when there is none. */
export function formErrors(schema: Schema, values: unknown): Record<string, string> | null {
	try {
		schema.validateSync(values, { abortEarly: false });
		return null;
	} catch (error) {
		if (!(error instanceof ValidationError)) throw error;
		const errors: Record<string, string> = {};
		for (const { path, message } of error.inner) if (path) errors[path] ??= message;
		return errors;
	}
}

/** Returns the error of one field of a form, given all fields; empty where there is none. */
export const fieldError = (schema: Schema, values: unknown, field: string): string =>
	formErrors(schema, values)?.[field] ?? '';
