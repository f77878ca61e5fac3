import { number, type NumberSchema } from 'yup';

/** A whole number within limits, both included; `mayBeEmpty` lets null stand for none given. */
export function wholeNumber(
	least: number,
	most: number,
	mayBeEmpty = false
): NumberSchema<number | null | undefined> {
	const words = `${least} to ${most}`;
	const whole = number().typeError(words).integer(words).min(least, words).max(most, words);
	return mayBeEmpty ? whole.nullable() : whole.nonNullable(words).required(words);
}
