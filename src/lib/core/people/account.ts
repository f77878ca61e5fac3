import { object, string } from 'yup';
import { oneLine } from '../validation';

export const signInSchema = object({
	email: string().required('Enter your e-mail').max(254, 'At most 254 characters'),
	password: string().required('Enter your password').max(128, 'At most 128 characters')
});

export const LEAST_PASSWORD_CHARACTERS = 10;
/** Fewer different characters than this are a key held down. Common practice, no source. */
const LEAST_DIFFERENT = 5;

/** A password, but for what only the server knows: which ones are guessed first. */
export const passwordSchema = string()
	.required('Enter a password')
	.min(LEAST_PASSWORD_CHARACTERS, `At least ${LEAST_PASSWORD_CHARACTERS} characters`)
	.max(128, 'At most 128 characters')
	.test(
		'varied',
		'This is too easy to guess: use more different characters',
		(password) => new Set(password?.replace(/\s/g, '')).size >= LEAST_DIFFERENT
	);

/** A new account. */
export const accountSchema = object({
	name: oneLine(120, 'Enter your name').required('Enter your name'),
	email: string()
		.required('Enter your e-mail')
		.email('This is not an e-mail address')
		.max(254, 'At most 254 characters'),
	password: passwordSchema
});
