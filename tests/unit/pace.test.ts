import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock, doseSeconds } from '../../src/lib/core/clock';
import { KIT_KINDS, POSITIONS, TEMPOS } from '../../src/lib/core/movement';
import {
	DEFAULT_PACE,
	moveSeconds,
	moveTable,
	paceChangesSchema,
	paceOf,
	TALK_STYLES,
	USUAL_PACE
} from '../../src/lib/core/pace';
import { applyEdit, emptyPlan, newItem, type ClassPlan } from '../../src/lib/core/plan';

describe('the usual pace', () => {
	// medians observed while classes were taught: common practice, no published source
	it.each([
		['one held breath', DEFAULT_PACE.heldBreathSeconds, 6, 8],
		['one breath joined to a movement', DEFAULT_PACE.movingBreathSeconds, 4, 6],
		['one spoken count', DEFAULT_PACE.countSeconds, 1, 1.5],
		['changing sides', DEFAULT_PACE.changeSidesSeconds, 2, 32],
		['changing sides with a prop', DEFAULT_PACE.changeSidesWithPropSeconds, 11, 33],
		['explaining in a flow class', DEFAULT_PACE.explainSeconds.brief, 0, 5],
		['explaining in an ordinary class', DEFAULT_PACE.explainSeconds.ordinary, 12, 16],
		['explaining in a detailed class', DEFAULT_PACE.explainSeconds.detailed, 25, 40],
		['fetching a block', DEFAULT_PACE.fetchSeconds.block, 8, 12],
		['all fours from kneeling', moveSeconds(DEFAULT_PACE, 'kneeling', 'quadruped'), 6, 14],
		['lying down from sitting', moveSeconds(DEFAULT_PACE, 'seated', 'supine'), 8, 15],
		['legs to the wall from sitting', moveSeconds(DEFAULT_PACE, 'seated', 'wall-supine'), 16, 20]
	])('%s: %d s lies within what is usual, %d to %d s', (_what, seconds, from, to) => {
		expect(seconds).toBeGreaterThanOrEqual(from);
		expect(seconds).toBeLessThanOrEqual(to);
	});

	it('a count is not a breath, and a larger repetition takes longer', () => {
		expect(DEFAULT_PACE.countSeconds).toBeLessThan(DEFAULT_PACE.movingBreathSeconds / 2);
		const { small, sweep, large, balance } = DEFAULT_PACE.repetitionSeconds;
		expect([small, sweep, large, balance]).toEqual([small, sweep, large, balance].sort((a, b) => a - b));
	});

	it('has a figure for every kind of kit and every tempo', () => {
		for (const kit of KIT_KINDS) expect(DEFAULT_PACE.fetchSeconds[kit]).toBeGreaterThanOrEqual(0);
		for (const tempo of TEMPOS) expect(DEFAULT_PACE.repetitionSeconds[tempo]).toBeGreaterThan(0);
	});

	it('getting up takes no less time than getting down by the same way', () => {
		const lows = ['supine', 'wall-supine', 'seated'] as const;
		for (const low of lows)
			expect(moveSeconds(DEFAULT_PACE, low, 'standing')).toBeGreaterThanOrEqual(
				moveSeconds(DEFAULT_PACE, 'standing', low)
			);
	});
});

describe('a pace of one’s own', () => {
	it('changes what it names and nothing else', () => {
		expect(paceOf()).toEqual(DEFAULT_PACE);
		expect(paceOf(USUAL_PACE, { countSeconds: 2, talk: 'brief' })).toEqual({
			...DEFAULT_PACE,
			countSeconds: 2,
			talk: 'brief'
		});
	});

	it('scales every change of position alike', () => {
		const twice = moveTable(paceOf(USUAL_PACE, { moveSeconds: 2 * DEFAULT_PACE.moveSeconds }));
		moveTable(DEFAULT_PACE).forEach(({ seconds }, i) =>
			expect(twice[i]!.seconds).toBeCloseTo(2 * seconds, 9)
		);
		expect(twice).toHaveLength(POSITIONS.length * (POSITIONS.length - 1));
		for (const { from } of twice) expect(moveSeconds(DEFAULT_PACE, from, from)).toBe(0);
	});

	it.each<[string, unknown, boolean]>([
		['nothing', {}, true],
		...TALK_STYLES.map((talk): [string, unknown, boolean] => [talk, { talk }, true]),
		['a talk that is not there', { talk: 'chatty' }, false],
		['the shortest breath', { heldBreathSeconds: 3 }, true],
		['a breath below it', { heldBreathSeconds: 2.9 }, false],
		['a breath too long', { heldBreathSeconds: 16 }, false],
		['no set-up at all', { setUpSeconds: 0 }, true],
		['a time before the start', { setUpSeconds: -1 }, false],
		['a count in words', { countSeconds: 'two' }, false],
		['a count without end', { countSeconds: Infinity }, false],
		['a field that is not there', { breathSeconds: 6 }, false]
	])('%s', (_what, value, sound) => {
		expect(paceChangesSchema.isValidSync(value, { strict: true })).toBe(sound);
	});

	it('reaches the clock: ten slower breaths are ten times the difference', () => {
		const butterfly = findMovement('butterfly')!;
		const empty = emptyPlan('A class', '18:30', 1800);
		const block = { ...newItem(empty, butterfly), mode: 'passive' as const, dose: 10 };
		const plan = applyEdit(empty, { do: 'insert', at: { sectionId: 'build', index: 0 }, block });
		const seconds = (p: ClassPlan) => clock(p, findMovement).totalSeconds;
		expect(seconds({ ...plan, pinnedPace: { heldBreathSeconds: 9 } }) - seconds(plan)).toBeCloseTo(
			10 * (9 - 7),
			6
		);
		const held = { unit: 'breaths', min: 5, usual: 8, max: 20 } as const;
		expect(doseSeconds(held, 'passive', 10, DEFAULT_PACE)).toBe(70);
	});
});
