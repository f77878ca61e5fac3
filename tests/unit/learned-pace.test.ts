import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { clock } from '../../src/lib/core/clock';
import { fit } from '../../src/lib/core/fit';
import {
	CLASS_KINDS,
	classLogSd,
	HALF_LIFE_CLASSES,
	learnedWords,
	learnKinds,
	learnPace,
	ownMovements,
	paceOf,
	provenanceWords,
	priorOf,
	PRIORS,
	paceEvidence,
	taughtTimeOfMinutes,
	tenthFromTop,
	TAUGHT_TIME,
	updated,
	USUAL_PACE,
	withLearning,
	withPaceSaid,
	type Logs,
	type PaceModel,
	type StepTime,
	type PaceEvidence
} from '../../src/lib/core/pace';
import { applyEdit } from '../../src/lib/core/plan';
import { schemaFaults } from '../../src/lib/core/validation';
import {
	kindOfPlan,
	scriptOf,
	usualParts,
	evidenceOfMinutes,
	evidenceOfSession,
	type SessionEvent
} from '../../src/lib/core/teach';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { curve, simulated } from '../reference/simulated-teachers';

const demo = DEMO_PLANS.find(({ plan }) => plan.title === 'After the headland run')!.plan;
const logsOf = (values: number[]): Logs => ({
	times: values.length,
	sum: values.reduce((a, b) => a + b, 0),
	squares: values.reduce((a, b) => a + b * b, 0)
});

describe('the normal-inverse-gamma distribution', () => {
	/** Posterior by a grid over mean and variance, from nothing but the densities: outside of what is tested. */
	function byIntegration(values: number[]) {
		const { mean: m0, kappa, alpha, beta } = priorOf(PRIORS.moveSeconds);
		let [weight, mean, variance] = [0, 0, 0];
		for (let v = 0.02; v < 1.5; v += 0.002)
			for (let m = -1.5; m < 1.5; m += 0.01) {
				const log =
					-(alpha + 1) * Math.log(v) -
					beta / v -
					0.5 * Math.log(v) -
					(kappa * (m - m0) ** 2) / (2 * v) -
					values.reduce((sum, z) => sum + 0.5 * Math.log(v) + (z - m) ** 2 / (2 * v), 0);
				const density = Math.exp(log);
				weight += density;
				mean += density * m;
				variance += density * v;
			}
		return { mean: mean / weight, variance: variance / weight };
	}

	it('has the posterior that numeric integration has', () => {
		for (const values of [[0.4], [0.1, 0.3, -0.2, 0.6], Array.from({ length: 30 }, (_, i) => Math.sin(i))]) {
			const posterior = updated(priorOf(PRIORS.moveSeconds), logsOf(values));
			const grid = byIntegration(values);
			expect(posterior.mean).toBeCloseTo(grid.mean, 2);
			expect(posterior.beta / (posterior.alpha - 1)).toBeCloseTo(grid.variance, 2);
		}
	});

	it('has the upper tenth of Student’s t as tables have it', () => {
		// Abramowitz & Stegun (1964), table 26.10, Q = 0.1 (from memory)
		expect(tenthFromTop(6)).toBeCloseTo(1.44, 2);
		expect(tenthFromTop(10)).toBeCloseTo(1.372, 3);
		expect(tenthFromTop(30)).toBeCloseTo(1.31, 3);
		expect(tenthFromTop(Infinity)).toBeCloseTo(1.282, 3);
	});
});

const step = (realSeconds: number, usualSeconds = 70, movement = 'cat-cow'): StepTime => ({
	parts: [{ by: 'heldBreathSeconds', usualSeconds }],
	realSeconds,
	movement
});

describe('what a class says', () => {
	it('is the ratio of sums, and each figure beside it', () => {
		const move: StepTime = {
			parts: [{ by: 'moveSeconds', usualSeconds: 10 }],
			realSeconds: 24,
			movement: null
		};
		const time = paceEvidence('ordinary', [...Array.from({ length: 9 }, () => step(84)), move])!;
		expect(time.realSeconds).toBe(9 * 84 + 24);
		expect(time.usualSeconds).toEqual({ heldBreathSeconds: 630, moveSeconds: 10 });
		const ratio = (9 * 84 + 24) / 640;
		expect(time.figures.moveSeconds!.sum).toBeCloseTo(Math.log(2.4 / ratio), 9);
		expect(time.figures.heldBreathSeconds).toMatchObject({ times: 9 });
		expect(schemaFaults(TAUGHT_TIME.schema, time)).toEqual([]);
	});

	it('is not moved by an interruption that nobody marked', () => {
		const calm = paceEvidence(
			'ordinary',
			Array.from({ length: 20 }, () => step(77))
		)!;
		const disturbed = paceEvidence('ordinary', [
			...Array.from({ length: 19 }, () => step(77)),
			step(77 + 600)
		])!;
		const factor = (time: PaceEvidence) => learnPace([time], 'ordinary', true)!.factor;
		expect(Math.abs(factor(disturbed) / factor(calm) - 1)).toBeLessThan(0.01);
	});

	it('leaves words, tests and what was pinned out', () => {
		const words: StepTime = {
			parts: [{ by: 'nothing', usualSeconds: 60 }],
			realSeconds: 400,
			movement: null
		};
		expect(paceEvidence('ordinary', [words])).toBeNull();
		expect(paceEvidence('ordinary', [words, step(77)])!.realSeconds).toBe(77);
	});

	it('with only its minutes says how long it was as a whole', () => {
		const usual = [
			{ by: 'heldBreathSeconds' as const, usualSeconds: 3000 },
			{ by: 'nothing' as const, usualSeconds: 300 }
		];
		expect(taughtTimeOfMinutes('ordinary', usual, 60)).toMatchObject({
			known: 'minutes',
			realSeconds: 3300,
			figures: {}
		});
		expect(taughtTimeOfMinutes('ordinary', usual, 5)).toBeNull();
	});
});

/** A class in which everything takes `ratio` times the usual. */
const evenly = (ratio: number): PaceEvidence =>
	paceEvidence(
		'ordinary',
		Array.from({ length: 45 }, (_, i) => step(70 * ratio, 70, i % 2 ? 'cat-cow' : 'bridge'))
	)!;

describe('the figure of a change of sides', () => {
	it.each(CLASS_KINDS)('is the one that the clock took, in %s classes too', (kind) => {
		for (const { plan } of DEMO_PLANS) {
			const pace: PaceModel = { classKind: kind, figures: {} };
			const { pinnedPace: _pinned, ...bare } = plan;
			const taken = new Map(
				clock(bare, findMovement, pace)
					.entries.filter(({ phase }) => phase === 'change')
					.map(({ itemId, changeBy }) => [itemId, changeBy])
			);
			const learned = [...usualParts(plan, findMovement, kind).values()]
				.flat()
				.filter(({ by }) => by === 'changeSidesSeconds' || by === 'changeSidesWithPropSeconds');
			for (const { itemId, by } of learned) expect(by).toBe(taken.get(itemId));
			const plain = [...taken.values()].filter((by) => by !== 'slow-switch');
			expect(learned.length, plan.title).toBe(plain.length);
		}
	});
});

describe('learning', () => {
	it('draws the factor towards what was seen, the more the more classes there are', () => {
		const factors = [1, 3, 10].map(
			(n) =>
				learnPace(
					Array.from({ length: n }, () => evenly(1.2)),
					'ordinary',
					true
				)!.factor
		);
		expect(factors[0]).toBeGreaterThan(1.1);
		expect(factors[0]).toBeLessThan(factors[1]!);
		expect(factors[2]).toBeGreaterThan(1.15);
		expect(factors[2]).toBeLessThanOrEqual(1.2);
	});

	it('learns no figure where all are longer alike', () => {
		const { figures, movements } = learnPace([evenly(1.2), evenly(1.2)], 'ordinary', true)!;
		// each time is its mean: without spread the mean of the logarithms is not under the logarithm of the mean
		expect(figures.heldBreathSeconds!.ratio).toBeLessThan(1.14);
		expect(movements['cat-cow']!.ratio).toBeLessThan(1.09);
	});

	it('forgets with its half-life', () => {
		const changed = [
			...Array.from({ length: 30 }, () => evenly(1.3)),
			...Array.from({ length: HALF_LIFE_CLASSES }, () => evenly(0.9))
		];
		expect(learnPace(changed, 'ordinary', true)!.factor).toBeLessThan(0.95);
	});

	it('learns each kind of class by itself, and is narrower after three', () => {
		const learned = learnKinds([evenly(1.2), evenly(1.2), evenly(1.2)], undefined);
		expect(Object.keys(learned)).toEqual(['ordinary']);
		const model: PaceModel = { figures: {}, learned };
		expect(classLogSd(model)).toBeLessThan(classLogSd(USUAL_PACE) / 2);
		expect(classLogSd(model, { classKind: 'flow' })).toBe(classLogSd(USUAL_PACE, { classKind: 'flow' }));
		expect(paceOf(model, { classKind: 'flow' }).moveSeconds).toBe(8);
	});
});

describe('a learned pace', () => {
	const learned = learnKinds([evenly(1.2), evenly(1.2), evenly(1.2)], 'ordinary');
	const model: PaceModel = { classKind: 'ordinary', figures: {}, learned };

	it('says where each figure comes from, and can be put back', () => {
		expect(provenanceWords(model).heldBreathSeconds).toBe('from 135 of yours; usual 7');
		expect(paceOf(model).heldBreathSeconds).toBeGreaterThan(8);
		expect(provenanceWords(model).moveSeconds).toBe('with your pace as a whole; usual 8');
		const back = withPaceSaid(model, { heldBreathSeconds: 7 });
		expect(paceOf({ ...back, learned }).heldBreathSeconds).toBe(7);
		expect(provenanceWords({ ...back, learned }).heldBreathSeconds).toBe('said by you; usual 7');
		expect(learnedWords(model)).toMatch(
			/^Learned from 3 classes, that you led with Teach: your classes take 1\d % longer than usual\./
		);
		expect(learnedWords(USUAL_PACE)).toBeNull();
		expect(withLearning(withLearning(USUAL_PACE, false), true)).toEqual(USUAL_PACE);
	});

	it('makes a class longer but for what the teacher pinned, and its fit exact again', () => {
		const usual = clock(demo, findMovement, USUAL_PACE).totalSeconds;
		const now = clock(demo, findMovement, model).totalSeconds;
		expect(now / usual).toBeGreaterThan(1.08);
		const fitted = fit(demo, findMovement, model);
		expect(fitted).toMatchObject({ ok: true });
		if (!fitted.ok) return;
		const plan = applyEdit(demo, { do: 'setDoses', doses: fitted.doses });
		expect(clock(plan, findMovement, model).totalSeconds).toBe(demo.lengthSeconds);
	});

	it('gives a movement its own time beside the figures', () => {
		const slow: PaceModel = {
			figures: {},
			learned: {
				ordinary: {
					...learned.ordinary!,
					factor: 1,
					figures: {},
					movements: { 'cat-cow': { ratio: 1.5, times: 4 } }
				}
			}
		};
		const seconds = (pace: PaceModel, slug: string) =>
			clock(demo, findMovement, pace)
				.entries.filter((e) => e.movement === slug && e.phase === 'work')
				.reduce((sum, e) => sum + e.toSeconds - e.fromSeconds, 0);
		const slugs = [
			...new Set(clock(demo, findMovement, USUAL_PACE).entries.flatMap(({ movement }) => movement ?? []))
		];
		const one = slugs.find((slug) => seconds(USUAL_PACE, slug) > 40)!;
		const own: PaceModel = {
			...slow,
			learned: { ordinary: { ...slow.learned!.ordinary!, movements: { [one]: { ratio: 1.5, times: 4 } } } }
		};
		expect(seconds(own, one) / seconds(USUAL_PACE, one)).toBeCloseTo(1.5, 1);
		for (const other of slugs.filter((slug) => slug !== one))
			expect(seconds(own, other)).toBe(seconds(USUAL_PACE, other));
		expect(ownMovements(own)).toEqual([{ slug: one, percent: 50, times: 4 }]);
	});
});

/** Leads a class to its end, each step `times` as long as in its script. */
function led(ratio: number, pace: PaceModel = USUAL_PACE) {
	const script = scriptOf(demo, DEMO_GROUPS.striders, findMovement, pace);
	const start = Date.UTC(2026, 10, 24, 17, 30);
	let ms = 0;
	const at = (more: object): SessionEvent =>
		({ id: `event-${ms}-000000000`, at: start + ms, monoMs: ms, boot: 'one', ...more }) as SessionEvent;
	const events = [at({ do: 'start', plannedStartAt: start })];
	for (const { seconds } of script.steps) {
		ms += seconds * ratio * 1000;
		events.push(at({ do: 'next' }));
	}
	return { script, events };
}

describe('a class that was led', () => {
	it('tells the factor with which it was given, and its figures', () => {
		const time = evidenceOfSession(led(1.25), demo, findMovement, 'ordinary')!;
		const usual = Object.values(time.usualSeconds).reduce((a, b) => a + b, 0);
		expect(time.realSeconds / usual).toBeGreaterThan(1.24);
		expect(time.realSeconds / usual).toBeLessThan(1.3);
		expect(time.figures.setUpSeconds!.times).toBeGreaterThan(5);
		expect(Object.keys(time.movements).length).toBeGreaterThan(5);
	});

	it('says the same whatever pace its script was made with', () => {
		const learned = learnKinds([evenly(1.2)], 'ordinary');
		const pace: PaceModel = { figures: {}, learned };
		const time = evidenceOfSession(led(1, pace), demo, findMovement, 'ordinary')!;
		const usual = Object.values(time.usualSeconds).reduce((a, b) => a + b, 0);
		expect(time.realSeconds / usual).toBeCloseTo(clockWithoutFixed(pace) / clockWithoutFixed(USUAL_PACE), 2);
	});

	it('tells nothing once its plan is another', () => {
		const other = DEMO_PLANS.find(({ plan }) => plan.title === 'A wave at noon')!.plan;
		expect(evidenceOfSession(led(1.2), other, findMovement, 'ordinary')).toBeNull();
		expect(kindOfPlan(demo, { figures: {}, classKind: 'detailed' })).toBe('detailed');
	});

	it('of which the minutes are known leaves out what was left out', () => {
		const whole = evidenceOfMinutes(demo, findMovement, 'ordinary', 45, [])!;
		const { movement } = clock(demo, findMovement, USUAL_PACE).entries.find(({ phase }) => phase === 'work')!;
		const less = evidenceOfMinutes(demo, findMovement, 'ordinary', 45, [movement!])!;
		const sum = ({ usualSeconds }: PaceEvidence) => Object.values(usualSeconds).reduce((a, b) => a + b, 0);
		expect(sum(less)).toBeLessThan(sum(whole) - 20);
	});
});

function clockWithoutFixed(pace: PaceModel): number {
	const fixed = new Set(['setRest', 'notice', 'leave', 'talk', 'test']);
	return clock(demo, findMovement, pace)
		.entries.filter(({ phase }) => !fixed.has(phase))
		.reduce((sum, { fromSeconds, toSeconds }) => sum + toSeconds - fromSeconds, 0);
}

describe('predictions for simulated teachers', () => {
	const told = simulated(100, 11, 3);
	const after = new Map(curve(told).map((point) => [point.known, point]));

	it('hold what they promise at every number of classes', () => {
		// 500 evenings each: the bounds of bench, and twice the standard error of 100 teachers beside them
		for (const { held } of after.values()) {
			expect(held).toBeGreaterThan(0.67);
			expect(held).toBeLessThan(0.9);
		}
	});

	it('come near to somebody who knows the teacher, and are narrower than the first', () => {
		expect(after.get(3)!.against).toBeLessThan(1.2);
		expect(after.get(10)!.against).toBeLessThan(1.08);
		expect(after.get(3)!.halfWidth).toBeLessThan(after.get(0)!.halfWidth * 0.7);
	});

	it('learn from minutes alone', () => {
		const minutes = curve(simulated(60, 4, 5, true));
		expect(minutes[3]!.error).toBeLessThan(minutes[0]!.error * 0.75);
	});
});
