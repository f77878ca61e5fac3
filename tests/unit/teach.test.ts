import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import type { FormId } from '../../src/lib/core/movement';
import { suits } from '../../src/lib/core/substitution';
import { clock } from '../../src/lib/core/clock';
import { analysePlan } from '../../src/lib/core/analysis';
import { plannedVsActual, score } from '../../src/lib/core/view-models';
import { MOMENTS_OF_TEST, type MomentOfTest } from '../../src/lib/core/hip-tests';
import { groupToday } from '../../src/lib/core/group';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { classNotesFaults } from '../../src/lib/core/record';
import { emptyPlan, itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import {
	behindMs,
	eventFaults,
	givenMs,
	goalMs,
	isLeftOut,
	driftWords,
	elapse,
	isTaught,
	mayBeShown,
	momentOfTest,
	scriptFaults,
	listOf,
	nextIndex,
	notesOfTally,
	nowOf,
	offersToEndOnTime,
	owedSides,
	prepare,
	presentId,
	remainingMs,
	replay,
	scriptOf,
	Steps,
	swapsFor,
	tally,
	STEP_KINDS,
	type SessionAction,
	type SessionEvent,
	type Replacement,
	type SessionState,
	type Script
} from '../../src/lib/core/teach';
import { PlanWriter } from '../../src/lib/demo/build';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { anyPlan } from './arbitrary';

const STRIDERS = DEMO_GROUPS.striders;
const script = (plan: ClassPlan, group = STRIDERS) =>
	scriptOf(plan, groupToday(group, plan.here), findMovement, USUAL_PACE);

/** A class of the demo, an hour long. */
const demo = DEMO_PLANS.find(({ plan }) => plan.title === 'After the headland run')!.plan;
const DEMO = script(demo);
const START = Date.UTC(2026, 10, 24, 17, 30);

/** Writes events as one device does, on a clock that the test moves. */
class Device {
	readonly events: SessionEvent[] = [];
	private ms = 0;

	constructor(
		readonly of: Script,
		private readonly boot = 'first'
	) {}

	after(seconds: number): this {
		this.ms += seconds * 1000;
		return this;
	}

	does(act: SessionAction): this {
		const id = `event-${String(this.events.length).padStart(4, '0')}`;
		this.events.push({ id, at: START + this.ms, monoMs: 1000 + this.ms, boot: this.boot, ...act });
		return this;
	}

	get state(): SessionState {
		return replay(this.of, this.events);
	}
}
/** A state of the demo's class the given milliseconds later. */
const later = (state: SessionState, ms: number) => elapse(state, new Steps(DEMO), ms);
const begun = (of: Script = DEMO, lateSeconds = 0) =>
	new Device(of).after(lateSeconds).does({ do: 'start', plannedStartAt: START });

describe('a script', () => {
	it('has every second of its clock in one step, in order, whatever the class is', () => {
		fc.assert(
			fc.property(anyPlan(1, 12), (plan) => {
				const { steps, lengthSeconds } = script(plan);
				expect(steps.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(lengthSeconds);
				expect(lengthSeconds).toBe(clock(plan, findMovement, USUAL_PACE).totalSeconds);
				expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
				expect(steps.every(({ seconds }) => seconds > 0)).toBe(true);
			}),
			{ numRuns: 150 }
		);
	});

	it('gives each side of the work with its leg, and the second equals the first', () => {
		fc.assert(
			fc.property(anyPlan(1, 10), (plan) => {
				const { steps } = script(plan);
				const works = clock(plan, findMovement, USUAL_PACE).entries.filter(({ phase }) => phase === 'work');
				const inFlows = steps.flatMap(({ shapes }) => shapes).length;
				expect(steps.filter(({ kind }) => kind === 'work').length + inFlows).toBe(works.length);
				for (const step of steps) {
					if (step.equals === null) continue;
					const first = steps.find(({ id }) => id === step.equals)!;
					expect([first.itemId, first.side, first.kind]).toEqual([step.itemId, 1, 'work']);
					expect(first.leg).not.toBe(step.leg);
				}
			}),
			{ numRuns: 100 }
		);
	});

	it('says everything the first time, the second side in a line, and in short when it comes again', () => {
		const writer = new PlanWriter();
		const plan = {
			...emptyPlan('A class', '18:00', 3600),
			sections: [
				{ id: 's', kind: 'build' as const, blocks: [writer.item('low-lunge'), writer.item('low-lunge')] }
			]
		};
		const { steps } = script(plan);
		const { setUp } = findMovement('low-lunge')!;
		const told = steps.filter(({ say }) => say.some(({ words }) => words === setUp));
		expect(told.map(({ id }) => id)).toEqual([steps[0]!.id]);
		const second = steps.find(({ kind, side }) => kind === 'in' && side === 2)!;
		expect(second.say.map(({ about }) => about)).toEqual(['second side']);
	});

	it('says who needs what, of those who are here today', () => {
		const sore = DEMO_GROUPS.tide;
		const { steps } = scriptOf(demo, sore, findMovement, USUAL_PACE);
		const lines = steps.flatMap(({ people }) => people);
		expect(lines.some((line) => /^sore knee \(\d+\): /.test(line))).toBe(true);
		const nobody = { ...sore, cautions: [], tiers: { tight: 0, middling: 10, open: 0 } };
		expect(
			scriptOf(demo, nobody, findMovement, USUAL_PACE)
				.steps.flatMap(({ people }) => people)
				.join(' ')
		).not.toContain('sore knee');
	});

	it('says in a flow, too, who needs what and what is fetched, once', () => {
		const w = new PlanWriter();
		const flow = w.flow([w.item('low-lunge', { form: 'supported' }), w.item('cat-cow')], { rounds: 2 });
		const plan = { ...demo, sections: [{ id: 's', kind: 'build' as const, blocks: [flow] }] };
		const rounds = scriptOf(plan, DEMO_GROUPS.tide, findMovement, USUAL_PACE).steps.filter(
			({ kind }) => kind === 'round'
		);
		expect(rounds.length).toBeGreaterThan(1);
		expect(rounds[0]!.people.some((line) => /^Low lunge: sore knee/.test(line))).toBe(true);
		expect(rounds[0]!.kit).toContain('2 blocks, under the hands');
		expect(rounds.slice(1).flatMap(({ people, kit }) => [...people, ...kit])).toEqual([]);
	});

	it('keeps the closing rest, tests, what undoes something deep and what alone prepares it', () => {
		const w = new PlanWriter();
		const blocks = ['cat-cow', '90-90-sit', '90-90-fold', 'seated-knee-wipers', 'butterfly', 'savasana'];
		const plan = {
			...emptyPlan('A class', '18:00', 3600),
			sections: [{ id: 's', kind: 'build' as const, blocks: blocks.map((slug) => w.item(slug)) }]
		};
		const kept = Object.fromEntries(script(plan).blocks.map(({ title, keptFor }) => [title, keptFor]));
		const name = (slug: string) => findMovement(slug)!.english;
		expect(kept).toEqual({
			[name('cat-cow')]: null,
			[name('90-90-sit')]: 'prepares',
			[name('90-90-fold')]: null,
			[name('seated-knee-wipers')]: 'undoes',
			[name('butterfly')]: null,
			[name('savasana')]: 'closing'
		});
	});
});

describe('a run by hand', () => {
	it('a worked example: next, back, a pause and the end', () => {
		const [first, second] = DEMO.steps;
		const run = begun().after(20).does({ do: 'next' }).after(5);
		expect(presentId(run.does({ do: 'note', words: 'loud outside' }).state)).toBe(second!.id);
		// tapped by mistake: the five seconds belong to the first step
		run.does({ do: 'back' }).after(10);
		run.does({ do: 'pause' }).after(60).does({ do: 'resume' }).after(7);
		const state = run.does({ do: 'next' }).state;
		expect(givenMs(state, first!.id)).toBe((20 + 5 + 10 + 7) * 1000);
		expect(givenMs(state, second!.id)).toBe(0);
		expect(state.pausedMs).toBe(60_000);
		expect(state.elapsedMs).toBe(102_000);
		expect(state.notes).toEqual([{ step: second!.id, atMs: 25_000, words: 'loud outside' }]);
		const ended = run.after(8).does({ do: 'end' }).state;
		expect([ended.mode, ended.elapsedMs]).toEqual(['ended', 110_000]);
		// the end was said too early: nothing is lost
		const again = run.after(30).does({ do: 'back' }).state;
		expect([again.mode, again.elapsedMs, givenMs(again, second!.id)]).toEqual(['running', 140_000, 38_000]);
	});

	it('the second side is given what the first really took, and is counted so', () => {
		const steps = new Steps(DEMO);
		const twoSided = DEMO.steps.find(({ equals }) => equals !== null)!;
		const run = begun();
		while (presentId(run.state) !== twoSided.equals) run.after(1).does({ do: 'next' });
		run.after(47).does({ do: 'next' });
		while (presentId(run.state) !== twoSided.id) run.after(1).does({ do: 'next' });
		const now = nowOf(run.state, steps);
		expect(now.firstSideMs).toBe(47_000);
		expect(now.goalMs).toBe(47_000);
		expect(now.count!.eachSeconds * now.count!.amount).toBeCloseTo(47);
		expect(nowOf(run.after(47).does({ do: 'note', words: 'x' }).state, steps).count!.done).toBe(
			now.count!.amount
		);
	});

	it('a side that was left out is owed until it is brought back and given', () => {
		const steps = new Steps(DEMO);
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const ofSide = DEMO.steps.filter(({ itemId, side }) => itemId === second.itemId && side === 2);
		const run = begun();
		while (presentId(run.state) !== second.equals) run.after(1).does({ do: 'next' });
		run.after(40);
		expect(owedSides(run.does({ do: 'note', words: 'x' }).state, steps)).toMatchObject([
			{ itemId: second.itemId, leg: second.leg, ms: 40_000, comes: true }
		]);
		run.does({ do: 'leave out', steps: ofSide.map(({ id }) => id) }).does({ do: 'next' });
		run.after(30).does({ do: 'next' });
		const [owed] = owedSides(run.state, steps);
		expect(owed).toMatchObject({ title: second.title, leg: second.leg, comes: false });
		run.does({ do: 'bring back', steps: owed!.steps }).does({ do: 'next' });
		while (presentId(run.state) !== second.id) run.after(4).does({ do: 'next' });
		run.after(40).does({ do: 'next' });
		expect(owedSides(run.state, steps).filter(({ itemId }) => itemId === second.itemId)).toEqual([]);
	});

	it('is a list in which each step stands once, with how it stands', () => {
		const steps = new Steps(DEMO);
		const run = begun();
		for (let i = 0; i < 8; i++) run.after(7).does({ do: 'next' });
		const out = DEMO.steps.at(-3)!;
		const lines = listOf(run.does({ do: 'leave out', steps: [out.id] }).state, steps);
		expect(lines.flatMap((line) => line.steps)).toEqual(run.state.order);
		expect(lines.filter(({ standing }) => standing === 'now')).toHaveLength(1);
		expect(lines[0]).toMatchObject({ title: DEMO.steps[0]!.title, standing: 'given', seconds: 7 });
		const jumped = listOf(run.does({ do: 'jump', step: DEMO.steps[20]!.id }).state, steps);
		expect(jumped.some(({ standing }) => standing === 'passed by')).toBe(true);
	});

	it('one more set is given on both sides, with its rest', () => {
		const steps = new Steps(DEMO);
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const run = begun();
		while (presentId(run.state) !== second.equals) run.after(1).does({ do: 'next' });
		const before = remainingMs(run.state, steps);
		const state = run.does({ do: 'one more set' }).state;
		const first = steps.get(second.equals!);
		expect(remainingMs(state, steps) - before).toBeGreaterThanOrEqual(
			(first.seconds + second.seconds) * 1000
		);
		expect(state.order).toContain(`${second.equals}+1`);
		expect(state.order).toContain(`${second.id}+1`);
	});

	it('a substitute takes the place and the time of an item on both sides, is said and drawn, and goes again', () => {
		const steps = new Steps(DEMO);
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const run = begun();
		while (presentId(run.state) !== second.equals) run.after(1).does({ do: 'next' });
		const before = run.state;
		const planned = steps.get(second.equals!);
		const state = run.does({ do: 'swap', item: second.itemId!, to: CLAM }).state;
		const { step } = nowOf(state, steps);
		expect(step).toMatchObject({ title: 'Clam', leg: planned.leg, people: [], say: [] });
		expect(step.figure).toBe(`clam/full/${planned.leg}`);
		expect(step.count).toEqual(planned.count?.unit === 'repetitions' ? planned.count : null);
		expect(remainingMs(state, steps)).toBe(remainingMs(before, steps));
		while (presentId(run.state) !== second.id) run.after(2).does({ do: 'next' });
		expect(nowOf(run.state, steps).step).toMatchObject({ title: 'Clam', leg: second.leg });
		expect(
			listOf(run.state, steps)
				.filter(({ id }) => steps.get(id).itemId === second.itemId)
				.map(({ title }) => title)
		).toEqual(['Clam', 'Clam']);
		run.does({ do: 'swap', item: second.itemId!, to: null });
		expect(nowOf(run.state, steps).step.title).toBe(second.title);
	});

	it('a substitute on the second side leaves the first as it was given, and is owed to the other leg', () => {
		const steps = new Steps(DEMO);
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const planned = steps.get(second.equals!);
		const run = begun();
		while (presentId(run.state) !== second.id) run.after(3).does({ do: 'next' });
		run.does({ do: 'swap', item: second.itemId!, to: CLAM });
		const { state } = run.after(4).does({ do: 'next' });
		const lines = listOf(state, steps).filter(({ id }) => steps.get(id).itemId === second.itemId);
		expect(lines.map(({ title, leg }) => [title, leg])).toEqual([
			[planned.title, planned.leg],
			['Clam', second.leg]
		]);
		const owed = owedSides(state, steps).filter(({ itemId }) => itemId === second.itemId);
		expect(owed.map(({ title, leg, ms, steps: ids, comes }) => [title, leg, ms, ids, comes])).toEqual([
			[planned.title, second.leg, 3000, [], false],
			['Clam', planned.leg, 4000, [], false]
		]);
	});

	it('a set that is added to a substitute is one of the substitute, on both sides', () => {
		const steps = new Steps(DEMO);
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const run = begun();
		while (presentId(run.state) !== second.equals) run.after(1).does({ do: 'next' });
		run.does({ do: 'swap', item: second.itemId!, to: CLAM });
		const { state } = run.does({ do: 'one more set' });
		for (const id of [`${second.equals}+1`, `${second.id}+1`])
			expect([id, steps.shown(state, id).title]).toEqual([id, 'Clam']);
	});

	it('a device that slept gives its time to the class where it was taught on, and to a pause where nobody was there', () => {
		const slept = (taught: boolean) => {
			const run = begun().after(30).does({ do: 'slept', ms: 120_000, taught }).after(10);
			return run.does({ do: 'next' }).state;
		};
		const [taught, gone] = [slept(true), slept(false)];
		expect([taught.elapsedMs, taught.pausedMs, givenMs(taught, DEMO.steps[0]!.id)]).toEqual([
			160_000, 0, 160_000
		]);
		expect([gone.elapsedMs, gone.pausedMs, gone.awayMs, givenMs(gone, DEMO.steps[0]!.id)]).toEqual([
			160_000, 120_000, 120_000, 40_000
		]);
	});

	it('a jump ahead passes by what lies between, which is then not given and does not come by itself', () => {
		const steps = new Steps(DEMO);
		const target = DEMO.steps[6]!.id;
		const run = begun().after(5).does({ do: 'jump', step: target });
		const passed = DEMO.steps.slice(1, 6).map(({ id }) => id);
		expect([...run.state.done]).toEqual([DEMO.steps[0]!.id]);
		expect(presentId(run.after(5).does({ do: 'next' }).state)).toBe(DEMO.steps[7]!.id);
		expect(passed.filter((id) => run.state.done.has(id))).toEqual([]);
		run.does({ do: 'jump', step: DEMO.steps[2]!.id });
		// the step that a jump leaves was given, and does not come back
		expect(run.state.done.has(DEMO.steps[7]!.id)).toBe(true);
		expect(listOf(run.state, steps).find(({ id }) => id === target)).not.toMatchObject({
			standing: 'passed by'
		});
		expect(run.state.order[nextIndex(run.state)]).toBe(DEMO.steps[3]!.id);
	});

	it('is read the same however the clock of the wall is changed, and goes on after a crash with the pause known', () => {
		const run = begun().after(30).does({ do: 'next' });
		const put = run.events.map((event, i) => (i ? { ...event, at: event.at + 3_600_000 } : event));
		expect(replay(DEMO, put).elapsedMs).toBe(30_000);
		const alive = { at: START + 42_000, monoMs: 43_000, boot: 'first' };
		const back: SessionEvent = {
			id: 'reopened-1',
			at: START + 102_000,
			monoMs: 5,
			boot: 'second',
			do: 'reopened',
			alive
		};
		const state = replay(DEMO, [...run.events, back]);
		expect([state.elapsedMs, state.pausedMs, state.awayMs]).toEqual([102_000, 60_000, 60_000]);
		expect(givenMs(state, DEMO.steps[1]!.id)).toBe(12_000);
	});
});

describe('a run by the clock', () => {
	it('moves on to the second by itself and waits where the teacher says so', () => {
		const run = begun().does({ do: 'lead', by: 'clock', waitsIn: [] });
		const planned = DEMO.steps.slice(0, 5).reduce((sum, { seconds }) => sum + seconds, 0);
		expect(later(run.state, planned * 1000 - 1).at).toBe(4);
		expect(later(run.state, planned * 1000).at).toBe(5);
		const whole = later(run.state, DEMO.lengthSeconds * 1000);
		expect(whole.at).toBe(DEMO.steps.length - 1);
		expect(behindMs(whole, new Steps(DEMO))).toBe(0);
		const place = run.does({ do: 'wait', step: DEMO.steps[7]!.id, waits: true }).state;
		expect(later(place, DEMO.lengthSeconds * 1000).at).toBe(7);
		run.does({ do: 'wait', step: DEMO.steps[7]!.id, waits: false });
		expect(later(run.state, DEMO.lengthSeconds * 1000).at).toBe(DEMO.steps.length - 1);
		const waiting = run.does({ do: 'lead', by: 'clock', waitsIn: ['in'] }).state;
		const first = DEMO.steps.findIndex(({ kind }) => kind === 'in');
		expect(later(waiting, DEMO.lengthSeconds * 1000).at).toBe(first);
	});

	it('stays after going back until somebody moves on', () => {
		const run = begun().does({ do: 'lead', by: 'clock', waitsIn: [] });
		run.after(DEMO.steps[0]!.seconds + 2).does({ do: 'back' });
		expect(run.state.at).toBe(0);
		expect(later(run.state, 600_000).at).toBe(0);
		run.after(5).does({ do: 'next' });
		expect(run.state.at).toBe(1);
		expect(later(run.state, DEMO.steps[1]!.seconds * 1000).at).toBe(2);
	});
});

/** Something to give in place of anything. */
const CLAM: Replacement = {
	movement: 'clam',
	form: 'full',
	title: 'Clam',
	position: 'sidelying',
	unit: 'repetitions',
	sayIn: [{ about: 'set-up', words: 'Lie on the side' }],
	sayAtWork: [],
	kit: ['1 block, under the head']
};

/** Any act, with steps of a script by their number. */
const anyAct = (of: Script): fc.Arbitrary<SessionAction> => {
	const id = fc.nat(of.steps.length - 1).map((i) => of.steps[i]!.id);
	const ids = fc.array(id, { maxLength: 5 });
	return fc.oneof(
		{ weight: 10, arbitrary: fc.constant<SessionAction>({ do: 'next' }) },
		{ weight: 3, arbitrary: fc.constant<SessionAction>({ do: 'back' }) },
		fc.constant<SessionAction>({ do: 'pause' }),
		fc.constant<SessionAction>({ do: 'resume' }),
		fc.integer({ min: 1, max: 90 }).map((seconds): SessionAction => ({ do: 'more', seconds })),
		fc.constant<SessionAction>({ do: 'one more set' }),
		ids.map((steps): SessionAction => ({ do: 'leave out', steps })),
		ids.map((steps): SessionAction => ({ do: 'bring back', steps })),
		id.map((step): SessionAction => ({ do: 'jump', step })),
		fc.tuple(id, fc.boolean()).map(([step, waits]): SessionAction => ({ do: 'wait', step, waits })),
		fc
			.constantFrom(...of.steps.flatMap(({ itemId }) => itemId ?? []))
			.map((item): SessionAction => ({ do: 'swap', item, to: CLAM })),
		fc
			.tuple(fc.constantFrom('hand' as const, 'clock' as const), fc.subarray([...STEP_KINDS]))
			.map(([by, waitsIn]): SessionAction => ({ do: 'lead', by, waitsIn })),
		fc
			.tuple(fc.dictionary(id, fc.integer({ min: 1, max: 300 }), { maxKeys: 4 }), ids)
			.map(([seconds, leftOut]): SessionAction => ({ do: 'adjust', seconds, leftOut })),
		fc.nat(40).map((n): SessionAction => ({ do: 'take back', event: `event-${String(n).padStart(4, '0')}` })),
		fc.constant<SessionAction>({ do: 'note', words: 'said' }),
		fc
			.tuple(fc.constantFrom(...MOMENTS_OF_TEST), fc.integer({ min: 1, max: 9 }))
			.map(([moment, n]): SessionAction => ({
				do: 'count',
				test: 'leg-roll',
				moment,
				counts: { left: [0, n, 0, 0], right: [0, 0, 0, 0] }
			})),
		fc
			.tuple(fc.nat(600_000), fc.boolean())
			.map(([ms, taught]): SessionAction => ({ do: 'slept', ms, taught })),
		fc.constant<SessionAction>({ do: 'end' })
	);
};
const anyRun = (of: Script) =>
	fc.array(fc.tuple(anyAct(of), fc.integer({ min: 0, max: 200 })), { maxLength: 40 }).map((acts) => {
		const run = begun(of);
		for (const [act, seconds] of acts) run.after(seconds).does(act);
		return run;
	});

describe('any run', () => {
	it('loses no second, owes nothing that was given, and is always read the same', () => {
		fc.assert(
			fc.property(anyRun(DEMO), (run) => {
				const { state } = run;
				const steps = new Steps(DEMO);
				expect(replay(DEMO, structuredClone(run.events))).toEqual(state);
				const given = state.visits.reduce((sum, visit) => sum + visit.givenMs, 0);
				expect(given + state.pausedMs).toBe(state.elapsedMs);
				const slept = run.events.reduce((sum, event) => sum + (event.do === 'slept' ? event.ms : 0), 0);
				const passed = run.events.at(-1)!.monoMs - run.events[0]!.monoMs + slept;
				expect(state.elapsedMs + state.sinceEndMs).toBe(passed);
				expect(state.at).toBeLessThan(state.order.length);
				for (const { id } of DEMO.steps) expect(state.order.filter((other) => other === id)).toEqual([id]);
				for (const owed of owedSides(state, steps))
					for (const id of owed.steps) {
						const { kind, side } = steps.get(id);
						if (kind === 'work') expect([id, side, givenMs(state, id)]).toEqual([id, side, 0]);
					}
				expect(remainingMs(state, steps)).toBeGreaterThanOrEqual(0);
			}),
			{ numRuns: 1000 }
		);
	});

	it('costs the same for each event, however many came before: ten thousand of any kind are read', () => {
		const endAndBack = Array.from({ length: 10_000 }, (_, i): SessionAction => ({
			do: i % 2 ? 'back' : 'end'
		}));
		const mixed = fc.sample(anyAct(DEMO), { numRuns: 10_000, seed: 20261201 });
		for (const acts of [endAndBack, mixed]) {
			const run = begun();
			const events = acts.map((act, i) => ({
				...run.events[0]!,
				...act,
				id: `many-${String(i).padStart(5, '0')}`,
				monoMs: 1000 * (i + 1)
			})) as SessionEvent[];
			const became = tally(DEMO, [...run.events, ...events]);
			const given = became.lines.reduce((sum, { real }) => sum + real, 0);
			expect(Math.abs(given + became.paused - became.real)).toBeLessThan(became.lines.length);
		}
	});

	it('going back undoes moving on', () => {
		fc.assert(
			fc.property(anyRun(DEMO), fc.integer({ min: 0, max: 60 }), (run, seconds) => {
				run.does({ do: 'lead', by: 'hand', waitsIn: [] });
				const before = run.state;
				fc.pre(before.mode === 'running' && nextIndex(before) >= 0);
				const after = run.does({ do: 'next' }).after(seconds).does({ do: 'back' }).state;
				const stayed = later(before, seconds * 1000);
				expect({ ...after, waits: false }).toEqual({ ...stayed, waits: false });
			}),
			{ numRuns: 300 }
		);
	});

	it('its events are taken as they are written, and nothing else is', () => {
		fc.assert(
			fc.property(anyRun(DEMO), (run) => {
				for (const event of JSON.parse(JSON.stringify(run.events))) expect(eventFaults(event)).toEqual([]);
			}),
			{ numRuns: 100 }
		);
		const [start] = begun().events;
		for (const wrong of [
			null,
			{},
			{ ...start, do: 'dance' },
			{ ...start, plannedStartAt: -1 },
			{ ...start, x: 1 }
		])
			expect(eventFaults(wrong)).not.toEqual([]);
	});
});

describe('ending on time', () => {
	const steps = new Steps(DEMO);
	/** The class as it goes on after an offer was taken. */
	const taken = (run: Device, act: SessionAction) => run.does(act).state;
	const gone = (state: SessionState) =>
		DEMO.blocks.filter(({ id }) =>
			DEMO.steps.filter(({ blockId }) => blockId === id).every((step) => isLeftOut(state, step.id))
		);

	it('says nothing while the class is on time', () =>
		expect(offersToEndOnTime(begun().state, steps)).toEqual([]));

	it('ten minutes late at the start: every offer says what it does, and taken it ends on time', () => {
		const offers = offersToEndOnTime(begun(DEMO, 600).state, steps);
		expect(offers.length).toBeGreaterThan(0);
		for (const { act, stillBehindMs, changes } of offers) {
			const run = begun(DEMO, 600);
			const state = taken(run, act);
			expect(behindMs(state, steps)).toBe(stillBehindMs);
			expect(changes.length).toBeGreaterThan(0);
			const back = run.does({ do: 'take back', event: run.events.at(-1)!.id }).state;
			expect(behindMs(back, steps)).toBe(600_000);
		}
		expect(offers[0]!.stillBehindMs).toBe(0);
	});

	it('an alarm in the middle and a class cut to half an hour', () => {
		const alarm = begun();
		for (let i = 0; i < 20; i++) alarm.after(DEMO.steps[i]!.seconds).does({ do: 'next' });
		alarm.does({ do: 'pause' }).after(420).does({ do: 'resume' });
		expect(behindMs(alarm.state, steps)).toBe(420_000);
		expect(offersToEndOnTime(alarm.state, steps)[0]!.stillBehindMs).toBe(0);
		const half = begun(DEMO, DEMO.lengthSeconds / 2);
		const offer = offersToEndOnTime(half.state, steps).find(({ way }) => way === 'leave out')!;
		expect(offer.stillBehindMs).toBe(0);
		expect(gone(taken(half, offer.act)).length).toBeGreaterThan(3);
	});

	it('never leaves out a side that is owed, the closing rest, or what undoes or alone prepares something deep', () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 60, max: 2400 }), (stepsDone, late) => {
				const run = begun(DEMO, late);
				for (let i = 0; i < Math.min(stepsDone, DEMO.steps.length - 2); i++)
					run.after(5).does({ do: 'next' });
				const before = run.state;
				const owed = owedSides(before, steps).flatMap((side) => side.steps);
				for (const { act, stillBehindMs } of offersToEndOnTime(before, steps)) {
					const state = replay(DEMO, [...run.events, { ...run.events.at(-1)!, id: 'the-offer', ...act }]);
					expect(owed.filter((id) => isLeftOut(state, id))).toEqual([]);
					for (const block of gone(state)) expect(block.keptFor).toBeNull();
					expect(behindMs(state, steps)).toBe(stillBehindMs);
					const closing = DEMO.steps.findLast(({ adjust }) => adjust !== null)!;
					expect(goalMs(state, steps, closing.id)).toBeGreaterThanOrEqual(
						Math.min(closing.seconds, closing.adjust!.min) * 1000
					);
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('the teacher’s favourite comes first where it is enough', () => {
		const late = begun(DEMO, 120).state;
		const first = (order: Parameters<typeof offersToEndOnTime>[2]) =>
			offersToEndOnTime(late, steps, order)[0]!.way;
		expect(first(['shorten', 'fewer sets', 'leave out'])).toBe('shorten');
		expect(first(['leave out', 'shorten', 'fewer sets'])).toBe('leave out');
	});

	it('a class that is ahead is offered longer doses', () => {
		const run = begun();
		for (let i = 0; i < 12; i++) run.after(1).does({ do: 'next' });
		const [offer] = offersToEndOnTime(run.state, steps);
		expect(offer!.way).toBe('lengthen');
		expect(Math.abs(offer!.stillBehindMs)).toBeLessThan(Math.abs(behindMs(run.state, steps)));
	});
});

describe('a class made ready on a device', () => {
	const source = { plan: demo, group: STRIDERS, own: [], leftOut: [], kept: [], pace: USUAL_PACE };

	it('is, for who usually comes, what the server makes of it', () => {
		const { script: made, figures } = prepare(source, demo.here, CATALOGUE);
		expect(made).toEqual(DEMO);
		for (const { figure } of made.steps) if (figure) expect(figures[figure]).toBeDefined();
	});

	it('says who needs what for those who are here, with the same steps in the same time', () => {
		const here = { tiers: { tight: 0, middling: 40, open: 0 }, cautions: [] };
		const alike = prepare(source, here, CATALOGUE);
		const timing = (of: Script) => of.steps.map(({ id, seconds }) => [id, seconds]);
		expect(timing(alike.script)).toEqual(timing(DEMO));
		// forty people, and kit for a dozen
		expect(alike.shortages!.length).toBeGreaterThan(0);
		const one = { ...here, tiers: { tight: 0, middling: 1, open: 0 } };
		const alone = prepare(source, one, CATALOGUE);
		expect(alone.shortages!.length).toBeLessThan(alike.shortages!.length);
		const sore = { ...one, cautions: [{ caution: 'sore knee' as const, people: 1 }] };
		const lines = (of: Script) => of.steps.flatMap(({ people }) => people);
		expect(lines(alone.script).filter((line) => line.startsWith('sore knee'))).toEqual([]);
		expect(lines(prepare(source, sore, CATALOGUE).script).some((l) => l.startsWith('sore knee (1)'))).toBe(
			true
		);
	});

	it('offers in place of an item what is like it, with as many sides, right for everybody, and drawn', () => {
		const sided = DEMO.steps.find(({ equals }) => equals !== null)!;
		const here = {
			tiers: { tight: 1, middling: 0, open: 0 },
			cautions: [{ caution: 'sore knee' as const, people: 1 }]
		};
		const choices = swapsFor(source, here, sided.itemId!, CATALOGUE);
		expect(choices.length).toBeGreaterThan(0);
		for (const { to, figures } of choices) {
			const movement = findMovement(to.movement)!;
			expect(isSymmetrical(movement.action)).toBe(false);
			expect(['fine', 'in this form', 'other form']).toContain(
				suits(movement, to.form as FormId, 'sore knee').kind
			);
			expect(Object.keys(figures)).toHaveLength(2);
			const { plannedStartAt: _no, ...event } = { ...begun().events[0]!, plannedStartAt: 0 };
			expect(eventFaults({ ...event, do: 'swap', item: sided.itemId, to })).toEqual([]);
		}
		expect(swapsFor(source, here, 'no such item', CATALOGUE)).toEqual([]);
	});
});

describe('a group that is counted in the tests of a class', () => {
	const wave = DEMO_PLANS.find(({ plan }) => plan.title === 'A wave at noon')!.plan;
	const WAVE = scriptOf(wave, DEMO_GROUPS.lamp, findMovement, USUAL_PACE);
	const tests = WAVE.steps.filter(({ kind }) => kind === 'test');
	const count = (n: number, moment: MomentOfTest): SessionAction => ({
		do: 'count',
		test: 'leg-roll',
		moment,
		counts: { left: [n, 3, 0, 0], right: [0, 0, 0, 0] }
	});

	it('knows which test a step is, and whether people are cold or warm', () => {
		expect(tests.map(({ test }) => test)).toEqual(['leg-roll', 'leg-roll']);
		expect(tests.map(({ id }) => momentOfTest(WAVE, id))).toEqual(['before the class', 'after the class']);
		expect(WAVE.steps.filter(({ test }) => test)).toEqual(tests);
		expect(scriptFaults(WAVE)).toEqual([]);
	});

	it('stand on the score of a class that was led, by their names', () => {
		const { planned } = plannedVsActual(WAVE, begun(WAVE).events, findMovement);
		expect(planned.tests.map(({ name }) => name)).toEqual(Array(2).fill('Rolling straight legs in'));
	});

	it('each test at each moment is told once, as it was counted last', () => {
		const run = begun(WAVE)
			.after(60)
			.does(count(4, 'before the class'))
			.after(5)
			.does(count(5, 'before the class'))
			.after(900)
			.does(count(2, 'after the class'));
		expect(run.state.counts).toEqual([
			{
				kind: 'counts',
				test: 'leg-roll',
				moment: 'before the class',
				counts: { left: [5, 3, 0, 0], right: [0, 0, 0, 0] }
			},
			{
				kind: 'counts',
				test: 'leg-roll',
				moment: 'after the class',
				counts: { left: [2, 3, 0, 0], right: [0, 0, 0, 0] }
			}
		]);
		expect(tally(WAVE, run.events).counted).toEqual([
			'Rolling straight legs in, before the class: 5 at grade 0, 3 at grade 1',
			'Rolling straight legs in, after the class: 2 at grade 0, 3 at grade 1'
		]);
		expect(new Device(WAVE).does(count(1, 'before the class')).state.counts).toEqual([]);
	});

	it('no second device hears of it, and nobody is no count', () => {
		const [, counted] = begun(WAVE).does(count(1, 'before the class')).events;
		expect(mayBeShown(counted!)).toBe(false);
		expect(eventFaults(counted)).toEqual([]);
		const nobody = { left: [0, 0, 0, 0], right: [0, 0, 0, 0] };
		expect(eventFaults({ ...counted, counts: nobody })[0]!.message).toBe('must count at least one person');
		const sides = { left: [1, 0, 0, 0], right: [1, 0, 0, 0] };
		expect(eventFaults({ ...counted, counts: sides })[0]!.path).toBe('counts.right');
		expect(eventFaults({ ...counted, moment: 'now' })[0]!.path).toBe('moment');
	});
});

describe('what became of a class', () => {
	/** Led as planned, but for what the test changes on the way. */
	const led = (change: (run: Device, id: string) => number): Device => {
		const run = begun();
		for (let i = 0; i < 500 && run.state.mode !== 'ended'; i++) {
			const id = presentId(run.state);
			const seconds = change(run, id);
			run.after(seconds).does({ do: 'next' });
		}
		return run;
	};
	const asPlanned = (id: string) => new Steps(DEMO).get(id).seconds;

	it('led as planned, is as planned in every line', () => {
		const became = tally(DEMO, led((_run, id) => asPlanned(id)).events);
		expect(became).toMatchObject({ isOver: true, behind: 0, paused: 0, leftOut: [], notes: [] });
		expect(became.real).toBe(became.planned);
		for (const { planned, real } of became.lines) expect(real).toBe(planned);
		for (const { planned, real } of became.kinds) expect(real).toBe(planned);
		for (const side of became.sides) expect(driftWords(side)).toBe('');
		expect(notesOfTally(became, demo)).toEqual({
			effort: null,
			minutes: Math.round(DEMO.lengthSeconds / 60),
			attendance: null,
			leftOut: [],
			note: ''
		});
	});

	it('has every second of any run in a line or in a pause', () => {
		fc.assert(
			fc.property(anyRun(DEMO), (run) => {
				const { lines, paused, real } = tally(DEMO, run.events);
				const sum = lines.reduce((all, line) => all + line.real, 0);
				// each line is rounded by itself
				expect(Math.abs(sum + paused - real)).toBeLessThanOrEqual(lines.length / 2 + 1);
			}),
			{ numRuns: 200 }
		);
	});

	it('says which second side was shorter, what was left out, who came and what was noted', () => {
		const second = DEMO.steps.find(({ equals }) => equals !== null)!;
		const out = DEMO.blocks.find(({ keptFor, section }) => keptFor === null && section === 'release')!;
		const items = new Set(DEMO.steps.filter(({ blockId }) => blockId === out.id).map(({ itemId }) => itemId));
		const here = { tiers: { tight: 2, middling: 3, open: 1 }, cautions: [] };
		const run = led((device, id) => {
			if (id === second.id) device.does({ do: 'note', words: 'hurried' });
			return id === second.id ? Math.round(second.seconds / 2) : asPlanned(id);
		});
		const steps = DEMO.steps.filter(({ blockId }) => blockId === out.id).map(({ id }) => id);
		const [start, ...rest] = run.events;
		const before = (act: SessionAction, n: number): SessionEvent =>
			({ ...start!, id: `before-${n}`, ...act }) as SessionEvent;
		const events = [before({ do: 'here', here }, 1), start!, before({ do: 'leave out', steps }, 2), ...rest];
		const became = tally(DEMO, events);
		expect(became.here).toEqual(here);
		expect(new Set(became.leftOut)).toEqual(items);
		const side = became.sides.find(({ title }) => title === second.title)!;
		expect(driftWords(side)).toMatch(/^second \d+ % shorter$/);
		const notes = notesOfTally(became, demo);
		expect(notes.attendance).toBe(6);
		expect(notes.note).toBe(`${second.title}: hurried`);
		const slugs = itemsOf(demo).filter(({ id }) => items.has(id));
		const elsewhere = itemsOf(demo).filter(({ id }) => !items.has(id));
		expect(notes.leftOut).toEqual(
			slugs
				.map(({ movement }) => movement)
				.filter((slug) => !elsewhere.some(({ movement }) => movement === slug))
		);
		expect(classNotesFaults(notes)).toEqual([]);
	});

	it('led as planned, is drawn as the desk drew it, twice', () => {
		const { planned, real } = plannedVsActual(DEMO, led((_run, id) => asPlanned(id)).events, findMovement);
		expect(real).toEqual(planned);
		expect(planned.marks).toEqual([]);
		const { targets } = STRIDERS;
		const desk = score(
			analysePlan(
				demo,
				{ catalogue: CATALOGUE, find: findMovement, targets, pace: USUAL_PACE },
				new Set<never>()
			)
		);
		expect(planned.totalSeconds).toBe(desk.totalSeconds);
		expect(planned.blocks.flatMap(({ work }) => work)).toEqual(desk.blocks.flatMap(({ work }) => work));
		expect(planned.blocks.map(({ name }) => name)).toEqual(desk.blocks.map(({ name }) => name));
		expect(planned.intensity).toEqual(desk.intensity);
		// coming out of the last shape of a part is one step with getting into the next
		expect(planned.sections.map(({ name }) => name)).toEqual(desk.sections.map(({ name }) => name));
	});

	it('is drawn with what was left out in the one score, and where it was paused in the other', () => {
		const out = DEMO.blocks.find(({ keptFor, section }) => keptFor === null && section === 'release')!;
		const steps = DEMO.steps.filter(({ blockId }) => blockId === out.id).map(({ id }) => id);
		const held = DEMO.steps.find(({ kind }) => kind === 'work')!;
		const run = led((device, id) => {
			if (id !== held.id) return asPlanned(id);
			device.does({ do: 'leave out', steps });
			device.after(5).does({ do: 'pause' }).after(90).does({ do: 'resume' });
			return asPlanned(id) - 5;
		});
		const { planned, real } = plannedVsActual(DEMO, run.events, findMovement);
		expect(planned.blocks.some(({ blockId }) => blockId === out.id)).toBe(true);
		expect(real.blocks.some(({ blockId }) => blockId === out.id)).toBe(false);
		const missed = DEMO.steps.filter(({ id, kind }) => steps.includes(id) && kind === 'work');
		expect(planned.marks.map(({ message }) => message)).toEqual(
			missed.map(({ title, leg }) => `Left out: ${[title, leg].filter(Boolean).join(', ')}`)
		);
		expect(real.marks.map(({ message }) => message)).toEqual(['Paused for 1:30']);
		const less = DEMO.steps
			.filter(({ id }) => steps.includes(id))
			.reduce((sum, { seconds }) => sum + seconds, 0);
		expect(real.totalSeconds).toBe(DEMO.lengthSeconds - less + 90);
		expect(real.spanSeconds).toBe(planned.spanSeconds);
	});

	it('is drawn without gap or overlap, whatever happened', () => {
		fc.assert(
			fc.property(anyRun(DEMO), (run) => {
				const { planned, real } = plannedVsActual(DEMO, run.events, findMovement);
				let end = 0;
				for (const { x, width, key } of real.blocks) {
					expect(x).toBeGreaterThanOrEqual(end);
					end = x + width;
					expect(real.blocks.filter((other) => other.key === key)).toHaveLength(1);
				}
				expect(end).toBeLessThanOrEqual(real.totalSeconds);
				expect(real.spanSeconds).toBeGreaterThanOrEqual(real.totalSeconds);
				const work = (blocks: typeof real.blocks) =>
					blocks.flatMap((block) => block.work).reduce((sum, { width }) => sum + width, 0);
				const { kinds } = tally(DEMO, run.events);
				const given = kinds.find(({ kind }) => kind === 'work')?.real ?? 0;
				// each stay is rounded by itself
				expect(Math.abs(work(real.blocks) - given)).toBeLessThanOrEqual(run.events.length + 1);
				expect(planned.totalSeconds).toBe(DEMO.lengthSeconds);
			}),
			{ numRuns: 100 }
		);
	});

	it('is no class where it was a false start or was not ended', () => {
		expect(isTaught(tally(DEMO, begun().after(20).does({ do: 'end' }).events))).toBe(false);
		expect(isTaught(tally(DEMO, begun().after(3000).does({ do: 'note', words: 'x' }).events))).toBe(false);
		expect(isTaught(tally(DEMO, begun().after(3000).does({ do: 'end' }).events))).toBe(true);
	});
});
