/**
 * Doses that teachers give (common practice, no published source): each can be planned, lasts as long as it should, and
 * goes through the file format and the words of the card without loss.
 */
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock, owedAt, type TimelineEntry } from '../../src/lib/core/clock';
import { fit } from '../../src/lib/core/fit';
import { readPlanFile, writePlanFile } from '../../src/lib/core/formats';
import { formOf, type Movement } from '../../src/lib/core/movement';
import { USUAL_PACE } from '../../src/lib/core/pace';
import {
	applyEdit,
	changedDose,
	countedIn,
	doseInWords,
	itemsOf,
	planFaults,
	turnsChange,
	type ClassPlan,
	type Dose,
	type Item
} from '../../src/lib/core/plan';
import { orbit } from '../../src/lib/core/orbit';
import { PlanWriter } from '../../src/lib/demo/build';

const movement = (slug: string) => findMovement(slug) as Movement;

function planOf(slug: string, dose: Dose, more: Partial<Item> = {}): ClassPlan {
	const w = new PlanWriter();
	return w.add('build', { ...w.item(slug, { dose }), ...more }).plan('Given', '18:30', 600);
}
const seconds = ({ fromSeconds, toSeconds }: TimelineEntry) => toSeconds - fromSeconds;
const phases = (plan: ClassPlan, phase: TimelineEntry['phase']) =>
	clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === phase);
const workOf = (plan: ClassPlan) => phases(plan, 'work').map(seconds);

/** The dose in words of the card, and the seconds of each stretch of work. A count lasts 1.7 s, a held breath 7 s. */
const GIVEN: [string, string, Dose, Partial<Item>, string, number[]][] = [
	[
		'five rounds of three counts at 80 %, a short rest between',
		'90-90-press',
		{ amount: 3, unit: 'counts', sets: 5, restSeconds: 5, effortPercent: 80 },
		{ mode: 'isometric' },
		'3 counts each side, at 80 %, 5 sets, 5 s between',
		Array(10).fill(5)
	],
	[
		'five presses of five counts each',
		'90-90-press',
		{ amount: 5, unit: 'repetitions', hold: { amount: 5, unit: 'counts' } },
		{ mode: 'isometric' },
		'5 repetitions each side, each held 5 counts',
		// 4.6 s and 8.5 s, five times
		[66, 66]
	],
	[
		'rounds of a press: held for five seconds, eased with a breath',
		'90-90-press',
		{ amount: 3, unit: 'rounds', hold: { amount: 5, unit: 'seconds' } },
		{ mode: 'isometric' },
		'3 rounds each side, each held 5 seconds',
		[33, 33]
	],
	[
		'three sets of five breaths a side',
		'low-lunge',
		{ amount: 5, sets: 3, restSeconds: 20 },
		{ mode: 'active' },
		'5 breaths each side, 3 sets, 20 s between',
		Array(6).fill(35)
	],
	[
		'a pigeon held actively for one to two minutes',
		'pigeon-upright',
		{ amount: 60, most: 120, unit: 'seconds' },
		{ mode: 'active' },
		'60–120 seconds each side',
		[90, 90]
	],
	[
		'a beginner’s first hold: five counts',
		'low-lunge',
		{ amount: 5, unit: 'counts' },
		{ mode: 'active' },
		'5 counts each side',
		[9, 9]
	],
	[
		'ten lifts, the last one kept up for three breaths',
		'clam',
		{ amount: 10, lastHold: { amount: 3, unit: 'breaths' } },
		{},
		'10 repetitions each side, the last held 3 breaths',
		[67, 67]
	],
	[
		'circles, four forward and four back',
		'standing-hip-circle',
		{ amount: 4, bothWays: true },
		{},
		'4 repetitions each side, each way',
		[64, 64]
	],
	[
		'more on the weaker side',
		'clam',
		{ amount: 10, moreOn: { leg: 'left', amount: 5 }, unevenReason: 'the left is weaker' },
		{},
		'10 repetitions each side, 5 repetitions more with the left leg',
		[69, 46]
	],
	[
		'fewer on the second pass',
		'clam',
		{ amount: 10, secondSide: 6 },
		{},
		'10 repetitions each side, 6 repetitions on the second side',
		[46, 28]
	],
	['thirty to sixty seconds, as it suits', 'happy-baby', { amount: 30, most: 60 }, {}, '30–60 seconds', [45]],
	[
		'a minute of marching by turns',
		'supine-march',
		{ amount: 60, unit: 'seconds' },
		{},
		'60 seconds by turns',
		[60]
	],
	[
		'ten lunges by turns of a movement that usually is not',
		'low-lunge-knee-lift',
		{ amount: 10, unit: 'repetitions' },
		{ byTurns: true },
		'10 repetitions by turns',
		[46]
	],
	['a plank on the way', 'plank', { amount: 1 }, { passed: true }, 'passed through', [11]]
];

describe.each(GIVEN)('%s', (_what, slug, dose, more, words, work) => {
	const plan = planOf(slug, dose, more);

	it('is no fault, and lasts so long', () => {
		expect(planFaults(plan, findMovement)).toEqual([]);
		expect(workOf(plan)).toEqual(work);
	});

	it('stands so on the card', () => {
		expect(doseInWords(itemsOf(plan)[0]!, findMovement)).toBe(words);
	});

	it('comes back from a file as it was', () => {
		const read = readPlanFile(writePlanFile({ plan, group: null, movements: [] }), findMovement);
		expect(read.ok && read.value.plan).toEqual(plan);
	});

	it('is brought to another length with all that belongs to it', () => {
		if (more.passed) return;
		const now = clock(plan, findMovement, USUAL_PACE).totalSeconds;
		const first = itemsOf(plan)[0]!;
		const longer = applyEdit(plan, { do: 'setDose', itemId: first.id, change: { amount: dose.amount + 1 } });
		const by = clock(longer, findMovement, USUAL_PACE).totalSeconds - now;
		const fitted = fit(longer, findMovement, USUAL_PACE, now);
		expect(by).toBeGreaterThan(0);
		// a dose that is not usual may stay where it is and go towards what is usual, never further
		if (!fitted.ok) return;
		const after = applyEdit(longer, { do: 'setDoses', doses: fitted.doses });
		expect(clock(after, findMovement, USUAL_PACE).totalSeconds).toBe(now);
		const { amount: _a, most: _m, secondSide: _s, ...same } = itemsOf(after)[0]!.dose;
		const { amount: _b, most: _n, secondSide: _t, ...before } = dose;
		expect(same).toEqual(before);
	});
});

describe('sets', () => {
	it('rest in between, and are changed by the fit last of all', () => {
		const plan = planOf('clam', { amount: 8, sets: 3, restSeconds: 20 });
		expect(phases(plan, 'setRest').map(seconds)).toEqual([20, 20, 20, 20]);
		const one = planOf('clam', { amount: 8 });
		const less = clock(one, findMovement, USUAL_PACE).totalSeconds + 2 * (20 + 37);
		// two sets of 8: no number of repetitions in three sets is so short
		const fitted = fit(plan, findMovement, USUAL_PACE, less);
		if (!fitted.ok) throw new Error(fitted.message);
		expect(fitted.changed).toEqual([
			{ itemId: 'b1', from: { amount: 8, sets: 3 }, to: { amount: 8, sets: 2 } }
		]);
		const after = applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
		expect(clock(after, findMovement, USUAL_PACE).totalSeconds).toBe(less);
	});

	it('stay as they are where amounts suffice', () => {
		const plan = planOf('clam', { amount: 8, sets: 2, restSeconds: 20 });
		const fitted = fit(
			plan,
			findMovement,
			USUAL_PACE,
			clock(plan, findMovement, USUAL_PACE).totalSeconds + 4 * 9
		);
		expect(fitted.ok && fitted.changed).toEqual([
			{ itemId: 'b1', from: { amount: 8, sets: 2 }, to: { amount: 10, sets: 2 } }
		]);
	});
});

describe('sides', () => {
	it('that take turns need no change, owe nothing at any second, and load both legs alike', () => {
		const plan = planOf('supine-march', { amount: 16 });
		const timeline = clock(plan, findMovement, USUAL_PACE);
		expect(timeline.entries.map(({ phase }) => phase)).toEqual(['explain', 'setUp', 'work']);
		for (let t = 0; t <= timeline.totalSeconds; t += 5) expect(owedAt(timeline, t)).toEqual([]);
		const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
		const { range } = orbit(timeline, findMovement, (id) => items.get(id));
		expect(range.left).toEqual(range.right);
		// as much as one side after the other gives each leg
		const sides = applyEdit(plan, {
			do: 'setItem',
			itemId: 'b1',
			change: turnsChange(itemsOf(plan)[0]!, movement('supine-march'), false)
		});
		expect(itemsOf(sides)[0]).toMatchObject({ byTurns: false, dose: { amount: 8 } });
		const byId = new Map(itemsOf(sides).map((item) => [item.id, item]));
		const apart = orbit(clock(sides, findMovement, USUAL_PACE), findMovement, (id) => byId.get(id));
		expect(apart.range.left.flexion).toBeCloseTo(range.left.flexion, 0);
	});

	it('a movement by turns stands once in a chain', () => {
		const w = new PlanWriter();
		w.add('build', w.chain(w.item('low-lunge'), w.item('side-lunge-shift')));
		const plan = w.plan('Chain', '18:30', 600);
		expect(phases(plan, 'work').map((e) => e.movement)).toEqual([
			'low-lunge',
			'side-lunge-shift',
			'low-lunge'
		]);
	});

	it('are changed by a slow switch, after a pause to notice', () => {
		const plan = planOf('90-90-sit', { amount: 5 }, { slowChange: true, noticeFirstSeconds: 12 });
		expect(phases(plan, 'notice').map(seconds)).toEqual([12]);
		expect(phases(plan, 'change').map(seconds)).toEqual([15]);
		const w = new PlanWriter();
		const chain = w.chain(w.item('90-90-sit'), w.item('clam'));
		w.add('build', chain);
		const chained = applyEdit(w.plan('Chain', '18:30', 600), {
			do: 'setChain',
			blockId: chain.id,
			change: { slowChange: true, noticeFirstSeconds: 10 }
		});
		expect(planFaults(chained, findMovement)).toEqual([]);
		expect([...phases(chained, 'notice'), ...phases(chained, 'change')].map(seconds)).toEqual([10, 15]);
	});
});

describe('what is nonsense is refused, with where it is', () => {
	const path = 'sections[2].blocks[0].dose';
	it.each<[string, Dose, string]>([
		['nothing at all', { amount: 0 }, `${path}.amount`],
		['less than nothing', { amount: -3 }, `${path}.amount`],
		['half a breath', { amount: 1.5 }, `${path}.amount`],
		['a range that falls', { amount: 60, most: 30 }, `${path}.most`],
		['eleven sets', { amount: 5, sets: 11 }, `${path}.sets`],
		['more than all', { amount: 5, effortPercent: 120 }, `${path}.effortPercent`],
		['over an hour on one side', { amount: 520 }, path]
	])('%s', (_what, dose, where) => {
		expect(planFaults(planOf('low-lunge', dose, { mode: 'active' }), findMovement)[0]?.path).toBe(where);
	});
});

describe('changing a dose', () => {
	it('leaves no field that says nothing', () => {
		const full: Dose = {
			amount: 8,
			most: 12,
			sets: 3,
			restSeconds: 20,
			hold: { amount: 5, unit: 'counts' },
			moreOn: { leg: 'left', amount: 2 },
			unevenReason: 'weaker'
		};
		expect(changedDose(full, { most: undefined, hold: undefined })).toEqual({
			amount: 8,
			sets: 3,
			restSeconds: 20,
			moreOn: { leg: 'left', amount: 2 },
			unevenReason: 'weaker'
		});
		// a rest belongs to sets, a reason to what differs
		expect(changedDose(full, { sets: 1, moreOn: undefined, most: undefined, hold: undefined })).toEqual({
			amount: 8
		});
		expect(changedDose(full, { amount: 12, sets: undefined, hold: undefined, moreOn: undefined })).toEqual({
			amount: 12
		});
	});

	it('counts in another unit for about as long, and loses what only repetitions have', () => {
		const item = itemsOf(planOf('clam', { amount: 10, hold: { amount: 3, unit: 'counts' }, sets: 2 }))[0]!;
		const form = formOf(movement('clam'), 'full')!;
		const inSeconds = changedDose(item.dose, countedIn(item, movement('clam'), form, 'seconds'));
		// 10 repetitions of 4.6 s, in fives
		expect(inSeconds).toEqual({ amount: 45, unit: 'seconds', sets: 2 });
		const back = countedIn({ ...item, dose: inSeconds }, movement('clam'), form, 'repetitions');
		expect(changedDose(inSeconds, back)).toEqual({ amount: 10, sets: 2 });
	});
});
