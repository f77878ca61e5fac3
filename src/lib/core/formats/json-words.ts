import { LINE_PATTERN, LINES_PATTERN } from '../validation';

/** Small words for writing JSON Schemas down. */
export type Json = Record<string, unknown>;

/** An object that has exactly these fields; those in `optional` may be left out. */
export function closed(properties: Record<string, Json>, optional: string[] = []): Json {
	return {
		type: 'object',
		properties,
		required: Object.keys(properties).filter((key) => !optional.includes(key)),
		additionalProperties: false
	};
}
export const whole = (minimum: number, maximum: number): Json => ({ type: 'integer', minimum, maximum });
export const line = (maxLength: number): Json => ({ type: 'string', maxLength, pattern: LINE_PATTERN });
export const text = (maxLength: number): Json => ({ type: 'string', maxLength, pattern: LINES_PATTERN });
export const oneOf = (values: readonly string[]): Json => ({ enum: values });
