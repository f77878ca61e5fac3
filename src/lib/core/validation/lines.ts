import { string, type StringSchema } from 'yup';

/**
 * Characters that no text needs and that would break it where it is written down elsewhere (a calendar file, a file name,
 * a log): control characters but for tab and line breaks, line and paragraph separators, and the marks that turn the
 * direction of writing round, and halves of characters. As the inside of a class of a regular expression.
 */
const NEVER =
	'\\u0000-\\u0008\\u000b\\u000c\\u000e-\\u001f\\u007f-\\u009f\\u2028\\u2029\\u202a-\\u202e\\u2066-\\u2069\\ud800-\\udfff';
const BREAKS = '\\t\\n\\r';

/** Patterns of what such texts may be, to be read by characters (flag u), also for JSON Schemas. */
export const LINE_PATTERN = `^[^${NEVER}${BREAKS}]*$`;
export const LINES_PATTERN = `^[^${NEVER}]*$`;

const LINE = new RegExp(LINE_PATTERN, 'u');
const LINES = new RegExp(LINES_PATTERN, 'u');
const UNFIT = new RegExp(`[${NEVER}${BREAKS}]+`, 'gu');

/** Schema of a text of one line with at most `most` characters; `empty` is the message for a blank one, where it must not be. */
export function oneLine(most: number, empty?: string): StringSchema<string> {
	const line = string()
		.defined()
		.max(most, `\${path} must be at most ${most} characters`)
		.matches(LINE, '${path} must be one line without control characters');
	return empty === undefined ? line : line.matches(/\S/, { message: empty, excludeEmptyString: true });
}

/** Schema of a text of several lines with at most `most` characters. */
export function textOfLines(most: number): StringSchema<string> {
	return string()
		.defined()
		.max(most, `\${path} must be at most ${most} characters`)
		.matches(LINES, '${path} must not hold control characters');
}

/** Any text as one line: what does not fit into one becomes a blank. For what was stored before the rule. */
export function asOneLine(text: string): string {
	return text.replace(UNFIT, ' ');
}

/** A time of day as "HH:MM", from 00:00 to 23:59. */
export const timeOfDay = (): StringSchema<string> =>
	string()
		.matches(/^([01]\d|2[0-3]):[0-5]\d$/, '${path} must be a time such as 18:30')
		.required();
