import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { readPlanFile, writePlanFile } from '../../src/lib/core/formats';
import {
	movementDraftOf,
	emptyDraft,
	movementDifference,
	movementFaults,
	readDose,
	readMovementDraft,
	readProp,
	catalogueView,
	writeDose,
	writeProp,
	type Movement
} from '../../src/lib/core/movement';
import { applyEdit, emptyPlan, newItem } from '../../src/lib/core/plan';
import { contentHash } from '../../src/lib/server/studio/content-hash';
import { ownSlug } from '../../src/lib/server/studio/own-movements';

const clam = findMovement('clam') as Movement;
const own: Movement = { ...clam, slug: 'own-harbour-clam', english: 'Harbour clam', kin: ['clam'] };

describe('the short notations', () => {
	it('doses and kit come back as they were written, for the whole catalogue', () => {
		for (const m of CATALOGUE)
			for (const form of m.forms) {
				for (const dose of [form.dose, ...Object.values(form.doseIn ?? {})])
					expect(readDose(writeDose(dose))).toEqual(dose);
				for (const prop of form.props) expect(readProp(writeProp(prop))).toEqual(prop);
			}
	});

	it.each([
		['20-30 seconds', 'is not a dose such as'],
		['6-8-10 repetitions', 'repetitions, and only they, have one of'],
		['6-8-10 sweep breaths', 'repetitions, and only they, have one of'],
		['2-3-4 rounds', 'rounds, and only they, are of so many breaths']
	])('%s is refused with what is wrong', (text, message) => {
		expect(() => readDose(text)).toThrow(message);
	});
});

describe('a draft', () => {
	it('of any movement reads back as that movement', () => {
		for (const m of CATALOGUE) {
			const read = readMovementDraft(movementDraftOf(m), m.slug, m);
			expect(read).toEqual({ ok: true, movement: m });
		}
	});

	it('of nothing becomes a sound movement once it has a name, a form and words', () => {
		const draft = { ...emptyDraft(), english: 'Slipway stretch', setUp: 'Sit.' };
		draft.forms = [{ ...draft.forms[0]!, how: 'As it comes' }];
		const read = readMovementDraft(draft, 'own-slipway-stretch');
		expect(
			read.ok &&
				movementFaults(
					[read.movement],
					CATALOGUE.map((m) => m.slug)
				)
		).toEqual([]);
	});

	it('gets the cautions that follow from its angles', () => {
		const draft = {
			...movementDraftOf(clam),
			lead: { ...movementDraftOf(clam).lead, angles: 'F100 AD20 K90' }
		};
		const read = readMovementDraft(draft, 'own-deep-clam', clam);
		expect(read.ok && read.movement.cautions.map((c) => c.caution)).toEqual(
			expect.arrayContaining(['front-of-hip pinch', 'after hip replacement'])
		);
	});

	it.each([
		['leading leg', { lead: { ...movementDraftOf(clam).lead, angles: 'F45 bent' } }],
		['full form, dose', { forms: [{ ...movementDraftOf(clam).forms[1]!, dose: 'ten' }] }],
		['full form, kit', { forms: [{ ...movementDraftOf(clam).forms[1]!, kit: 'a rope' }] }]
	])('with a mistake names the field: %s', (field, change) => {
		expect(readMovementDraft({ ...movementDraftOf(clam), ...change }, 'own-x', clam)).toMatchObject({
			ok: false,
			field
		});
	});
});

describe('what changed', () => {
	it('is said field by field', () => {
		const after: Movement = {
			...own,
			setUp: 'Lie down first.',
			forms: own.forms.slice(0, 2).map((f) => (f.id === 'full' ? { ...f, intensity: 3 } : f))
		};
		expect(movementDifference(own, after).map((d) => d.field)).toEqual([
			'setUp',
			'full intensity',
			'form stronger',
			'form loaded'
		]);
		expect(movementDifference(own, structuredClone(own))).toEqual([]);
	});

	it('has another content hash; the order of keys does not', () => {
		const turned = Object.fromEntries(Object.entries(own).reverse()) as unknown as Movement;
		expect(contentHash(turned)).toBe(contentHash(own));
		expect(contentHash({ ...own, setUp: 'Other.' })).not.toBe(contentHash(own));
		expect(contentHash(JSON.parse(JSON.stringify(own)) as Movement)).toBe(contentHash(own));
		expect(new Set(CATALOGUE.map(contentHash)).size).toBe(CATALOGUE.length);
	});
});

describe('the catalogue', () => {
	it('offers own movements, not those left out, and finds what a plan was made with first', () => {
		const old = { ...own, setUp: 'As it was.' };
		const catalogue = catalogueView(CATALOGUE, [own], ['clam'], [old]);
		expect(catalogue.offered.map((m) => m.slug)).toContain('own-harbour-clam');
		expect(catalogue.offered.map((m) => m.slug)).not.toContain('clam');
		expect(catalogue.find('clam')).toBe(clam);
		expect(catalogue.find('own-harbour-clam')).toBe(old);
	});

	it('gives own movements slugs that are free and never those of the catalogue', () => {
		const taken = new Set(['own-harbour-clam']);
		expect(ownSlug('Harbour clam!', (s) => taken.has(s))).toBe('own-harbour-clam-2');
		expect(ownSlug('  ', () => false)).toBe('own-movement');
		expect(ownSlug('Étirement du port', () => false)).toBe('own-etirement-du-port');
	});
});

describe('a plan file with a movement of one’s own', () => {
	const catalogue = catalogueView(CATALOGUE, [own]);
	const empty = emptyPlan('A class', '18:30', 900);
	const plan = applyEdit(empty, {
		do: 'insert',
		at: { sectionId: 'build', index: 0 },
		block: newItem(empty, own)
	});
	const text = writePlanFile({ plan, group: null, movements: [own] });

	it('is read where nobody knows that movement', () => {
		expect(readPlanFile(text, findMovement)).toEqual({
			ok: true,
			value: { plan, group: null, movements: [own] }
		});
		expect(readPlanFile(writePlanFile({ plan, group: null, movements: [] }), catalogue.find).ok).toBe(true);
	});

	it('without it is refused, with the place', () => {
		const read = readPlanFile(writePlanFile({ plan, group: null, movements: [] }), findMovement);
		expect(!read.ok && read.faults[0]).toMatchObject({
			path: 'plan.sections[2].blocks[0].movement',
			message: 'the catalogue has no movement "own-harbour-clam"'
		});
	});

	it.each<[string, unknown, string]>([
		['no list', 'clam', 'must be a list'],
		['something else', [{ slug: 'own-x' }], 'each must be a movement'],
		[
			'impossible angles',
			[
				{
					...own,
					action: { both: { positions: [{ flexion: 170 }], kneeDeg: [0], lengthens: [], works: [] } }
				}
			],
			'flexion 170°'
		]
	])('with %s in its place is refused', (_what, movements, message) => {
		const file = JSON.parse(text);
		const read = readPlanFile(JSON.stringify({ ...file, movements }), findMovement);
		expect(!read.ok && read.faults.map((f) => f.message).join()).toContain(message);
	});
});

it('a class of any 20 movements computes, is written and comes back unchanged', () => {
	for (let from = 0; from + 20 <= CATALOGUE.length; from += 20) {
		let plan = emptyPlan('Twenty', '18:30', 5400);
		for (const m of CATALOGUE.slice(from, from + 20))
			plan = applyEdit(plan, {
				do: 'insert',
				at: { sectionId: 'build', index: plan.sections[2]!.blocks.length },
				block: newItem(plan, m)
			});
		const read = readPlanFile(writePlanFile({ plan, group: null, movements: [] }), findMovement);
		expect(read).toEqual({ ok: true, value: { plan, group: null, movements: [] } });
	}
});
