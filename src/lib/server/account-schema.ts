import { dictionary } from '@zxcvbn-ts/language-common';
import { object, string } from 'yup';
import { oneLine } from '../core/validation';

export const signInSchema = object({
	email: string().required('Your e-mail, please').max(254),
	password: string().required('Your password, please').max(128)
});

const LEAST_CHARACTERS = 10;
/** Fewer different characters than this are a key held down. Common practice, no source. */
const LEAST_DIFFERENT = 5;
const COMMON = new Set<string | number>(dictionary['passwords-common'] as (string | number)[]);

export const signUpSchema = object({
	name: oneLine(120, 'Your name, please').required('Your name, please'),
	email: string().required('Your e-mail, please').email('This is not an e-mail address').max(254),
	password: string()
		.required('A password, please')
		.min(LEAST_CHARACTERS, `At least ${LEAST_CHARACTERS} characters`)
		.max(128, 'At most 128 characters')
		.test(
			'varied',
			'This is too easy to guess: use more different characters',
			(password) => new Set(password?.replace(/\s/g, '')).size >= LEAST_DIFFERENT
		)
		.test(
			'uncommon',
			'This password is among those that are guessed first; take another one',
			(password) => !COMMON.has((password ?? '').trim().toLowerCase())
		)
});
