import { findMovement } from '../../src/lib/catalogue';
import { clock, spread } from '../../src/lib/core/clock';
import {
	classLogSd,
	EIGHT_OF_TEN,
	EVENING_LOG_SD,
	learnKinds,
	PRIORS,
	paceEvidence,
	taughtTimeOfMinutes,
	CHANCE_SECONDS,
	type ClassKind,
	type PaceFigure,
	type StepTime,
	type PaceEvidence
} from '../../src/lib/core/pace';
import type { ClassPlan } from '../../src/lib/core/plan';
import { usualParts } from '../../src/lib/core/teach';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { seeded } from './seeded';

/** Kinds of teacher that a learned pace must not fail. */
export const TEMPERS = ['talkative', 'brisk', 'uneven', 'drifting', 'kind chosen wrongly'] as const;
export type Temper = (typeof TEMPERS)[number];

/** How a simulated teacher's class went against what was predicted of it, on the scale of logarithms. */
export interface Told {
	temper: Temper;
	/** How many classes were known before. */
	known: number;
	error: number;
	/** The error of somebody who knows the teacher's pace and figures, but neither the evening nor the habit with each movement. */
	oracleError: number;
	inRange: boolean;
	/** Half of the range. */
	halfWidth: number;
}

/** Normal values by Box and Muller. */
const normal = (random: () => number) => (): number =>
	Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** Classes of half an hour to an hour, as they are given in turns. */
const PLANS: ClassPlan[] = DEMO_PLANS.map(({ plan }) => plan).filter(
	({ lengthSeconds }) => lengthSeconds >= 30 * 60 && lengthSeconds <= 75 * 60
);

/** How much longer each figure of a talkative teacher is, on the scale of logarithms; a brisk one's is as much shorter. */
const TALK: Partial<Record<PaceFigure, number>> = { setUpSeconds: 0.2, changeSidesSeconds: 0.2 };
/** Teachers differ by figures and as a whole; together as much as whole classes of one kind were seen to differ. */
const BETWEEN_FIGURES = 0.12;
/** The same movement is longer with one teacher than with another, whatever the figures say. */
const BETWEEN_MOVEMENTS = 0.15;
const SHARE_OF_FIGURES = 0.07;
const BETWEEN_CLASSES = 0.12;
/** Number of evenings on which each next class is simulated, to reduce chance. */
const EVENINGS = 5;
const DRIFT_PER_CLASS = 0.015;
const UNEVEN_EVENING = 0.09;

const partsOf = new Map<string, ReturnType<typeof usualParts>>();
function parts(plan: ClassPlan, kind: ClassKind) {
	const key = `${PLANS.indexOf(plan)}/${kind}`;
	const found = partsOf.get(key) ?? usualParts(plan, findMovement, kind);
	partsOf.set(key, found);
	return found;
}

/**
 * Lets teachers teach, whose figures are drawn from the variances of the timings (docs/clock.md), and tells before each
 * class what is predicted from those before it.
 */
export function simulated(teachers: number, classes: number, seed: number, minutesOnly = false): Told[] {
	const draw = normal(seeded(seed));
	return Array.from({ length: teachers }, (_teacher, t) => {
		const temper = TEMPERS[t % TEMPERS.length]!;
		const chosen: ClassKind = t % 2 === 0 ? 'ordinary' : 'detailed';
		const real: ClassKind =
			temper === 'kind chosen wrongly' ? (chosen === 'ordinary' ? 'flow' : 'ordinary') : chosen;
		const figures = new Map<string, number>();
		const talks = temper === 'talkative' ? 1 : temper === 'brisk' ? -1 : 0;
		const figureOf = (by: string) => {
			if (!figures.has(by))
				figures.set(
					by,
					(by in PRIORS || by === 'whole pace' ? BETWEEN_FIGURES : BETWEEN_MOVEMENTS) * draw() +
						talks * (TALK[by as PaceFigure] ?? 0)
				);
			return figures.get(by)!;
		};
		let factor = Math.sqrt(BETWEEN_CLASSES ** 2 - EVENING_LOG_SD ** 2 - SHARE_OF_FIGURES ** 2) * draw();
		const times: PaceEvidence[] = [];
		return Array.from({ length: classes }, (_class, known): Told[] => {
			const plan = PLANS[(t + known) % PLANS.length]!;
			if (temper === 'drifting') factor += DRIFT_PER_CLASS * draw();
			// the app's usual pace is that of the kind that was said
			const usual = parts(plan, chosen);
			const own = [...parts(plan, real)].map(([id, of]) => {
				const sum = (each: (by: string, seconds: number) => number) =>
					of.reduce((all, { by, usualSeconds }) => all + each(by, usualSeconds), 0);
				const { itemId } = of.at(-1)!;
				const beside = itemId === null ? 0 : figureOf(itemId);
				return {
					parts: usual.get(id) ?? [],
					movement: itemId,
					fixed: sum((by, seconds) => (by === 'nothing' ? seconds : 0)),
					mean: sum((by, seconds) => (by === 'nothing' ? 0 : seconds * Math.exp(factor + figureOf(by)))),
					beside: Math.exp(beside)
				};
			});
			const expected = own.reduce((sum, { fixed, mean }) => sum + fixed + mean, 0);
			/** One evening of it. */
			const evening = (): { steps: StepTime[]; taken: number } => {
				const shift = (temper === 'uneven' ? UNEVEN_EVENING : EVENING_LOG_SD) * draw();
				const steps = own.map(({ fixed, mean: without, beside, ...step }) => {
					const mean = without * beside;
					const logSd = Math.sqrt(Math.log(1 + CHANCE_SECONDS / Math.max(8, mean)));
					return { ...step, realSeconds: fixed + mean * Math.exp(shift + logSd * draw() - logSd ** 2 / 2) };
				});
				return { steps, taken: steps.reduce((sum, { realSeconds }) => sum + realSeconds, 0) };
			};
			const model = { classKind: chosen, figures: {}, learned: learnKinds(times, chosen) };
			const { pinnedPace: _pinned, ...unpinned } = plan;
			const predicted = clock(unpinned, findMovement, model).totalSeconds;
			const range = spread(predicted, plan.lengthSeconds, classLogSd(model, {}));
			const first = evening();
			const time = minutesOnly
				? taughtTimeOfMinutes(chosen, [...usual.values()].flat(), Math.round(first.taken / 60))
				: paceEvidence(chosen, first.steps);
			if (time) times.push(time);
			return [first, ...Array.from({ length: EVENINGS - 1 }, evening)].map(({ taken }) => ({
				temper,
				known,
				error: Math.log(taken / predicted),
				oracleError: Math.log(taken / expected),
				inRange: taken >= range.likelyFromSeconds && taken <= range.likelyToSeconds,
				halfWidth: EIGHT_OF_TEN * range.logSd
			}));
		}).flat();
	}).flat();
}

/** How well it was told after each number of classes. */
export function curve(told: readonly Told[]) {
	const rms = (values: number[]) => Math.sqrt(values.reduce((sum, v) => sum + v * v, 0) / values.length);
	const knowns = [...new Set(told.map(({ known }) => known))].sort((a, b) => a - b);
	return knowns.map((known) => {
		const of = told.filter((one) => one.known === known);
		return {
			known,
			held: of.filter(({ inRange }) => inRange).length / of.length,
			error: rms(of.map(({ error }) => error)),
			against: rms(of.map(({ error }) => error)) / rms(of.map(({ oracleError }) => oracleError)),
			halfWidth: of.reduce((sum, { halfWidth }) => sum + halfWidth, 0) / of.length
		};
	});
}
