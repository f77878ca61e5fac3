/** Numbers that a seed gives the same everywhere: below 1, and whole ones below a limit. */
export interface Random {
	(): number;
	below(limit: number): number;
}

/** mulberry32, a published 32-bit generator in the public domain (from memory): whole-number arithmetic only. */
export function seededRandom(seed: number): Random {
	// in a typed array: a 32-bit variable would be a new object with each value
	const state = Int32Array.of(seed);
	const next = (() => {
		let t = (state[0]! + 0x6d2b79f5) | 0;
		state[0] = t;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	}) as Random;
	next.below = (limit) => Math.floor(next() * limit);
	return next;
}
