import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement, readMovement, type WrittenMovement } from '../../src/lib/catalogue';
import { profileOf } from '../../src/lib/core/substitution';
import {
	DIRECTIONS,
	GROUP_OF_DIRECTION,
	implausibleAngles,
	isSymmetrical,
	legPair,
	type Direction,
	type LegAction
} from '../../src/lib/core/anatomy';
import { setSeconds } from '../../src/lib/core/clock';
import {
	actionOf,
	doseRange,
	FORM_IDS,
	modesOf,
	movementFaults,
	POSITIONS,
	PURPOSES,
	usualForm,
	withRuledCautions,
	type Form,
	type KitKind,
	type Movement,
	type Position
} from '../../src/lib/core/movement';
import { DEFAULT_PACE } from '../../src/lib/core/pace';
import { STRENGTH_FROM_EFFORT } from '../../src/lib/core/rules';
import slugs from '../reference/slugs.json';

const legsOf = (m: Movement): LegAction[] =>
	isSymmetrical(m.action) ? [m.action.both] : [m.action.lead, m.action.trail];
const movement = (slug: string) => findMovement(slug) as Movement;
const inPosition = (position: Position) => CATALOGUE.filter((m) => m.position === position);

describe('the whole catalogue', () => {
	it('keeps every slug it ever had: plans and files name them', () => {
		const there = new Set(CATALOGUE.map((m) => m.slug));
		expect(slugs.filter((slug) => !there.has(slug))).toEqual([]);
		const isListed = new Set(slugs);
		const unlisted = CATALOGUE.filter((m) => !isListed.has(m.slug)).map((m) => m.slug);
		expect(unlisted, 'write these at the end of tests/reference/slugs.json').toEqual([]);
		expect(CATALOGUE.length).toBeGreaterThanOrEqual(150);
	});

	it('says what each movement is done for, and every purpose has movements', () => {
		for (const m of CATALOGUE) expect(m.purposes.length, m.slug).toBeGreaterThan(0);
		for (const purpose of PURPOSES) {
			const serving = CATALOGUE.filter((m) => m.purposes.includes(purpose));
			expect(serving.length, purpose).toBeGreaterThanOrEqual(3);
		}
	});

	it('says where each is felt, and how the breath goes with nearly all', () => {
		for (const m of CATALOGUE) expect(m.felt, m.slug).toBeTruthy();
		expect(CATALOGUE.filter((m) => !m.breath).length).toBeLessThanOrEqual(9);
	});

	it('lets the sides take turns where the words say so, and circles go both ways', () => {
		const says = (m: Movement) => `${m.english} ${m.setUp} ${m.forms.map((f) => f.how).join(' ')}`;
		for (const m of CATALOGUE) {
			if (/by turns/i.test(says(m)) && !isSymmetrical(m.action)) expect(m.byTurns, m.slug).toBe(true);
			if (/\bcircles?\b/i.test(m.english)) expect(m.bothWays, m.slug).toBe(true);
		}
	});

	it('has an orphan nowhere: every slug that is named exists', () => {
		expect(movementFaults(CATALOGUE)).toEqual([]);
	});

	it.each(POSITIONS)('turns in somewhere in position %s', (position) => {
		const turning = inPosition(position).filter((m) => profileOf(m).range.internalRotation > 0);
		expect(turning.map((m) => m.slug)).not.toEqual([]);
	});

	it.each<[string, (m: Movement) => boolean, number]>([
		['extension strength', (m) => profileOf(m).strength.has('extension'), 20],
		['adduction strength', (m) => profileOf(m).strength.has('adduction'), 8],
		['internal rotation strength', (m) => profileOf(m).strength.has('internalRotation'), 15],
		['work on the front of the body', (m) => m.position === 'prone', 10],
		[
			'standing strength on one leg',
			(m) => m.position === 'standing' && !isSymmetrical(m.action) && profileOf(m).strength.has('abduction'),
			8
		],
		[
			'end-range strength: wide, deep or turned, and working',
			(m) =>
				legsOf(m).some((l) => l.positions.some((p) => (p.abduction ?? 0) >= 40 || (p.flexion ?? 0) >= 110)) &&
				m.forms.some((f) => f.effort >= STRENGTH_FROM_EFFORT),
			12
		],
		['versions on a chair', (m) => m.forms.some((f) => f.props.some((p) => p.kit === 'chair')), 12],
		['versions at a wall', (m) => m.forms.some((f) => f.props.some((p) => p.kit === 'wall space')), 12],
		['loaded forms', (m) => m.forms.some((f) => f.id === 'loaded'), 8]
	])('has %s', (_what, has, atLeast) => {
		expect(CATALOGUE.filter(has).length).toBeGreaterThanOrEqual(atLeast);
	});

	it('strengthens every direction in at least two body positions', () => {
		for (const d of DIRECTIONS) {
			const positions = new Set(CATALOGUE.filter((m) => profileOf(m).strength.has(d)).map((m) => m.position));
			expect(positions.size, d).toBeGreaterThanOrEqual(2);
		}
	});
});

const isQuiet = (m: Movement, form: Form): boolean =>
	modesOf(m, form).every((mode) => mode === 'passive' || mode === 'rest');
const FURTHER = ['extension', 'abduction', 'adduction', 'internalRotation', 'externalRotation'] as const;
const furthest = (leg: LegAction, direction: Direction): number =>
	Math.max(...leg.positions.map((angles) => angles[direction] ?? 0));
const KIT_IN_WORDS: Record<string, KitKind> = {
	block: 'block',
	blanket: 'blanket',
	strap: 'strap',
	bolster: 'bolster',
	cushion: 'cushion',
	chair: 'chair',
	wall: 'wall space',
	belt: 'belt',
	band: 'elastic band'
};

describe.each(CATALOGUE.map((m) => [m.slug, m] as const))('%s', (_slug, m) => {
	it('says how to set it up, what to look at, what goes wrong and how to leave', () => {
		for (const field of ['english', 'setUp', 'watch', 'mistakes', 'leave'] as const)
			expect(m[field].trim(), field).not.toBe('');
	});

	it('has a ladder without a gap that never gets easier on the way up', () => {
		const rungs = m.forms.map((f) => FORM_IDS.indexOf(f.id));
		expect(rungs).toContain(FORM_IDS.indexOf('full'));
		expect(rungs).toEqual(Array.from({ length: rungs.length }, (_, i) => rungs[0]! + i));
		for (const [i, form] of m.forms.entries())
			if (i) expect(form.intensity).toBeGreaterThanOrEqual(m.forms[i - 1]!.intensity);
	});

	it('asks no more effort of an easier form, and none of what is only quiet', () => {
		for (const [i, form] of m.forms.entries()) {
			if (isQuiet(m, form)) expect(form.effort, form.id).toBe(0);
			else if (i) expect(form.effort, form.id).toBeGreaterThanOrEqual(m.forms[i - 1]!.effort);
		}
	});

	it('goes no further in the supported form, with what it lengthens', () => {
		const [supported, full] = [m.forms.find((f) => f.id === 'supported'), usualForm(m)];
		if (!supported || supported === full) return;
		const usual = legPair(actionOf(m, full));
		for (const [i, leg] of legPair(actionOf(m, supported)).entries()) {
			if (leg.lengthens.length === 0) continue;
			// the knees apart is the way out of a deep bend; everything else is further
			for (const direction of FURTHER.filter((d) => d !== 'abduction' || leg.lengthens.includes('adductors')))
				expect(furthest(leg, direction), `${i} ${direction}`).toBeLessThanOrEqual(
					furthest(usual[i]!, direction) + 5
				);
			if (leg.lengthens.includes('rectus femoris'))
				expect(Math.max(...leg.kneeDeg)).toBeLessThanOrEqual(Math.max(...usual[i]!.kneeDeg));
		}
	});

	it('lists the kit that the words of a form need', () => {
		for (const form of m.forms) {
			const words = form.how.replace(/(without|instead of|no) (a |the )?\w+/gi, '').toLowerCase();
			for (const [word, kit] of Object.entries(KIT_IN_WORDS))
				if (new RegExp(`\\b${word}s?\\b`).test(words))
					expect(
						form.props.map((p) => p.kit),
						`${form.id}: ${form.how}`
					).toContain(kit);
		}
	});

	it('gives plausible angles in every form, and both legs', () => {
		for (const form of m.forms) {
			const action = actionOf(m, form);
			const legs = isSymmetrical(action) ? [action.both] : [action.lead, action.trail];
			for (const leg of legs) expect(implausibleAngles(leg)).toEqual([]);
		}
	});

	it('swings between positions that differ', () => {
		for (const leg of legsOf(m))
			for (const [i, position] of leg.positions.entries())
				if (i) expect([position, leg.kneeDeg[i]]).not.toEqual([leg.positions[i - 1], leg.kneeDeg[i - 1]]);
	});

	it('has plausible doses in every form and mode: 5 seconds to 10 minutes a side', () => {
		for (const form of m.forms)
			for (const mode of m.modes) {
				const dose = doseRange(form, mode);
				const seconds = (amount: number) => setSeconds({ amount }, dose, mode, amount, DEFAULT_PACE);
				expect(seconds(dose.min), `${form.id} ${mode}`).toBeGreaterThanOrEqual(4);
				expect(seconds(dose.max), `${form.id} ${mode}`).toBeLessThanOrEqual(600);
			}
	});

	it('offers instead what the same caution does not forbid', () => {
		for (const { caution, instead } of m.cautions) {
			const other = movement(instead).cautions.find((c) => c.caution === caution);
			expect(!other || other.okIn.length > 0, `${caution} -> ${instead}`).toBe(true);
		}
	});

	it('names what works when it works: a strong form has muscles', () => {
		for (const form of m.forms.filter((f) => f.effort >= STRENGTH_FROM_EFFORT)) {
			const action = actionOf(m, form);
			const legs = isSymmetrical(action) ? [action.both] : [action.lead, action.trail];
			expect(
				legs.flatMap((leg) => leg.works),
				form.id
			).not.toEqual([]);
		}
	});
});

it('no two entries have equal profiles under different names, unless marked as kin', () => {
	const seen = new Map<string, Movement>();
	for (const m of CATALOGUE) {
		const profile = JSON.stringify([m.position, m.modes, m.action]);
		const twin = seen.get(profile);
		if (twin)
			expect(m.kin.includes(twin.slug) || twin.kin.includes(m.slug), `${m.slug}, ${twin.slug}`).toBe(true);
		seen.set(profile, m);
	}
});

describe('cautions that follow by rule', () => {
	const has = (m: Movement, caution: string) => m.cautions.some((c) => c.caution === caution);

	it('after hip replacement: flexion past 90, the leg past the middle, turning in (common practice)', () => {
		for (const m of CATALOGUE) {
			const asked = legsOf(m).some((leg) =>
				leg.positions.some(
					(p) => (p.flexion ?? 0) > 90 || (p.adduction ?? 0) >= 10 || (p.internalRotation ?? 0) >= 15
				)
			);
			if (asked) expect(has(m, 'after hip replacement'), m.slug).toBe(true);
		}
	});

	it.each([
		['pigeon-fold', 'sore knee'],
		['fire-log', 'sore knee'],
		['90-90-press', 'sore knee'],
		['kneeling-sit', 'sore knee'],
		['forward-fold', 'low back'],
		['supine-figure-four', 'buttock pain with leg symptoms'],
		['garland-squat', 'front-of-hip pinch'],
		['frog', 'very mobile joints'],
		['savasana', 'pregnancy'],
		['cobra', 'pregnancy'],
		['easy-seat-fold', 'fragile bones'],
		['single-leg-squat', 'poor balance'],
		['downward-dog', 'high blood pressure or glaucoma'],
		['wide-leg-seated-fold', 'recent muscle or tendon injury']
	])('%s is not for everybody with: %s', (slug, caution) => {
		expect(has(movement(slug), caution)).toBe(true);
	});

	it('an entry’s own words go before the rule', () => {
		const own = { caution: 'sore knee' as const, advice: 'Ours.', instead: 'clam', okIn: [] };
		const ruled = withRuledCautions({ ...movement('fire-log'), cautions: [own] });
		expect(ruled.cautions.filter((c) => c.caution === 'sore knee')).toEqual([own]);
		expect(ruled.cautions.length).toBeGreaterThan(1);
	});
});

describe('a data file with a mistake', () => {
	const written = (change: object): WrittenMovement =>
		({
			slug: 'test-entry',
			english: 'Test',
			position: 'supine',
			modes: ['active'],
			hips: { both: { angles: 'F90 K90' } },
			forms: [{ id: 'full', how: 'x', intensity: 1, effort: 1, dose: '3-5-8 breaths' }],
			setUp: 'x',
			watch: 'x',
			...change
		}) as WrittenMovement;

	it.each<[string, object, string]>([
		['an angle', { hips: { both: { angles: 'F90 Q5' } } }, 'test-entry: hips: "Q" is not one of'],
		[
			'a dose',
			{ forms: [{ id: 'full', how: 'x', intensity: 1, effort: 1, dose: 'five breaths' }] },
			'test-entry: forms[0]: "five breaths" is not a dose such as'
		],
		[
			'kit',
			{
				forms: [{ id: 'full', how: 'x', intensity: 1, effort: 1, dose: '3-5-8 breaths', props: ['a sofa'] }]
			},
			'test-entry: forms[0]: "a sofa" is not kit such as'
		]
	])('in %s is named, with the movement and the field', (_what, change, message) => {
		expect(() => readMovement(written(change))).toThrow(message);
	});
});

it('muscles of a direction are the ones that count as its strength', () => {
	const strong = (slug: string, d: Direction) => profileOf(movement(slug)).strength.has(d);
	expect(strong('clam', 'externalRotation')).toBe(true);
	expect(strong('reverse-clam', 'internalRotation')).toBe(true);
	expect(strong('supine-block-squeeze', 'adduction')).toBe(true);
	expect(strong('savasana', 'extension')).toBe(false);
	expect(GROUP_OF_DIRECTION.adduction).toBe('hip adductors');
});
