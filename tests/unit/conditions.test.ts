/**
 * People with a condition get nothing that provokes it, and nothing harder than the room does. The list
 * of movements in `fixtures/must-not-be-handed.json` is one physiotherapist's reading of the catalogue.
 */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import {
	CAUTIONS,
	CLINICIAN_DECIDES,
	CONDITIONS,
	conditionOf,
	SITS_OUT,
	provokedBy,
	withRuledCautions,
	type Caution,
	type Form,
	type Movement
} from '../../src/lib/core/movement';
import { TEST_IDS, testWithCaution } from '../../src/lib/core/hip-tests';
import { givenInstead, isNoHarder, suits } from '../../src/lib/core/substitution';
import { readMovements, writeMovements } from '../../src/lib/core/formats';
import { cautionsDoc } from '../../scripts/cautions-doc';

const MUST_NOT = JSON.parse(readFileSync('tests/fixtures/must-not-be-handed.json', 'utf8')) as Partial<
	Record<Caution, string[]>
>;

/** Movements of the list that are given after all in the forms named here, each with the reason. */
const ANSWERED: Partial<Record<string, { forms: string[]; because: string }>> = {
	'sidelying-top-knee-press/front-of-hip pinch': {
		forms: ['supported', 'full'],
		because: 'the hip is bent less than 75° there, which is what the list asks for'
	},
	'wall-leg-rotation/front-of-hip pinch': {
		forms: ['supported'],
		because: 'the seat is away from the wall there, as the list asks'
	},
	'straight-leg-wipers/front-of-hip pinch': {
		forms: ['supported', 'full'],
		because: 'the hip is bent to 65° there, leaning far back as the list asks'
	},
	'wall-figure-four/front-of-hip pinch': {
		forms: ['supported', 'full', 'stronger'],
		because: 'bent to 105° at most, lying, with the leg wide and turned out: the way out of the pinch'
	},
	'wall-lunge/after hip replacement': {
		forms: ['supported'],
		because: 'the back hip stays short of 10° there; the clinician is asked all the same'
	},
	'split-squat/after hip replacement': {
		forms: ['supported'],
		because: 'the back hip stays short of 10° there; the clinician is asked all the same'
	},
	'sidelying-leg-back/after hip replacement': {
		forms: ['supported'],
		because: 'the hip stays short of 10° there; the clinician is asked all the same'
	},
	'sidelying-top-knee-press/after hip replacement': {
		forms: ['supported', 'full'],
		because: 'neither past 90° nor turned in there; the clinician is asked all the same'
	},
	'single-leg-hinge/fragile bones': {
		forms: ['supported'],
		because: 'a hand on the wall, half way and without a weight: as the list asks'
	}
};

describe('the table of conditions', () => {
	it('has each caution once, with what provokes it, a line and a source', () => {
		expect(CONDITIONS.map(({ caution }) => caution).sort()).toEqual([...CAUTIONS].sort());
		for (const { provocations, advice, source } of CONDITIONS) {
			expect(provocations.length).toBeGreaterThan(0);
			expect(advice.length).toBeGreaterThan(20);
			expect(source).toMatch(/common practice|\d{4}/);
		}
	});

	it('touches some of the catalogue with each of its rules, and not all of it', () => {
		for (const { caution, provocations } of CONDITIONS)
			for (const { words } of provocations) {
				const touched = CATALOGUE.filter((m) =>
					m.forms.some((form) => provokedBy(m, form, conditionOf(caution)).some((p) => p.words === words))
				);
				expect(touched.length, `${caution}: ${words}`).toBeGreaterThan(0);
				// only after an operation everything waits
				if (!SITS_OUT.has(caution))
					expect(touched.length, `${caution}: ${words}`).toBeLessThan(0.6 * CATALOGUE.length);
			}
	});

	it('names only movements that exist, in place of others', () => {
		for (const { instead } of CONDITIONS)
			for (const { position } of CATALOGUE)
				for (const slug of instead(position)) expect(findMovement(slug), slug).toBeDefined();
	});
});

const fineIn = (movement: Movement, caution: Caution): Form[] =>
	movement.forms.filter(({ id }) => {
		const said = movement.cautions.find((one) => one.caution === caution);
		return !said || said.okIn.includes(id);
	});

describe('over the whole catalogue', () => {
	it.each(CAUTIONS)('%s: no form that provokes it is called fine', (caution) => {
		const leaks = CATALOGUE.flatMap((m) =>
			fineIn(m, caution)
				.filter((form) => provokedBy(m, form, conditionOf(caution)).length > 0)
				.map((form) => `${m.slug} ${form.id}`)
		);
		expect(leaks).toEqual([]);
	});

	it('an entry cannot loosen a rule: what it calls fine is cut to the forms that provoke nothing', () => {
		const loose = structuredClone(findMovement('90-90-fold')!);
		loose.cautions = [
			{ caution: 'front-of-hip pinch', advice: 'x', instead: 'clam', okIn: loose.forms.map(({ id }) => id) }
		];
		const ruled = withRuledCautions(loose).cautions.find((c) => c.caution === 'front-of-hip pinch');
		expect(ruled).toMatchObject({ advice: 'x', instead: 'clam', okIn: [] });
	});

	it('a file that brings a movement loosens no rule either', () => {
		const loose = { ...structuredClone(findMovement('90-90-fold')!), slug: 'own-harbour-fold' };
		loose.cautions = loose.cautions.map((said) => ({ ...said, okIn: loose.forms.map(({ id }) => id) }));
		const read = readMovements(JSON.parse(JSON.stringify(writeMovements([loose]).movements)), findMovement);
		const brought = read.ok ? read.value[0]! : null;
		expect(suits(brought!, 'full', 'front-of-hip pinch').kind).toBe('instead');
	});

	it.each(CAUTIONS)('%s: everybody has something to do, and never anything harder', (caution) => {
		const wrong: string[] = [];
		for (const movement of CATALOGUE)
			for (const form of movement.forms) {
				const verdict = suits(movement, form.id, caution);
				if (verdict.kind === 'other form') {
					const other = movement.forms.find(({ id }) => id === verdict.form)!;
					if (!isNoHarder(other, form)) wrong.push(`${movement.slug} ${form.id} -> ${other.id}`);
				}
				if (verdict.kind !== 'instead') continue;
				const other = givenInstead(movement, form.id, caution, findMovement);
				if (!other) wrong.push(`${movement.slug} ${form.id}: nothing`);
				else if (!isNoHarder(other.form, form))
					wrong.push(`${movement.slug} ${form.id} -> ${other.movement.slug} ${other.form.id}`);
				else if (provokedBy(other.movement, other.form, conditionOf(caution)).length)
					wrong.push(`${movement.slug} ${form.id} -> ${other.movement.slug} provokes it too`);
			}
		expect(wrong).toEqual([]);
	});
});

describe('the physiotherapist’s list', () => {
	const rows = Object.entries(MUST_NOT).flatMap(([caution, slugs]) =>
		slugs.map((slug) => [slug, caution as Caution] as const)
	);

	it('is walked whole', () => expect(rows.length).toBeGreaterThanOrEqual(69));

	it.each(rows)('%s, %s', (slug, caution) => {
		const movement = findMovement(slug)!;
		const answer = ANSWERED[`${slug}/${caution}`];
		const said = movement.cautions.find((one) => one.caution === caution);
		if (!said) {
			expect(answer?.forms).toEqual(movement.forms.map(({ id }) => id));
			return;
		}
		if (CLINICIAN_DECIDES.has(caution)) expect(suits(movement, 'full', caution).kind).toBe('clinician');
		const usual = movement.forms.find(({ id }) => id === 'full') ?? movement.forms[0]!;
		const allowed = answer?.forms ?? fineIn(movement, caution).map(({ id }) => id);
		expect(fineIn(movement, caution).map(({ id }) => id)).toEqual(allowed);
		// the form that a class usually gets is handed to them only where the answer says why
		if (!answer?.forms.includes(usual.id)) expect(said.okIn).not.toContain(usual.id);
	});
});

describe('docs/cautions.md', () => {
	it('is as the table makes it', () => {
		for (const [path, text] of Object.entries(cautionsDoc())) expect(readFileSync(path, 'utf8')).toBe(text);
	});
});

describe('tests', () => {
	it('are left out, or another of them is taken, where a caution forbids the end of the range', () => {
		expect(testWithCaution('ninety-ninety-seat', 'front-of-hip pinch')).toEqual({
			kind: 'another',
			test: 'leg-roll'
		});
		expect(testWithCaution('squat-heels-down', 'sore knee')).toEqual({ kind: 'leaves it out' });
		expect(testWithCaution('leg-roll', 'after hip replacement')).toEqual({ kind: 'clinician' });
		expect(testWithCaution('leg-roll', 'front-of-hip pinch')).toEqual({ kind: 'takes it' });
		// nobody is sent from one test to another that their caution forbids too
		for (const test of TEST_IDS)
			for (const caution of CAUTIONS) {
				const verdict = testWithCaution(test, caution);
				if (verdict.kind === 'another') expect(testWithCaution(verdict.test, caution).kind).toBe('takes it');
			}
	});
});
