import { dictionary } from '@zxcvbn-ts/language-common';
import { accountSchema, passwordSchema } from '../core/people';

const COMMON = new Set<string | number>(dictionary['passwords-common'] as (string | number)[]);

/** A new account, with a password that is not among those that are guessed first. */
export const signUpSchema = accountSchema.shape({
	password: passwordSchema.test(
		'uncommon',
		'This password is among those that are guessed first; take another one',
		(password) => !COMMON.has((password ?? '').trim().toLowerCase())
	)
});
