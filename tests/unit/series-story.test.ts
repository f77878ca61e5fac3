import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { formOf } from '../../src/lib/core/movement';
import { applyEdit, isAsMarked, itemsOf, PLAN, sectionsHash, type ClassPlan } from '../../src/lib/core/plan';
import { demandOf } from '../../src/lib/core/propose';
import {
	analyseSeries,
	atLength,
	carriedOn,
	classLine,
	further,
	heightKey,
	heightsOf,
	moreOf,
	laddersFor,
	needsLengthOnly,
	newSeries,
	progressIn,
	proposeSeries,
	rungOf,
	standings,
	standingsBefore,
	withProposed,
	withUsualGoals,
	begunSeries,
	type SeriesAnalysis
} from '../../src/lib/core/series';
import { styleOf } from '../../src/lib/core/style';
import { readDocument } from '../../src/lib/core/validation';
import { JUDGED_GROUPS, type JudgedGroupKey } from '../../bench/planner/groups';
import { classWith, contextFor, ids, ladder } from './series-built';

/** Less work than a teacher's series gets: what holds here holds there. */
const WORK = { roughSteps: 200, starts: 1, steps: 4000, mostStarts: 4 };

function plannedFor(key: JudgedGroupKey, seed: number): SeriesAnalysis {
	const group = JUDGED_GROUPS[key];
	const begun = newSeries(group, '2026-11-03', 'Europe/London');
	const context = contextFor(group);
	let planned = begunSeries(withUsualGoals(begun, group, findMovement, styleOf()), ids());
	for (const { classId, plan } of proposeSeries({ planned, context, choices: {}, seed, work: WORK }))
		planned = withProposed(planned, { [classId]: plan });
	return analyseSeries(planned, context);
}

const SERIES = (
	[
		['striders', 8101],
		['chalk', 8102],
		['tide', 8103],
		['lamp', 8104]
	] as const
).map(([key, seed]) => ({ key, analysis: plannedFor(key, seed) }));

const restsApart = (plan: ClassPlan) =>
	new Set(
		itemsOf(plan)
			.filter(({ mode }) => mode !== 'rest')
			.map(({ movement }) => movement)
	);

describe.each(SERIES)('eight weeks for $key', ({ analysis }) => {
	const { classes, planned } = analysis;
	const ordinary = classes.filter(({ easier }) => !easier);

	it('begin with nine movements at most', () => {
		expect(restsApart(classes[0]!.plan!).size).toBeLessThanOrEqual(9);
	});

	it('have no peak as demanding as a goal before the goals are reached', () => {
		const lasts = planned.series.ladders.map(({ rungs }) => rungs.at(-1)!);
		const goal = Math.max(
			...lasts.map(({ movement, form, mode }) => demandOf(formOf(findMovement(movement)!, form)!, mode))
		);
		for (const c of classes) {
			const isAhead = c.given.some(
				({ ladder, rung }) => rung < planned.series.ladders[ladder]!.rungs.length - 1
			);
			if (!isAhead) continue;
			const given = new Set(c.given.map((one) => rungOf(planned.series, one).movement));
			const peak = c.plan!.sections.find(({ kind }) => kind === 'peak')!;
			for (const item of itemsOf({ ...c.plan!, sections: [peak] })) {
				if (given.has(item.movement)) continue;
				const form = formOf(findMovement(item.movement)!, item.form)!;
				expect(demandOf(form, item.mode), `class ${c.number}, ${item.movement}`).toBeLessThan(goal);
			}
		}
	});

	it('bring nothing new in an easier week, and keep the range', () => {
		const met = new Set<string>();
		for (const c of classes) {
			const slugs = restsApart(c.plan!);
			if (c.easier) expect([...slugs].filter((slug) => !met.has(slug))).toEqual([]);
			for (const { movement } of itemsOf(c.plan!)) met.add(movement);
		}
		for (const c of classes.filter(({ easier }) => easier)) {
			const before = standingsBefore(classes, c, findMovement);
			const now = heightsOf(c.plan!, findMovement);
			const lower = [...now].filter(([key, { form }]) => form < (before.get(key)?.highest.form ?? 0));
			expect(lower.length / now.size, `class ${c.number}`).toBeLessThanOrEqual(0.35);
		}
	});

	it('let each peak go on or hand over within three visits', () => {
		for (const [key, { still }] of standings(
			classes.map(({ plan, easier }) => ({ plan: plan!, easier })),
			findMovement
		))
			expect(still, key).toBeLessThanOrEqual(3);
	});

	it('give no rung twice alike, as long as there is more of it', () => {
		const last = new Map<number, ReturnType<typeof heightsOf>>();
		for (const c of ordinary)
			for (const one of c.given) {
				const rung = rungOf(planned.series, one);
				const now = heightsOf(c.plan!, findMovement);
				const before = last.get(one.ladder)?.get(heightKey(rung));
				last.set(one.ladder, now);
				if (!before || moreOf(findMovement(rung.movement)!, before).length === 0) continue;
				expect(
					further(now.get(heightKey(rung))!, before),
					`class ${c.number}, ${rung.movement}`
				).not.toBeNull();
			}
	});

	it('say in a line what is further, and it was not there at that height before', () => {
		for (const c of classes) {
			const { now, next } = classLine(analysis, c)!;
			expect(now, `class ${c.number}`).toMatch(/^(A beginning with|Further: |Easier week: |What is known)/);
			if (c.number < classes.length) expect(next).toMatch(/^Next: /);
			for (const one of progressIn(classes, c, findMovement)) {
				if (one.way !== 'up') continue;
				const own = heightsOf(c.plan!, findMovement).get(heightKey(one))!;
				for (const earlier of classes.slice(0, c.number - 1)) {
					const height = heightsOf(earlier.plan!, findMovement).get(heightKey(one));
					if (height) expect(further(own, height), `class ${c.number}, ${one.movement}`).not.toBeNull();
				}
			}
		}
		const told = ordinary.slice(1).filter((c) => classLine(analysis, c)!.now.startsWith('Further'));
		expect(told.length).toBeGreaterThanOrEqual(ordinary.length - 2);
	});
});

it('has ladders for what a group comes for, though nobody named a movement', () => {
	for (const [key, group] of Object.entries(JUDGED_GROUPS)) {
		const ladders = laddersFor(group, findMovement, styleOf());
		expect(ladders.length, key).toBe(Math.min(2, group.purposes.length));
	}
});

describe('a rung that comes again', () => {
	const { rungs } = ladder('split-squat', 'full');
	const given = (at: number, time: number) => carriedOn(rungs, at, time, findMovement, {});

	it('goes on by dose, then by sets, and never passes the next rung', () => {
		const all = rungs.flatMap((_, at) => [1, 2, 3, 4].map((time) => ({ at, time, step: given(at, time) })));
		for (const { at, time, step } of all) {
			if (time === 1) continue;
			const before = given(at, time - 1);
			expect(step.dose >= before.dose && step.sets >= before.sets).toBe(true);
			const next = rungs[at + 1];
			if (next?.form === step.form && next.movement === step.movement)
				expect(step.dose).toBeLessThan(next.dose);
		}
		expect(given(rungs.length - 1, 2).dose).toBeGreaterThan(rungs.at(-1)!.dose);
		expect(given(rungs.length - 1, 99).sets).toBe(3);
	});
});

describe('changed by hand', () => {
	const { analysis } = SERIES[0]!;
	const { planned, context } = analysis;
	const c = analysis.classes[1]!;
	const stateWith = (plan: ClassPlan) =>
		analyseSeries({ ...planned, plans: { ...planned.plans, [c.class.id]: plan } }, context).classes[1]!;
	const item = itemsOf(c.plan!)[3]!;

	it('is what a hand changes', () => {
		expect(c.state).toBe('proposed');
		const change = { amount: item.dose.amount + 1 };
		expect(stateWith(applyEdit(c.plan!, { do: 'setDose', itemId: item.id, change })).state).toBe('edited');
	});

	it('is not what is brought to its length, once or twice', () => {
		const doses = (by: number) => ({ [item.id]: { amount: item.dose.amount + by } });
		const once = applyEdit(c.plan!, { do: 'setDoses', doses: doses(1), toLength: true });
		const twice = applyEdit(once, { do: 'setDoses', doses: doses(2), toLength: true });
		expect([stateWith(once).state, stateWith(twice).state]).toEqual(['proposed', 'proposed']);
		// by hand in between, and it is by hand
		const byHand = applyEdit(once, {
			do: 'setDose',
			itemId: item.id,
			change: { amount: item.dose.amount + 3 }
		});
		expect(stateWith(applyEdit(byHand, { do: 'setDoses', doses: doses(4), toLength: true })).state).toBe(
			'edited'
		);
	});

	it('is not what an upgrade changes', () => {
		// version 2 kept a dose as a number
		const plan = classWith(['clam']);
		const sections = plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.map((block) => (block.kind === 'item' ? { ...block, dose: 9 } : block))
		}));
		const old = { ...plan, sections, version: 2 } as unknown as ClassPlan;
		const mark = sectionsHash(old);
		const read = readDocument<ClassPlan>(PLAN, old);
		if (!read.ok) throw new Error('it is not read');
		expect(sectionsHash(read.value)).not.toBe(mark);
		expect(isAsMarked(read.value, mark)).toBe(true);
		const byHand = applyEdit(read.value, {
			do: 'setDose',
			itemId: itemsOf(read.value)[0]!.id,
			change: { amount: 3 }
		});
		expect(isAsMarked(byHand, mark)).toBe(false);
	});

	it('a class of another length needs only its length again', () => {
		const longer = {
			...planned,
			series: { ...planned.series, lengthSeconds: planned.series.lengthSeconds + 120 }
		};
		const read = analyseSeries(longer, context);
		const own = read.classes[1]!;
		expect(needsLengthOnly(own)).toBe(true);
		const plan = atLength(own, read)!;
		expect(plan.lengthSeconds).toBe(planned.series.lengthSeconds + 120);
		const after = analyseSeries({ ...longer, plans: { ...longer.plans, [own.class.id]: plan } }, context);
		expect(after.classes[1]!.state).toBe('proposed');
		expect(after.classes[1]!.analysis!.timeline.totalSeconds).toBe(plan.lengthSeconds);
	});
});
