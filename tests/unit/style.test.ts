import { describe, expect, it } from 'vitest';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { clock } from '../../src/lib/core/clock';
import { fit } from '../../src/lib/core/fit';
import {
	doseRange,
	exchanged,
	formOf,
	FAMILIES,
	isHold,
	type Form,
	type Movement
} from '../../src/lib/core/movement';
import {
	applyEdit,
	copyOf,
	emptyPlan,
	firstSideOf,
	formChange,
	itemsOf,
	mirror,
	newItem,
	planFaults,
	startSides,
	type ClassPlan
} from '../../src/lib/core/plan';
import {
	cuesFor,
	firstForm,
	QUESTION_IDS,
	questionOf,
	styledRange,
	styleOf,
	widestRange,
	type StyleChoices
} from '../../src/lib/core/style';

const movement = (slug: string) => findMovement(slug) as Movement;
const form = (slug: string, id: Form['id'] = 'full') => formOf(movement(slug), id)!;
const empty = (choices: StyleChoices = {}) => emptyPlan('A class', '18:30', 1800, choices);
const withItem = (plan: ClassPlan, slug: string, change = {}) =>
	applyEdit(plan, {
		do: 'insert',
		at: { sectionId: 'build', index: plan.sections[2]!.blocks.length },
		block: { ...newItem(plan, movement(slug)), ...change }
	});

describe('every question on which the schools differ', () => {
	it.each(QUESTION_IDS)('%s has at least two schools, each with its line, and says what it changes', (id) => {
		const { ask, schools, changes, families } = questionOf(id);
		expect(ask).not.toBe('');
		expect(changes).not.toBe('');
		expect(schools.length).toBeGreaterThanOrEqual(2);
		expect(new Set(schools.map((s) => s.id)).size).toBe(schools.length);
		for (const school of schools) {
			expect(school.line).not.toBe('');
			if (families) expect(school.cue, school.id).toBeTruthy();
		}
		for (const family of families ?? []) expect(FAMILIES).toContain(family);
	});

	it('a whole style has the first school where nothing was chosen', () => {
		expect(styleOf({ sides: 'more time' })).toMatchObject({ sides: 'more time', pigeonShin: 'heel in' });
	});

	it('every family of shapes is in the catalogue', () => {
		for (const family of FAMILIES)
			expect(
				CATALOGUE.some((m) => m.families.includes(family)),
				family
			).toBe(true);
	});
});

describe('a style changes', () => {
	it('cues, in the shapes that the question is about and in no other', () => {
		expect(cuesFor(movement('pigeon-fold'), { pigeonShin: 'parallel' })[0]).toContain('parallel');
		expect(cuesFor(movement('pigeon-fold'), {})[0]).toContain('heel in toward the other hip');
		expect(cuesFor(movement('clam'), { pigeonShin: 'parallel' })).toEqual([]);
		expect(cuesFor(movement('warrior-2'), { warriorPelvis: 'squared' })).toEqual([
			'Bring both hip points level to the shape.'
		]);
	});

	it('the longest passive hold: two minutes when active, five when quiet and not too deep', () => {
		const bridge = form('supported-bridge', 'supported');
		const range = (holding: 'active' | 'quiet' | 'as listed') =>
			styledRange(styleOf({ holding }), bridge, 'passive');
		expect(range('as listed')).toMatchObject({ usual: 90, max: 180 });
		expect(range('active')).toMatchObject({ usual: 90, max: 120 });
		expect(range('quiet')).toMatchObject({ usual: 180, max: 300 });
		expect(styledRange(styleOf({ holding: 'quiet' }), form('frog'), 'passive').max).toBe(90);
		expect(styledRange(styleOf({ holding: 'active' }), form('low-lunge'), 'active')).toEqual(
			doseRange(form('low-lunge'), 'active')
		);
	});

	it('no range in any style lies outside what a plan may hold', () => {
		for (const m of CATALOGUE)
			for (const f of m.forms)
				for (const mode of m.modes)
					for (const holding of ['as listed', 'active', 'quiet'] as const)
						for (const unit of [undefined, 'breaths', 'seconds'] as const) {
							const styled = styledRange(styleOf({ holding }), f, mode, unit);
							const widest = widestRange(f, mode, unit);
							expect(styled.unit).toBe(widest.unit);
							expect(styled.min).toBeLessThanOrEqual(styled.usual);
							expect(styled.usual).toBeLessThanOrEqual(styled.max);
							expect(styled.max, `${m.slug} ${f.id} ${mode} ${holding} ${unit}`).toBeLessThanOrEqual(
								widest.max
							);
						}
	});

	it('what counts a new hold: breaths become seconds and back, everything else stays', () => {
		// 5 breaths of 7 s (observed 6-8: common practice, no source)
		const breaths = { unit: 'breaths', min: 1, usual: 5, max: 9 } as const;
		const byTheClock = { ...breaths, unit: 'seconds' } as const;
		expect(exchanged(5, breaths, byTheClock, 'passive')).toBe(35);
		expect(exchanged(35, byTheClock, breaths, 'passive')).toBe(5);
		expect(exchanged(2, byTheClock, breaths, 'passive')).toBe(1);
		const byClock = newItem(empty({ counting: 'seconds' }), movement('low-lunge'), 'left', 'full');
		expect(byClock.dose).toEqual({ unit: 'seconds', amount: 35 });
		expect(newItem(empty({ counting: 'breaths' }), movement('low-lunge')).dose.unit).toBeUndefined();
		expect(newItem(empty({ counting: 'seconds' }), movement('clam')).dose.unit).toBeUndefined();
		for (const m of CATALOGUE) {
			const item = newItem(empty({ counting: 'breaths' }), m);
			const range = doseRange(formOf(m, item.form)!, item.mode, item.dose.unit);
			if (isHold(range) && item.mode !== 'rest') expect(range.unit, m.slug).toBe('breaths');
		}
	});

	it('which form is offered first', () => {
		expect(firstForm(styleOf(), movement('supine-butterfly')).id).toBe('full');
		expect(firstForm(styleOf({ supports: 'from the start' }), movement('supine-butterfly')).id).toBe(
			'supported'
		);
		expect(firstForm(styleOf(), movement('pigeon-fold')).id).toBe('supported');
		expect(firstForm(styleOf({ pigeonShin: 'parallel' }), movement('pigeon-fold')).id).toBe('full');
	});

	it('which side goes first in the next class', () => {
		const last = withItem(empty(), 'clam');
		expect(firstSideOf(last)).toBe('left');
		const next = startSides(empty({ firstSide: 'alternate' }), last);
		expect(next.firstSide).toBe('right');
		expect(newItem(next, movement('clam')).lead).toBe('right');
		expect(startSides(empty({ firstSide: 'alternate' }), mirror(last)).firstSide).toBe('left');
		expect(startSides(empty(), last).firstSide).toBeUndefined();
		expect(startSides(empty({ firstSide: 'alternate' }), undefined).firstSide).toBeUndefined();
	});
});

describe('a hold in the other unit', () => {
	it('takes the seconds it says, and is fitted in its unit', () => {
		const plan = withItem(empty(), 'low-lunge', { form: 'full', dose: { unit: 'seconds', amount: 40 } });
		expect(planFaults(plan, findMovement)).toEqual([]);
		const work = clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === 'work');
		expect(work.map((e) => e.toSeconds - e.fromSeconds)).toEqual([40, 40]);
		const now = clock(plan, findMovement, USUAL_PACE).totalSeconds;
		const fitted = fit(plan, findMovement, USUAL_PACE, now + 10);
		expect(fitted.ok && fitted.doses[itemsOf(plan)[0]!.id]).toEqual({ amount: 45 });
	});

	it('is taken where there are repetitions too: so many seconds of them', () => {
		const plan = withItem(empty(), 'clam', { dose: { unit: 'seconds', amount: 60 } });
		expect(planFaults(plan, findMovement)).toEqual([]);
		const work = clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === 'work');
		expect(work.map((e) => e.toSeconds - e.fromSeconds)).toEqual([60, 60]);
	});

	it('stays when the mode is another one', () => {
		const plan = empty();
		const item = { ...newItem(plan, movement('low-lunge')), dose: { unit: 'seconds' as const, amount: 40 } };
		const change = formChange(plan, item, movement('low-lunge'), { mode: 'dynamic' });
		expect(change).toMatchObject({ mode: 'dynamic', dose: { unit: 'seconds' } });
	});
});

describe('more on one side', () => {
	const plan = withItem(empty({ sides: 'more time' }), 'low-lunge', {
		form: 'full',
		dose: { amount: 4, moreOn: { leg: 'right', amount: 3 } }
	});

	it('lengthens that side only', () => {
		const work = clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === 'work');
		expect(work.map((e) => [e.leads, e.toSeconds - e.fromSeconds])).toEqual([
			['left', 28],
			['right', 49]
		]);
	});

	it('is kept by the fit, which still reaches the length exactly', () => {
		const now = clock(plan, findMovement, USUAL_PACE).totalSeconds;
		const fitted = fit(plan, findMovement, USUAL_PACE, now + 28);
		expect(fitted.ok).toBe(true);
		if (!fitted.ok) return;
		const after = applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
		expect(clock(after, findMovement, USUAL_PACE).totalSeconds).toBe(now + 28);
		expect(itemsOf(after)[0]!.dose.moreOn).toEqual({ leg: 'right', amount: 3 });
	});

	it('is refused on a movement without sides', () => {
		const wrong = withItem(empty(), 'cat-cow', { dose: { amount: 4, moreOn: { leg: 'left', amount: 1 } } });
		expect(planFaults(wrong, findMovement)[0]?.message).toBe('cat-cow has no sides');
	});
});

it('a copied class asks for its confirmations anew', () => {
	const plan = withItem(empty(), 'frog', { confirmed: [{ caution: 'sore knee', on: '2026-11-20' }] });
	const copy = copyOf({ ...plan, madeWith: { frog: '0123456789abcdef' } });
	expect(itemsOf(copy)[0]!.confirmed).toBeUndefined();
	expect(copy.madeWith).toBeUndefined();
	expect(planFaults(copy, findMovement)).toEqual([]);
});
