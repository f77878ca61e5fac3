import { describe, expect, it } from 'vitest';
import { assertCatalogue, CATALOGUE, findMovement } from '../../src/lib/catalogue';
import {
	directionShares,
	DIRECTIONS,
	GROUP_OF_DIRECTION,
	isSymmetrical,
	type LegAction
} from '../../src/lib/core/anatomy';
import { STRENGTH_FROM_EFFORT } from '../../src/lib/core/rules';
import { movementFaults, POSITIONS, searchMovements, type Movement } from '../../src/lib/core/movement';

const partsOf = (m: Movement): LegAction[] =>
	isSymmetrical(m.action) ? [m.action.both] : [m.action.lead, m.action.trail];

describe('the catalogue', () => {
	it('has no fault', () => {
		expect(movementFaults(CATALOGUE)).toEqual([]);
	});

	it('holds every body position', () => {
		expect(new Set(CATALOGUE.map((m) => m.position))).toEqual(new Set(POSITIONS));
	});

	it('reaches every direction in range and in strength', () => {
		for (const d of DIRECTIONS) {
			expect(
				CATALOGUE.some((m) => partsOf(m).some((p) => directionShares(p)[d] > 0)),
				`range: ${d}`
			).toBe(true);
			const strong = CATALOGUE.filter(
				(m) =>
					partsOf(m).some((p) => p.works.includes(GROUP_OF_DIRECTION[d])) &&
					m.forms.some((f) => f.effort >= STRENGTH_FROM_EFFORT)
			);
			expect(strong.length, `strength: ${d}`).toBeGreaterThanOrEqual(2);
		}
	});

	it('has at least six movements that turn in and ten with sides', () => {
		const turningIn = CATALOGUE.filter((m) =>
			partsOf(m).some((p) => directionShares(p).internalRotation > 0)
		);
		expect(turningIn.length).toBeGreaterThanOrEqual(6);
		expect(CATALOGUE.filter((m) => !isSymmetrical(m.action)).length).toBeGreaterThanOrEqual(10);
	});

	it('gives every deep movement an easier form', () => {
		for (const m of CATALOGUE)
			if (m.forms.some((f) => f.intensity >= 4)) expect(m.forms.length, m.slug).toBeGreaterThanOrEqual(2);
	});

	it('gives another movement for every caution that does not only change this one', () => {
		for (const m of CATALOGUE)
			for (const c of m.cautions)
				if (/leave it out/i.test(c.advice)) expect(c.instead, `${m.slug}: ${c.caution}`).toBeDefined();
	});

	it('offers nothing in place of a movement that has the same caution', () => {
		for (const m of CATALOGUE)
			for (const { caution, instead } of m.cautions) {
				const other = instead ? findMovement(instead) : undefined;
				const same = other?.cautions.find((c) => c.caution === caution);
				expect(same && /leave it out/i.test(same.advice), `${m.slug}: ${caution} -> ${instead}`).toBeFalsy();
			}
	});
});

describe('a faulty movement', () => {
	const clam = findMovement('clam') as Movement;
	const faulty = (change: Partial<Movement>) =>
		movementFaults([{ ...clam, preparations: [], cautions: [], ...change }]);

	it.each<[string, Partial<Movement>, string]>([
		['an unknown position', { position: 'floating' as never }, 'clam: position must be one of'],
		['no form', { forms: [] }, 'clam: forms field must have at least 1'],
		['no name', { english: '' }, 'clam: english is a required field'],
		['a preparation that is not there', { preparations: ['nowhere'] }, 'clam: preparations names "nowhere"'],
		['legs missing', { action: { lead: clam.forms } as never }, 'clam: action'],
		[
			'a dose upside down',
			{ forms: [{ ...clam.forms[0]!, dose: { unit: 'breaths', min: 5, usual: 3, max: 8 } }] },
			'clam: forms[0].dose: min, usual and max must rise'
		],
		[
			'forms out of order',
			{ forms: [...clam.forms].reverse() },
			'clam: forms must climb from supported to loaded'
		],
		[
			'impossible angles',
			{ action: { both: { positions: [{ flexion: 170 }], kneeDeg: [0], lengthens: [], works: [] } } },
			'flexion 170° is outside'
		]
	])('with %s is named', (_what, change, message) => {
		expect(faulty(change).join('\n')).toContain(message);
	});

	it('stops a start, with every fault in the message', () => {
		expect(() => assertCatalogue([{ ...clam, english: '' }])).toThrow(/clam: english is a required field/);
		expect(() => assertCatalogue([clam, clam])).toThrow(/slug given twice/);
	});
});

describe('searchMovements', () => {
	const slugs = (search: string) => searchMovements(CATALOGUE, search).map((m) => m.slug);

	it('finds by English, by Sanskrit and by position, without accents and in any order', () => {
		expect(slugs('clam')[0]).toBe('clam');
		expect(slugs('baddha kona')).toContain('butterfly');
		expect(slugs('WARRIOR').slice(0, 2)).toEqual(['warrior-1-wall', 'warrior-2']);
		expect(slugs('lunge low')).toContain('low-lunge');
		expect(slugs('sidelying')).toEqual(expect.arrayContaining(['clam', 'sidelying-parallel-lift']));
		expect(slugs('squat')).not.toContain('seated-quiet');
		expect(slugs('Chïld’s pose')[0]).toBe('childs-pose');
	});

	it.each([
		['Châld’s pose', 'childs-pose'],
		['pigoen fold', 'pigeon-fold'],
		['buterfly', 'butterfly'],
		['lizzard', 'lizard'],
		['malasna', 'garland-squat'],
		['adho muka', 'downward-dog']
	])('forgives the typing error in %s', (typed, slug) => {
		expect(slugs(typed)).toContain(slug);
	});

	it('finds each movement first by its English name, and by its Sanskrit name without accents', () => {
		for (const { english, sanskrit, slug } of CATALOGUE) {
			expect(slugs(english)[0]).toBe(slug);
			if (sanskrit) expect(slugs(sanskrit.normalize('NFD').replace(/\p{Diacritic}/gu, ''))).toContain(slug);
		}
	});

	it('gives all for an empty search and none for nonsense', () => {
		expect(slugs('')).toHaveLength(CATALOGUE.length);
		expect(slugs('zzz')).toEqual([]);
	});
});
