import {
	CHANCE_SECONDS,
	CLASS_KINDS,
	EIGHT_OF_TEN,
	KINDS,
	UNKNOWN_KIND_LOG_SD,
	USUAL_KIND,
	type ClassKind
} from './kinds';
import type { PaceFigure } from './pace';
import type { Logs, PaceEvidence } from './taught-time';

/** A figure as a teacher's classes show it, against the usual one. */
export interface LearnedRatio {
	/** Times the usual. */
	ratio: number;
	/** Number of observations. */
	times: number;
}

/** Pace learned from a teacher's classes of one kind. */
export interface LearnedPace {
	/** How many classes it is from, and of how many of them more is known than their minutes. */
	classes: number;
	led: number;
	/** How much longer a whole class takes than with the usual pace. */
	factor: number;
	/**
	 * How far the next class may be from it, its own evening included: standard deviation of the logarithm, and a little
	 * more while the teacher's evenings are little known, so that eight of ten still lie within 1.28 of it.
	 */
	logSd: number;
	/** Each figure beside the factor. */
	figures: Partial<Record<PaceFigure, LearnedRatio>>;
	/** Each movement beside the factor and the figures. */
	movements: Record<string, LearnedRatio>;
}

/**
 * How sure the usual figures are: standard deviation of the logarithm of one time, and how many times of one's own weigh as
 * much as what is usual. From 639 timed segments of 21 taught classes (docs/clock.md); common practice, no published source.
 */
export const PRIORS: Record<PaceFigure, { logSd: number; kappa: number }> = {
	heldBreathSeconds: { logSd: 0.5, kappa: 4 },
	movingBreathSeconds: { logSd: 0.5, kappa: 4 },
	roundBreathSeconds: { logSd: 0.5, kappa: 4 },
	countSeconds: { logSd: 0.5, kappa: 4 },
	setUpSeconds: { logSd: 0.5, kappa: 4 },
	changeSidesSeconds: { logSd: 0.6, kappa: 3 },
	changeSidesWithPropSeconds: { logSd: 0.6, kappa: 3 },
	moveSeconds: { logSd: 0.5, kappa: 12 }
};
const MOVEMENT_PRIOR = { logSd: 0.46, kappa: 2 };
/** A movement is never taken for more than twice or less than half of what its figures say. Judged. */
const MOST_MOVEMENT_LOG = Math.log(2);

/** How far one evening of a teacher is from another. Assumed. */
export const EVENING_LOG_SD = 0.05;
/** Minutes that are written down afterwards are rounded and remembered. Judged. */
const REMEMBERED_LOG_SD = 0.05;
/** However many classes are known, the next may show that the teacher has changed. */
const LEAST_LOG_SD = 0.03;
/** Half-life of learned pace, in classes: teachers change. Judged. */
export const HALF_LIFE_CLASSES = 30;
const KEEPS = 2 ** (-1 / HALF_LIFE_CLASSES);
/** How many classes the usual spread of evenings weighs, until the teacher's own is known. Judged. */
const EVENINGS_PRIOR = 4;
/** A class further off than this many standard deviations counts as if it were at that limit: something happened that evening. */
const MOST_SURPRISE = 2.5;

/** Alpha of the inverse gamma of the spread of a figure; its beta is this times the variance. */
const ALPHA = 10;

/** Belief about a mean and a spread: the parameters of a normal-inverse-gamma distribution. */
export interface NormalInverseGamma {
	mean: number;
	kappa: number;
	alpha: number;
	beta: number;
}

/** Returns the prior distribution for a figure, before any class is known. */
export const priorOf = ({ logSd, kappa }: { logSd: number; kappa: number }): NormalInverseGamma => ({
	// times are log-normal: the mean of their logarithms is under the logarithm of their mean, which is what is planned with
	mean: -(logSd ** 2) / 2,
	kappa,
	alpha: ALPHA,
	beta: ALPHA * logSd ** 2
});

/**
 * The posterior after some observations, of which the number, the sum and the sum of squares are known.
 * Conjugate update of a normal with unknown mean and variance: Murphy, Conjugate Bayesian analysis of the Gaussian
 * distribution (2007), equations 197-200; Gelman et al., Bayesian Data Analysis, section 3.3 (from memory).
 */
export function updated(prior: NormalInverseGamma, { times, sum, squares }: Logs): NormalInverseGamma {
	if (times === 0) return prior;
	const mean = sum / times;
	const about = Math.max(0, squares - times * mean ** 2);
	const kappa = prior.kappa + times;
	return {
		mean: (prior.kappa * prior.mean + sum) / kappa,
		kappa,
		alpha: prior.alpha + times / 2,
		beta: prior.beta + about / 2 + (prior.kappa * times * (mean - prior.mean) ** 2) / (2 * kappa)
	};
}

/**
 * Returns the value that a t-distributed variable exceeds with probability 0.1. Abramowitz & Stegun, Handbook of
 * Mathematical Functions (1964), 26.7.5: within 0.001 from six degrees of freedom on (from memory).
 */
export function tenthFromTop(degrees: number): number {
	const z = EIGHT_OF_TEN;
	const g1 = (z ** 3 + z) / 4;
	const g2 = (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96;
	const g3 = (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384;
	return z + g1 / degrees + g2 / degrees ** 2 + g3 / degrees ** 3;
}

/** Added up with what was known before, which counts a little less after each class. */
const added = (before: Logs | undefined, more: Logs | undefined): Logs => ({
	times: (before?.times ?? 0) * KEEPS + (more?.times ?? 0),
	sum: (before?.sum ?? 0) * KEEPS + (more?.sum ?? 0),
	squares: (before?.squares ?? 0) * KEEPS + (more?.squares ?? 0)
});

/**
 * Learns a teacher's pace from classes of one kind, the oldest first. One factor for the whole teacher comes from the
 * ratio of sums, since single steps are noise; the figures and the movements, each beside that factor, from their own
 * logarithms. What is learned fades with a half-life of {@link HALF_LIFE_CLASSES} classes.
 *
 * @param chosen whether the teacher said that this is the kind of class they give
 * @returns null where nothing was taught yet
 */
export function learnPace(
	times: readonly PaceEvidence[],
	kind: ClassKind,
	chosen: boolean
): LearnedPace | null {
	if (times.length === 0) return null;
	const first = firstVariance(kind, chosen);
	let factor = { mean: 0, variance: first };
	let evenings = { weight: EVENINGS_PRIOR, sum: EVENINGS_PRIOR };
	let figures: Partial<Record<PaceFigure, Logs>> = {};
	let movements: Record<string, Logs> = {};
	const counts = { figures: new Map<string, number>(), movements: new Map<string, number>() };
	for (const time of times) {
		figures = fold(figures, time.figures, counts.figures);
		movements = fold(movements, time.movements, counts.movements);
		// knowledge of the factor fades towards the first belief
		const before = 1 / (1 / first + (1 / factor.variance - 1 / first) * KEEPS);
		const expected = expectedSeconds(time, figures);
		const scale = evenings.sum / evenings.weight;
		const chance = CHANCE_SECONDS / expected + (time.known === 'minutes' ? REMEMBERED_LOG_SD ** 2 : 0);
		const noise = chance + EVENING_LOG_SD ** 2 * scale;
		const sd = Math.sqrt(before + noise);
		const surprise = clip(Math.log(time.realSeconds / expected) - factor.mean, MOST_SURPRISE * sd);
		const weight = before / (before + noise);
		// how large surprises are against what was expected of them
		evenings = {
			weight: evenings.weight * KEEPS + 1,
			sum: evenings.sum * KEEPS + (surprise ** 2 / (before + noise)) * scale
		};
		factor = {
			mean: factor.mean + weight * surprise,
			variance: Math.max(LEAST_LOG_SD ** 2, before * (1 - weight))
		};
	}
	return {
		classes: times.length,
		led: times.filter(({ known }) => known === 'steps').length,
		factor: inSteps(Math.exp(factor.mean), SEARCH_STEPS.factor),
		logSd:
			Math.sqrt(factor.variance + EVENING_LOG_SD ** 2 * (evenings.sum / evenings.weight)) *
			(tenthFromTop(evenings.weight) / tenthFromTop(Infinity)),
		figures: ratios(figures, counts.figures, (figure) =>
			inSteps(figureRatio(figure as PaceFigure, figures), SEARCH_STEPS.figure)
		),
		movements: ratios(movements, counts.movements, (slug) =>
			inSteps(movementRatio(movements[slug]!), SEARCH_STEPS.movement)
		)
	};
}

/** In what steps a ratio changes: each class moves it a little, and plans that fit shall not be moved by each. Judged. */
const SEARCH_STEPS = { factor: 0.02, figure: 0.05, movement: 0.05 } as const;
const inSteps = (ratio: number, step: number): number => Number((Math.round(ratio / step) * step).toFixed(2));

/** Returns the variance of the log length of a class before any is taught, without the variance of its own evening. */
function firstVariance(kind: ClassKind, chosen: boolean): number {
	const logSd = chosen ? KINDS[kind].logSd : Math.max(KINDS[kind].logSd, UNKNOWN_KIND_LOG_SD);
	return logSd ** 2 - EVENING_LOG_SD ** 2;
}

function fold<K extends string>(
	before: Partial<Record<K, Logs>>,
	more: Partial<Record<K, Logs>>,
	counts: Map<string, number>
): Record<K, Logs> {
	for (const [key, logs] of Object.entries(more) as [K, Logs][])
		counts.set(key, (counts.get(key) ?? 0) + logs.times);
	const keys = new Set([...Object.keys(before), ...Object.keys(more)]) as Set<K>;
	return Object.fromEntries([...keys].map((key) => [key, added(before[key], more[key])])) as Record<K, Logs>;
}

/** Returns the seconds that the class would take without a factor, at the figures known so far. */
function expectedSeconds({ usualSeconds }: PaceEvidence, figures: Partial<Record<PaceFigure, Logs>>): number {
	return Object.entries(usualSeconds).reduce(
		(sum, [by, seconds]) =>
			sum + seconds * (by === 'whole pace' ? 1 : figureRatio(by as PaceFigure, figures)),
		0
	);
}

function figureRatio(figure: PaceFigure, figures: Partial<Record<PaceFigure, Logs>>): number {
	const logs = figures[figure];
	return logs ? meanRatio(updated(priorOf(PRIORS[figure]), logs)) : 1;
}

function movementRatio(logs: Logs): number {
	const ratio = meanRatio(updated(priorOf(MOVEMENT_PRIOR), logs));
	return Math.exp(clip(Math.log(ratio), MOST_MOVEMENT_LOG));
}

/** The mean of log-normal times whose logarithms have this mean and spread; 1 before anything is known. */
const meanRatio = ({ mean, alpha, beta }: NormalInverseGamma): number => Math.exp(mean + beta / alpha / 2);

const ratios = <K extends string>(
	of: Record<K, Logs> | Partial<Record<K, Logs>>,
	counts: ReadonlyMap<string, number>,
	ratio: (key: string) => number
): Record<string, LearnedRatio> =>
	Object.fromEntries(Object.keys(of).map((key) => [key, { ratio: ratio(key), times: counts.get(key) ?? 0 }]));

const clip = (value: number, most: number): number => Math.max(-most, Math.min(most, value));

/** Returns the learned pace of each kind of class that was taught. */
export function learnKinds(
	times: readonly PaceEvidence[],
	chosen: ClassKind | undefined
): Partial<Record<ClassKind, LearnedPace>> {
	const learned: Partial<Record<ClassKind, LearnedPace>> = {};
	for (const kind of CLASS_KINDS) {
		// another kind than the usual one was chosen for the class, or for the teacher
		const of = learnPace(
			times.filter((time) => time.kind === kind),
			kind,
			kind === chosen || kind !== USUAL_KIND
		);
		if (of) learned[kind] = of;
	}
	return learned;
}
