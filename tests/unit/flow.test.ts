import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock, owedAt, phaseSeconds, type TimelineEntry } from '../../src/lib/core/clock';
import { fit } from '../../src/lib/core/fit';
import { HIP_TESTS, TEST_IDS } from '../../src/lib/core/hip-tests';
import { type PaceChanges, USUAL_PACE } from '../../src/lib/core/pace';
import {
	applyEdit,
	breathsToEach,
	doseByOne,
	doseDragged,
	impliedLinks,
	itemsOf,
	legsThrough,
	linkEdit,
	planFaults,
	visitsBefore,
	type ClassPlan,
	type Flow
} from '../../src/lib/core/plan';
import { PlanWriter } from '../../src/lib/demo/build';
import { read } from './checks/case';

const seconds = (e: TimelineEntry) => e.toSeconds - e.fromSeconds;

/** A wave from all fours through a lunge, as it is often taught. */
function wave(
	words: Parameters<PlanWriter['flow']>[1] = {},
	pinnedPace: PaceChanges = {},
	breathsEach: number | null = 1
): ClassPlan {
	const w = new PlanWriter();
	w.add(
		'warm',
		w.flow([w.item('cat-cow'), w.item('low-lunge'), w.item('quadruped-knee-sweep')], words, breathsEach)
	);
	return { ...w.plan('A wave', '18:30', 1800), pinnedPace };
}
const flowOf = (plan: ClassPlan) => plan.sections[1]!.blocks[0] as Flow;
const timeline = (plan: ClassPlan) => clock(plan, findMovement, USUAL_PACE);
const work = (plan: ClassPlan) => timeline(plan).entries.filter((e) => e.phase === 'work');

describe('a flow on the clock', () => {
	it('gives one breath to each movement and goes round', () => {
		const entries = work(wave({ rounds: 4 }));
		expect(entries).toHaveLength(12);
		expect(new Set(entries.map(seconds))).toEqual(new Set([5]));
	});

	it('is set up step by step in the first round, and rides on the breath after it', () => {
		const [first, two] = [1, 2].map((rounds) => timeline(wave({ rounds })).totalSeconds);
		// all fours, kneeling and all fours again: two moves of 8 s; three steps of 2 s; three breaths of 5 s
		expect(first).toBe(2 * 8 + 3 * 2 + 3 * 5);
		expect(two! - first!).toBe(3 * 5);
	});

	it('lets one shape have its own breaths, and one be passed through', () => {
		const plan = wave({ rounds: 2 });
		const [cat, lunge, sweep] = itemsOf(plan).map(({ id }) => id);
		const other = [
			{ do: 'setDose', itemId: lunge!, change: { amount: 3, byBreath: undefined } },
			{ do: 'setItem', itemId: sweep!, change: { passed: true } }
		] as const;
		const now = other.reduce(applyEdit, plan);
		expect(planFaults(now, findMovement)).toEqual([]);
		const each = (id: string) =>
			work(now)
				.filter((e) => e.itemId === id)
				.map(seconds);
		expect(each(cat!)).toEqual([5, 5]);
		// held: 7 s a breath
		expect(each(lunge!)).toEqual([21, 21]);
		// 0.8 of a breath of 5 s
		expect(each(sweep!)).toEqual([4, 4]);
		expect(breathsToEach(flowOf(now))).toBeNull();
		expect(breathsToEach(flowOf(plan))).toBe(1);
	});

	it('is led by the other leg in each next round', () => {
		const leads = work(wave({ rounds: 4 }))
			.filter((e) => e.movement === 'low-lunge')
			.map((e) => e.leads);
		expect(leads).toEqual(['left', 'right', 'left', 'right']);
	});

	it('or goes through all rounds on one side, then on the other', () => {
		const leads = work(wave({ rounds: 2, sides: 'mirror' }))
			.filter((e) => e.movement === 'low-lunge')
			.map((e) => e.leads);
		expect(leads).toEqual(['left', 'left', 'right', 'right']);
		expect(phaseSeconds(timeline(wave({ rounds: 2, sides: 'mirror' }))).change).toBe(11);
	});

	it('owes a round to the other side when the rounds are odd, and one more pays it', () => {
		const odd = wave({ rounds: 3 });
		const owed = owedAt(timeline(odd), timeline(odd).totalSeconds);
		expect(owed.map(({ movement, leg, seconds: s }) => [movement, leg, s])).toEqual([
			['low-lunge', 'right', 5],
			['quadruped-knee-sweep', 'right', 5]
		]);
		const { findings, context } = read(odd);
		const finding = findings.find((f) => f.checkId === 'owed-at-end');
		expect(finding?.message).toBe(
			'Low lunge: the right leg is still owed 0:05 at the end, because its flow has an odd number of rounds (also Knee in, out and back)'
		);
		expect(context.items[0]?.item.mode).toBe('dynamic');
		const even = applyEdit(odd, { do: 'setFlow', blockId: flowOf(odd).id, change: { rounds: 4 } });
		expect(owedAt(timeline(even), timeline(even).totalSeconds)).toEqual([]);
	});

	it('leaves out on the second side what is given on one side only', () => {
		const plan = wave({ rounds: 2 });
		const lunge = itemsOf(plan)[1]!;
		const once = applyEdit(plan, {
			do: 'setItem',
			itemId: lunge.id,
			change: { oneSided: { reason: 'the tighter side' } }
		});
		expect(work(once).filter((e) => e.itemId === lunge.id)).toHaveLength(1);
	});

	it('is no knob of the fit while the breath times it, and every pass counts when it is timed', () => {
		const breathed = wave();
		expect(fit(breathed, findMovement, USUAL_PACE, 1800).ok).toBe(false);
		const w = new PlanWriter();
		w.add('warm', w.flow([w.item('low-lunge'), w.item('frog', { dose: 60 })], {}, null));
		w.add('rest', w.item('savasana'));
		const plan = w.plan('Timed', '18:30', 1200);
		const fitted = fit(plan, findMovement, USUAL_PACE);
		if (!fitted.ok) throw new Error(fitted.message);
		expect(timeline(applyEdit(plan, { do: 'setDoses', doses: fitted.doses })).totalSeconds).toBe(1200);
	});

	it('is made longer and shorter item by item', () => {
		const [lunge] = itemsOf(wave()).slice(1);
		expect(doseByOne(lunge!, findMovement, 1)).toMatchObject({ do: 'setDose', change: { amount: 2 } });
		expect(doseByOne(lunge!, findMovement, -1)).toBeNull();
		expect(doseDragged(lunge!, findMovement, 10, 5)).toMatchObject({ change: { amount: 3 } });
	});

	it('may not be written so long that no clock can follow', () => {
		const plan = wave();
		const rounds = applyEdit(plan, { do: 'setFlow', blockId: flowOf(plan).id, change: { rounds: 25 } });
		expect(planFaults(rounds, findMovement)[0]?.path).toBe('sections[1].blocks[0].rounds');
		const many: ClassPlan = {
			...plan,
			sections: plan.sections.map((section, s) =>
				s !== 1
					? section
					: {
							...section,
							blocks: Array.from({ length: 60 }, (_, i) => ({
								...flowOf(plan),
								id: `f${i}`,
								rounds: 24,
								items: flowOf(plan).items.map((item) => ({ ...item, id: `${item.id}-${i}` }))
							}))
						}
			)
		};
		expect(planFaults(many, findMovement)).toEqual([
			{ path: 'sections', message: 'the rounds of all flows make 4320 steps; at most 3000 are allowed' }
		]);
	});
});

describe('a leg through links', () => {
	function chained(): ClassPlan {
		const w = new PlanWriter();
		w.add('build', w.chain(w.item('low-lunge'), w.item('pigeon-fold'), w.item('cat-cow'), w.item('clam')));
		return w.plan('Links', '18:30', 1800);
	}
	const leads = (plan: ClassPlan) =>
		itemsOf(plan)
			.map((item) => item.lead[0])
			.join('');

	it('stepping through changes who leads, from there on; taking it back changes it back', () => {
		const plan = chained();
		const pigeon = itemsOf(plan)[1]!.id;
		const through = applyEdit(plan, linkEdit(plan, findMovement, pigeon, 'steps through')!);
		expect(leads(through)).toBe('lrrr');
		expect(itemsOf(through)[1]!.link).toBe('steps through');
		const back = applyEdit(through, linkEdit(through, findMovement, pigeon, undefined)!);
		expect(back).toEqual(plan);
	});

	it('goes past what has no sides', () => {
		const plan = chained();
		const block = plan.sections[2]!.blocks[0]!;
		if (block.kind !== 'chain') throw new Error('no chain');
		expect(legsThrough(block, findMovement).map((l) => l.before?.movement.slug)).toEqual([
			undefined,
			'low-lunge',
			'pigeon-fold'
		]);
		expect(linkEdit(plan, findMovement, block.items[0]!.id, 'steps through')).toBeNull();
	});

	it('standing up out of a floor shape loads the other leg, and the next goes on from there', () => {
		const w = new PlanWriter();
		w.add('build', w.chain(w.item('clam'), w.item('warrior-2'), w.item('standing-figure-four')));
		const plan = w.plan('Up', '18:30', 1800);
		const edits = impliedLinks(plan, findMovement, itemsOf(plan)[0]!.id);
		const after = edits.reduce(applyEdit, plan);
		expect(leads(after)).toBe('lrr');
		expect(itemsOf(after).map((item) => item.link)).toEqual([undefined, 'stands up', undefined]);
		expect(read(after).findings.filter((f) => f.checkId === 'leg-through-links')).toEqual([]);
		expect(impliedLinks(after, findMovement, itemsOf(plan)[0]!.id)).toEqual([]);
	});

	it('is forgotten when the chain is taken apart', () => {
		const plan = chained();
		const through = applyEdit(plan, linkEdit(plan, findMovement, itemsOf(plan)[1]!.id, 'steps through')!);
		const apart = applyEdit(through, { do: 'unchain', blockId: through.sections[2]!.blocks[0]!.id });
		expect(itemsOf(apart).some((item) => item.link)).toBe(false);
		expect(leads(apart)).toBe('lrrr');
	});
});

describe('tests and visits', () => {
	it('a test takes its time, and people get into place for it', () => {
		const w = new PlanWriter();
		w.add('settle', w.item('savasana', { dose: 120 }), w.test('one-leg-balance', 60));
		const { entries } = timeline(w.plan('Tested', '18:30', 1800));
		const phases = entries.filter((e) => e.itemId === null).map((e) => [e.phase, e.position, seconds(e)]);
		expect(phases).toEqual([
			['move', 'standing', 18],
			['test', 'standing', 60]
		]);
	});

	it('every test has words, and its time includes 6 to 25 s of noticing (observed: common practice, no source)', () => {
		for (const id of TEST_IDS) {
			const { name, how, look, usualSeconds } = HIP_TESTS[id];
			expect([name, how, look].every((words) => words.length > 5)).toBe(true);
			expect(usualSeconds).toBeGreaterThanOrEqual(2 * 6);
			expect(usualSeconds).toBeLessThanOrEqual(90);
		}
	});

	it('counts how often a movement has been visited', () => {
		const w = new PlanWriter();
		w.add('build', w.item('clam'), w.item('cat-cow'), w.item('clam'), w.item('clam'));
		expect([...visitsBefore(w.plan('Visits', '18:30', 1800)).values()]).toEqual([0, 0, 1, 2]);
	});
});
