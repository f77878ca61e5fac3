import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import { analysePlan } from '../../src/lib/core/analysis';
import { blocksOf, firstSideOf, itemsOf } from '../../src/lib/core/plan';
import { seededRandom } from '../../src/lib/core/propose';
import {
	missingIn,
	neglected,
	proposeSeries,
	analyseSeries,
	renewable,
	targetsWithMore,
	waiting,
	withProposed,
	type PlannedSeries
} from '../../src/lib/core/series';
import { newGroup, PRESETS } from '../../src/lib/core/group';
import { classWith, CLIMBERS, filled, ladder, logged, run, seriesOf, contextFor } from './series-built';

/** Little work: what is asked here holds whatever the search finds. */
const work = { roughSteps: 200, starts: 1, steps: 2500, mostStarts: 6 };
const choices = {};

function proposed(planned: PlannedSeries, only?: string[], seed = 5): PlannedSeries {
	let after = planned;
	const ask = { planned, context: contextFor(), choices, seed, work, ...(only ? { only } : {}) };
	for (const { classId, plan } of proposeSeries(ask)) after = withProposed(after, { [classId]: plan });
	return after;
}

describe('proposing a series', () => {
	const base = seriesOf({
		weeks: 5,
		easierEvery: 4,
		retest: { test: 'leg-roll', weeks: [1, 5] },
		ladders: [ladder('90-90-switch', 'full'), ladder('low-lunge-knee-lift', 'supported')]
	});
	const whole = proposed(base);
	const analysis = analyseSeries(whole, contextFor());

	it('fills every class, exact to the second, at its own time', () => {
		expect(waiting(analysis)).toEqual([]);
		for (const c of analysis.classes) {
			expect(c.analysis!.timeline.totalSeconds).toBe(3000);
			expect(c.plan!.startsAt).toBe(c.class.startsAt);
			expect(c.state).toBe('proposed');
		}
	});

	it('gives each class its rungs in their form, and at least their dose', () => {
		for (const c of analysis.classes) {
			expect(missingIn(c.plan!, c.given, [], whole.series)).toEqual([]);
			for (const { ladder: l, rung } of c.given) {
				const step = whole.series.ladders[l]!.rungs[rung]!;
				const own = itemsOf(c.plan!).filter(
					({ movement, form, mode }) => movement === step.movement && form === step.form && mode === step.mode
				);
				// each time further: never less than the rung says
				expect(Math.max(...own.map(({ dose }) => dose.amount)), step.movement).toBeGreaterThanOrEqual(
					step.dose
				);
			}
		}
	});

	it('takes the test at both ends of the weeks that have one, and nowhere else', () => {
		for (const c of analysis.classes) {
			const tests = blocksOf(c.plan!).filter(({ block }) => block.kind === 'test');
			expect(tests.map(({ section }) => section.kind)).toEqual(c.retest ? ['settle', 'release'] : []);
		}
	});

	it('alternates the leading side, and keeps most of the class before', () => {
		for (const [i, c] of analysis.classes.entries()) {
			if (i === 0) continue;
			const last = analysis.classes[i - 1]!;
			expect(firstSideOf(c.plan!)).not.toBe(firstSideOf(last.plan!));
			const before = new Set(itemsOf(last.plan!).map(({ movement }) => movement));
			const own = [...new Set(itemsOf(c.plan!).map(({ movement }) => movement))];
			expect(own.filter((slug) => before.has(slug)).length / own.length).toBeGreaterThan(0.5);
		}
	});

	it('asks less in the easier week than in the ordinary one before it', () => {
		const [, , third, fourth] = analysis.weeks;
		expect(fourth!.easier).toBe(true);
		expect(fourth!.load).toBeLessThan(third!.load);
	});

	it('is the same for a seed, and another for another', () => {
		expect(proposed(base)).toEqual(whole);
		const other = proposed(base, [base.series.classes[0]!.id], 6);
		const id = base.series.classes[0]!.id;
		expect(other.plans[id]).not.toEqual(whole.plans[id]);
	});

	it('leaves alone what was taught or changed by hand', () => {
		const [first, second, third] = whole.series.classes;
		const hand = { ...whole.plans[second!.id]!, sections: classWith(['clam']).sections };
		const mixed = logged({ ...whole, plans: { ...whole.plans, [second!.id]: hand } }, first!.id, run);
		const after = proposed(
			mixed,
			mixed.series.classes.map(({ id }) => id),
			9
		);
		expect(after.plans[first!.id]).toEqual(whole.plans[first!.id]);
		expect(after.plans[second!.id]).toEqual(hand);
		expect(after.plans[third!.id]).not.toEqual(whole.plans[third!.id]);
		expect(renewable(analyseSeries(mixed, contextFor()))).toHaveLength(3);
	});

	it('brings back what a taught class left out, and only the classes that are behind are made anew', () => {
		const [first, second] = whole.series.classes;
		const out = itemsOf(whole.plans[first!.id]!)
			.map(({ movement }) => movement)
			.find(
				(slug) =>
					!itemsOf(whole.plans[second!.id]!).some(({ movement }) => movement === slug) &&
					!whole.series.ladders.some(({ rungs }) => rungs.some(({ movement }) => movement === slug))
			)!;
		const missed = logged(whole, first!.id, { ...run, leftOut: [out] });
		const needsAttention = waiting(analyseSeries(missed, contextFor()));
		expect(needsAttention).toContain(second!.id);
		const after = proposed(missed);
		expect(itemsOf(after.plans[second!.id]!).map(({ movement }) => movement)).toContain(out);
		for (const { id } of missed.series.classes)
			if (!needsAttention.includes(id)) expect(after.plans[id]).toEqual(missed.plans[id]);
	});

	it('raises no finding that stops a class', () => {
		for (const c of analysis.classes) {
			const { findings } = analysePlan(c.plan!, { ...contextFor(), targets: CLIMBERS.targets });
			expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
		}
	});
});

describe('what was neglected', () => {
	it('is a direction that three planned weeks in a row gave too little of', () => {
		const short = filled(seriesOf({ weeks: 3 }), () => classWith(['frog']));
		const { weeks } = analyseSeries(short, contextFor());
		expect(neglected(weeks)).toContain('flexion');
		expect(neglected(weeks.slice(0, 2))).toEqual([]);
	});

	it('is asked for more: its band begins higher, and the bands still fit together, for every preset', () => {
		const random = seededRandom(3);
		for (const id of PRESETS)
			for (let i = 0; i < 20; i++) {
				const { targets } = newGroup(id, 'x');
				const more = DIRECTIONS.filter(() => random() < 0.5);
				const after = targetsWithMore(targets, more);
				for (const d of DIRECTIONS) {
					const [a, b] = [targets.directions[d], after.directions[d]];
					if (more[0] === d) expect(b.minPercent).toBeGreaterThan(a.minPercent);
					if (!more.includes(d)) expect(b).toEqual(a);
					expect(b.minPercent).toBeLessThanOrEqual(b.maxPercent);
				}
				const least = DIRECTIONS.reduce((sum, d) => sum + after.directions[d].minPercent, 0);
				expect(least).toBeLessThanOrEqual(100);
			}
	});
});

describe('the demo’s series', () => {
	it('are what their seed gives (npm run files): the first class of each, worked out anew', async () => {
		const { demoSeries, DEMO_MONDAY } = await import('../../src/lib/demo/series');
		const { DEMO_SEEDS } = await import('../../src/lib/demo/make-series');
		for (const { group, planned } of demoSeries(DEMO_MONDAY)) {
			const seed = DEMO_SEEDS[group]!;
			const { DEMO_GROUPS } = await import('../../src/lib/demo/groups');
			const first = planned.series.classes[0]!;
			const empty = {
				series: {
					...planned.series,
					classes: planned.series.classes.map(({ proposedAs: _mark, ...c }) => c)
				},
				plans: {},
				runs: {}
			};
			const context = {
				group: DEMO_GROUPS[group],
				find: findMovement,
				catalogue: CATALOGUE,
				knownBefore: [],
				pace: USUAL_PACE
			};
			const [made] = proposeSeries({ planned: empty, context, choices, seed, only: [first.id] });
			expect(made!.plan).toEqual(planned.plans[first.id]);
		}
	});
});
