import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { accountSchema, passwordSchema } from '../../core/people';
import { studioNameOf } from '../studio/studios';

const guessing = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/** Of 0 to 4: from 3 on, more than a hundred million guesses are needed (zxcvbn, Wheeler 2016; from memory). */
const LEAST_SCORE = 3;
/** As much of a password is looked at: a longer one is no easier to guess for what comes after it. */
const MOST_CHARACTERS = 64;

/** Words that whoever guesses knows of an account: name, address, studio and app, in parts and run together. */
function knownWords({ name = '', email = '' }: { name?: string; email?: string }): string[] {
	const whole = [name, email, studioNameOf(name), 'Humble Orbit'];
	const parts = whole.flatMap((text) => text.split(/[^\p{L}\p{N}]+/u)).filter((word) => word.length > 2);
	const labels = email.split(/[@.]/);
	const runTogether = [...whole, ...labels].map((text) => text.replace(/[^\p{L}\p{N}]/gu, ''));
	return [...new Set([...whole, ...parts, ...runTogether].map((word) => word.toLowerCase()))].filter(Boolean);
}

/** A new account, with a password that a person who knows the teacher does not guess in a few tries. */
export const signUpSchema = accountSchema.shape({
	password: passwordSchema.test(
		'uncommon',
		'This password is easy to guess; a few words that have nothing to do with each other are better',
		(password, { parent }) =>
			guessing.check(
				(password ?? '').trim().slice(0, MOST_CHARACTERS),
				knownWords(parent as { name?: string; email?: string })
			).score >= LEAST_SCORE
	)
});
