/** Proposals for groups with each condition; `npm run cautions` asks for 200 of each. */
import { describe, expect, it } from 'vitest';
import { CAUTIONS } from '../../src/lib/core/movement';
import { trialOf } from './cautions-trial';

describe('a class proposed for people with', () => {
	it.each(CAUTIONS)(
		'%s holds nothing that they should not do, and something for them everywhere',
		(caution) => {
			for (const seed of [1, 2]) expect(trialOf(caution, seed), `seed ${seed}`).toEqual([]);
		}
	);
});
