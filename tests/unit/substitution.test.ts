import { USUAL_PACE } from '../../src/lib/core/pace';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import {
	findInCatalogue,
	formForTier,
	kitAtHand,
	kitNeeds,
	substituteSimilarity,
	LIKENESS_WEIGHTS,
	roomSheet,
	SERVES,
	shortageInWords,
	substitutes,
	suits,
	suitsSomehow,
	type Filters
} from '../../src/lib/core/substitution';
import { DIRECTIONS, TISSUES } from '../../src/lib/core/anatomy';
import { analysePlan } from '../../src/lib/core/analysis';
import {
	newGroup,
	peopleByTier,
	PRESETS,
	preset,
	TIERS,
	type Group,
	countStudents,
	studentFaults,
	type Student
} from '../../src/lib/core/group';
import {
	CAUTIONS,
	CLINICIAN_DECIDES,
	SITS_OUT,
	formOf,
	MODES,
	POSITIONS,
	type Movement
} from '../../src/lib/core/movement';
import { styleOf } from '../../src/lib/core/style';
import { PlanWriter } from '../../src/lib/demo/build';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

const movement = (slug: string) => findMovement(slug) as Movement;
const group = (change: Partial<Group> = {}): Group => ({ ...newGroup('general', 'Slack Water'), ...change });
const anyMovement = fc.constantFrom(...CATALOGUE);

describe('suits', () => {
	it('says whether this form, another form or another movement is given', () => {
		expect(suits(movement('clam'), 'full', 'sore knee')).toEqual({ kind: 'fine' });
		expect(suits(movement('supine-butterfly'), 'supported', 'sore knee').kind).toBe('in this form');
		expect(suits(movement('supine-butterfly'), 'full', 'sore knee')).toMatchObject({
			kind: 'other form',
			form: 'supported'
		});
		expect(suits(movement('fire-log'), 'full', 'sore knee')).toMatchObject({
			kind: 'instead',
			instead: 'supine-figure-four'
		});
	});

	it('leaves surgery and leg symptoms to the treating clinician, whatever the catalogue names', () => {
		for (const m of CATALOGUE)
			for (const { caution } of m.cautions)
				if (CLINICIAN_DECIDES.has(caution))
					expect(suits(m, m.forms[0]!.id, caution).kind, m.slug).toBe('clinician');
	});

	it('gives the tight tier the rung below, the open one the rung above, and never adds load', () => {
		const squat = movement('goddess-squat');
		const forms = TIERS.map((tier) => formForTier(squat, 'full', tier).id);
		expect(forms).toEqual(['supported', 'full', 'stronger']);
		expect(formForTier(squat, 'stronger', 'open').id).toBe('stronger');
		expect(formForTier(squat, 'supported', 'tight').id).toBe('supported');
	});
});

describe('kit', () => {
	it('a block under both knees of twelve people is 24 blocks; folded blankets stand in for what is missing', () => {
		const form = formOf(movement('supine-butterfly'), 'supported')!;
		const room = group({ size: 12, kit: { block: 18, blanket: 10 } });
		const [need] = kitNeeds([{ form, people: 12 }], kitAtHand(room));
		expect(need).toMatchObject({ needed: 24, available: 18, short: 6, missing: 0 });
		expect(shortageInWords(need!)).toBe('needs 24 blocks, 18 are at hand: use folded blankets for 6');
	});

	it('counts what each person brings', () => {
		expect(kitAtHand(group({ size: 8, kit: { strap: 2 }, kitEach: { strap: 1 } })).strap).toBe(10);
	});

	it('gives no blanket to two needs at once', () => {
		const supported = formOf(movement('supine-butterfly'), 'supported')!;
		const cover = formOf(movement('savasana'), 'supported')!;
		const room = group({ size: 6, kit: { block: 8, blanket: 9, bolster: 6 } });
		const needs = kitNeeds(
			[
				{ form: supported, people: 6 },
				{ form: cover, people: 6 }
			],
			kitAtHand(room)
		);
		const block = needs.find((n) => n.kit === 'block')!;
		expect(block).toMatchObject({ short: 4, missing: 1 });
		expect(shortageInWords(block)).toBe(
			'needs 12 blocks, 8 are at hand: use folded blankets for 3, 1 piece has no stand-in'
		);
	});

	it('needs, stand-ins and what is missing always add up, and nothing is used twice', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(anyMovement, fc.nat(3), fc.integer({ min: 0, max: 20 })), { maxLength: 4 }),
				fc.record({ block: fc.nat(30), blanket: fc.nat(30), cushion: fc.nat(10), bolster: fc.nat(10) }),
				(chosen, kit) => {
					const atHand = kitAtHand(group({ size: 1, kit }));
					const given = chosen.map(([m, f, people]) => ({ form: m.forms[f % m.forms.length]!, people }));
					const needs = kitNeeds(given, atHand);
					const used = { ...atHand };
					for (const need of needs) {
						const served = need.standIns.reduce((sum, s) => sum + s.pieces, 0);
						expect(need.short).toBe(Math.max(0, need.needed - need.available));
						expect(served + need.missing).toBe(need.short);
						used[need.kit] -= Math.min(need.needed, need.available);
						for (const s of need.standIns) used[s.kit] -= s.count;
					}
					for (const left of Object.values(used)) expect(left).toBeGreaterThanOrEqual(0);
				}
			),
			{ numRuns: 200 }
		);
	});
});

describe('likeness', () => {
	it('is 1 with itself and lies between 0 and 1; the weights add up', () => {
		expect(Object.values(LIKENESS_WEIGHTS).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
		fc.assert(
			fc.property(anyMovement, anyMovement, (a, b) => {
				expect(substituteSimilarity(a, a).score).toBeCloseTo(1, 12);
				const { score, parts } = substituteSimilarity(a, b);
				for (const part of [score, ...Object.values(parts)]) {
					expect(part).toBeGreaterThanOrEqual(0);
					expect(part).toBeLessThanOrEqual(1 + 1e-12);
				}
			})
		);
	});

	it('finds a lying figure four nearer to a pigeon than a plank', () => {
		const to = (slug: string) => substituteSimilarity(movement('pigeon-fold'), movement(slug)).score;
		expect(to('supine-figure-four')).toBeGreaterThan(to('plank'));
	});
});

describe('substitutes', () => {
	it('are safe for everybody in the room, with kit that is there, the best first and the same each time', () => {
		fc.assert(
			fc.property(anyMovement, fc.subarray([...CAUTIONS], { maxLength: 3 }), (m, cautions) => {
				const room = group({
					size: 10,
					cautions: cautions.map((caution) => ({ caution, people: 1 })),
					kit: { block: 10, blanket: 10 }
				});
				const found = substitutes(m, CATALOGUE, room);
				if (cautions.some((c) => CLINICIAN_DECIDES.has(c) && !SITS_OUT.has(c))) {
					expect(found).toEqual([]);
					return;
				}
				for (const { movement: other } of found) {
					expect(other.slug).not.toBe(m.slug);
					expect(suitsSomehow(other, cautions), other.slug).toBe(true);
				}
				expect(substitutes(m, CATALOGUE, room)).toEqual(found);
			}),
			{ numRuns: 60 }
		);
	});

	it('begin with what the catalogue names for the caution', () => {
		const room = group({ cautions: [{ caution: 'sore knee', people: 2 }] });
		const [best] = substitutes(movement('pigeon-fold'), CATALOGUE, room);
		expect(best).toMatchObject({ named: true, movement: { slug: 'supine-figure-four' } });
	});
});

describe('the room sheet', () => {
	const plan = new PlanWriter()
		.add('build', new PlanWriter().item('supine-butterfly', { form: 'supported', keep: [] }))
		.add('peak', { ...new PlanWriter().item('fire-log', { keep: ['sore knee'] }), id: 'b9' })
		.plan('A class', '09:30', 1800);
	const { context } = analysePlan(plan, {
		pace: USUAL_PACE,
		catalogue: CATALOGUE,
		find: findMovement,
		targets: preset('beginners').targets
	});
	const sheet = roomSheet(context.items, DEMO_GROUPS.tide, findMovement, styleOf());

	it('says what each tier does, with how many people', () => {
		expect(peopleByTier(DEMO_GROUPS.tide)).toEqual({ tight: 8, middling: 5, open: 1 });
		expect(sheet.rows[0]!.tiers).toEqual([
			{ tier: 'tight', people: 8, form: 'supported', how: 'A block under each knee' },
			{ tier: 'middling', people: 5, form: 'supported', how: 'A block under each knee' },
			{ tier: 'open', people: 1, form: 'full', how: 'Knees hang free, soles together' }
		]);
	});

	it('counts kit over the tiers and says shortages', () => {
		// 13 people with two blocks each; the loft has 24
		expect(sheet.kit).toContainEqual({ kit: 'block', needed: 26, available: 24 });
		expect(sheet.shortages[0]!.words).toBe('needs 26 blocks, 24 are at hand: use folded blankets for 2');
	});

	it('says what the cautions get, and what was kept and when', () => {
		const knee = sheet.rows[1]!.cautions.find((c) => c.caution === 'sore knee');
		expect(knee).toMatchObject({
			people: 3,
			kind: 'instead',
			insteadName: 'Lying figure four',
			confirmedOn: '2026-11-20'
		});
	});
});

describe('finding', () => {
	const setting = {
		group: DEMO_GROUPS.tide as Group,
		usedLately: { slugs: ['clam', 'frog'], from: 'taught' as const }
	};
	const filters: fc.Arbitrary<Filters> = fc.record(
		{
			search: fc.constantFrom('', 'a', 'pig', 'lying'),
			direction: fc.constantFrom(...DIRECTIONS),
			serves: fc.constantFrom(...SERVES),
			tissue: fc.constantFrom(...TISSUES),
			position: fc.constantFrom(...POSITIONS),
			mode: fc.constantFrom(...MODES),
			tier: fc.constantFrom(...TIERS),
			kitAtHand: fc.constant(true),
			cautionSafe: fc.constant(true),
			rested: fc.constant(true)
		},
		{ requiredKeys: [] }
	);

	it('the count beside each choice is what choosing it finds', () => {
		fc.assert(
			fc.property(filters, (f) => {
				const { counts } = findInCatalogue(CATALOGUE, f, setting);
				const many = (change: Filters) =>
					findInCatalogue(CATALOGUE, { ...f, ...change }, setting).movements.length;
				for (const position of POSITIONS) expect(counts.position[position]).toBe(many({ position }));
				for (const mode of MODES) expect(counts.mode[mode]).toBe(many({ mode }));
				for (const tier of TIERS) expect(counts.tier[tier]).toBe(many({ tier }));
				for (const direction of DIRECTIONS) expect(counts.direction[direction]).toBe(many({ direction }));
				for (const serves of SERVES) expect(counts.serves[serves]).toBe(many({ serves }));
				expect(counts.rested).toBe(many({ rested: true }));
				expect(counts.cautionSafe).toBe(many({ cautionSafe: true }));
				expect(counts.kitAtHand).toBe(many({ kitAtHand: true }));
			}),
			{ numRuns: 60 }
		);
	});

	it('finds nothing that a filter forbids', () => {
		const { movements } = findInCatalogue(
			CATALOGUE,
			{ direction: 'internalRotation', serves: 'strength', cautionSafe: true, rested: true },
			setting
		);
		expect(movements.length).toBeGreaterThan(0);
		for (const m of movements)
			expect(suitsSomehow(m, ['sore knee', 'high blood pressure or glaucoma', 'poor balance']), m.slug).toBe(
				true
			);
	});
});

describe('presets', () => {
	it.each(PRESETS)('%s says why for each of its bands, and the bands can be met together', (id) => {
		const { because, targets } = preset(id);
		for (const key of [...DIRECTIONS, 'strength'] as const) expect(because[key]).toMatch(/\.$/);
		expect(DIRECTIONS.reduce((sum, d) => sum + targets.directions[d].minPercent, 0)).toBeLessThanOrEqual(100);
		expect(DIRECTIONS.reduce((sum, d) => sum + targets.directions[d].maxPercent, 0)).toBeGreaterThanOrEqual(
			100
		);
	});
});

describe('students', () => {
	const oda: Student = { name: 'Oda F.', tier: 'tight', cautions: ['sore knee'], tighterSide: 'left' };

	it.each<[string, unknown, boolean]>([
		['a first name and an initial', oda, true],
		['a first name alone', { ...oda, name: 'Oda' }, true],
		['a hyphen and an accent', { ...oda, name: 'Anne-Zoë M' }, true],
		['a family name', { ...oda, name: 'Oda Fenwick' }, false],
		['no name', { ...oda, name: '' }, false],
		['markup', { ...oda, name: '<b>Oda</b>' }, false],
		['an unknown caution', { ...oda, cautions: ['a diagnosis'] }, false],
		['a field that is not asked for', { ...oda, birthday: '1990' }, false],
		['an unknown side', { ...oda, tighterSide: 'middle' }, false],
		['a list', [], false]
	])('%s', (_what, value, ok) => {
		expect(studentFaults(value).length === 0).toBe(ok);
	});

	it('add up to tiers, cautions and tighter sides', () => {
		const two: Student = {
			name: 'Per',
			tier: 'open',
			cautions: ['sore knee', 'low back'],
			tighterSide: null
		};
		expect(countStudents([oda, two])).toEqual({
			tiers: { tight: 1, middling: 0, open: 1 },
			cautions: [
				{ caution: 'sore knee', people: 2 },
				{ caution: 'low back', people: 1 }
			],
			tighter: { left: 1, right: 0 }
		});
	});
});
