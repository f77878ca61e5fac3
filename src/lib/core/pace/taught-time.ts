import { secondsInMinute } from 'date-fns/constants';
import { median } from 'simple-statistics';
import { number, object, string } from 'yup';
import type { DocumentKind } from '../validation';
import { CLASS_KINDS, type ClassKind } from './kinds';
import { PACE_LIMITS, type PaceFigure } from './pace';

/** The figure that a stretch of time depends on: one figure, the pace as a whole, or none (words, tests, rests). */
export type TimedBy = PaceFigure | 'whole pace' | 'nothing';

/** One step of a class that was led: what it takes with the usual pace of its kind, part by part, and what it took. */
export interface StepTime {
	parts: readonly { by: TimedBy; usualSeconds: number }[];
	realSeconds: number;
	/** The movement that people get into or do, by its slug; null for what no movement explains. */
	movement: string | null;
}

/** Logarithms of real against usual times, less that of the class as a whole: how many, their sum, and of their squares. */
export interface Logs {
	times: number;
	sum: number;
	squares: number;
}

/** Evidence of one taught class on a teacher's pace. */
export interface PaceEvidence {
	kind: ClassKind;
	/** Whether it was led step by step, or only its minutes are known. */
	known: 'steps' | 'minutes';
	/** Seconds at the usual pace of that kind, by the figure they depend on. */
	usualSeconds: Partial<Record<PaceFigure | 'whole pace', number>>;
	/** Seconds that these stretches really took. */
	realSeconds: number;
	figures: Partial<Record<PaceFigure, Logs>>;
	movements: Record<string, Logs>;
	/** Work of what was planned alike on both sides, seconds; left out where it was not led. */
	sides?: { first: number; second: number };
}

/** A residual beyond this, on the scale of logarithms, says no more than this: something came between. From the timings of 21 classes. */
export const CLIPPED_AT = 1.3;
/** A step over its time by this factor and this many seconds was an interruption without a marked pause. Judged. */
const INTERRUPTED = { over: Math.exp(CLIPPED_AT), bySeconds: 60 } as const;
/** A step is evidence for a figure when at least this share of it depends on that figure. Judged. */
const MOSTLY = 0.6;
/** A tap is a second early or late: shorter steps are too coarse to learn from. */
const SHORTEST_SECONDS = 2;

/** Returns the evidence of the steps of a class; null where none of them depends on the pace. */
export function paceEvidence(kind: ClassKind, steps: readonly StepTime[]): PaceEvidence | null {
	const told = steps.flatMap((step) => {
		const of = (kept: (by: TimedBy) => boolean) =>
			step.parts.reduce((sum, { by, usualSeconds }) => (kept(by) ? sum + usualSeconds : sum), 0);
		const usual = of((by) => by !== 'nothing');
		const real = step.realSeconds - of((by) => by === 'nothing');
		return usual > 0 && real > 0 ? [{ ...step, usual, real }] : [];
	});
	if (!told.length) return null;
	const roughly = median(told.map(({ real, usual }) => real / usual));
	// how long it would have been without what came between is not known: it says nothing
	const kept = told.filter(({ real, usual }) => {
		const expected = usual * roughly;
		return real <= expected * INTERRUPTED.over || real <= expected + INTERRUPTED.bySeconds;
	});
	const realSeconds = kept.reduce((all, { real }) => all + real, 0);
	const ratio = realSeconds / kept.reduce((all, { usual }) => all + usual, 0);

	const usualSeconds: PaceEvidence['usualSeconds'] = {};
	const figures: PaceEvidence['figures'] = {};
	for (const { parts, usual, real } of kept) {
		for (const { by, usualSeconds: seconds } of parts)
			if (by !== 'nothing') usualSeconds[by] = (usualSeconds[by] ?? 0) + seconds;
		const main = parts.find((part) => part.usualSeconds >= MOSTLY * usual)?.by;
		if (usual < SHORTEST_SECONDS || !main || main === 'nothing' || main === 'whole pace') continue;
		figures[main] = withLog(figures[main], residual(real, usual * ratio));
	}
	return {
		kind,
		known: 'steps',
		usualSeconds,
		realSeconds,
		figures,
		movements: movementsOf(kept, figures, ratio)
	};
}

/**
 * Returns the time of each movement, both sides and all returns summed, less the part that the figures of the same
 * class explain: the sides of one evening are too alike to count twice.
 */
function movementsOf(
	steps: readonly (StepTime & { real: number })[],
	figures: PaceEvidence['figures'],
	ratio: number
): Record<string, Logs> {
	const sums = new Map<string, { expected: number; real: number }>();
	for (const { movement, parts, real } of steps) {
		if (movement === null) continue;
		const found = sums.get(movement) ?? { expected: 0, real: 0 };
		for (const { by, usualSeconds } of parts)
			if (by !== 'nothing') found.expected += usualSeconds * ratio * Math.exp(meanOf(by, figures));
		found.real += real;
		sums.set(movement, found);
	}
	return Object.fromEntries(
		[...sums]
			.filter(([, { expected }]) => expected >= SHORTEST_SECONDS)
			.map(([movement, { expected, real }]) => [movement, withLog(undefined, residual(real, expected))])
	);
}

/** As many times without any difference are added to those of one class. Judged. */
const DRAWN_TO_NONE = 4;

/** A figure's mean in one class, drawn towards none the fewer times it was seen. */
function meanOf(by: TimedBy, figures: PaceEvidence['figures']): number {
	const logs = by === 'nothing' || by === 'whole pace' ? undefined : figures[by];
	return logs ? logs.sum / (logs.times + DRAWN_TO_NONE) : 0;
}

const residual = (real: number, expected: number): number =>
	Math.max(-CLIPPED_AT, Math.min(CLIPPED_AT, Math.log(real / expected)));

const withLog = (logs: Logs | undefined, z: number): Logs => ({
	times: (logs?.times ?? 0) + 1,
	sum: (logs?.sum ?? 0) + z,
	squares: (logs?.squares ?? 0) + z * z
});

/**
 * A class of which only the minutes are known: it tells of the pace as a whole.
 * @param usual what it takes with the usual pace of its kind, by what it depends on
 * @returns null where nothing is left for the pace
 */
export function taughtTimeOfMinutes(
	kind: ClassKind,
	usual: readonly { by: TimedBy; usualSeconds: number }[],
	minutes: number
): PaceEvidence | null {
	const usualSeconds: PaceEvidence['usualSeconds'] = {};
	let fixed = 0;
	for (const { by, usualSeconds: seconds } of usual)
		if (by === 'nothing') fixed += seconds;
		else usualSeconds[by] = (usualSeconds[by] ?? 0) + seconds;
	const realSeconds = minutes * secondsInMinute - fixed;
	if (realSeconds <= 0 || Object.keys(usualSeconds).length === 0) return null;
	return { kind, known: 'minutes', usualSeconds, realSeconds, figures: {}, movements: {} };
}

const logsSchema = object({
	times: number().integer().min(1).required(),
	sum: number().required(),
	squares: number().min(0).required()
})
	.noUnknown()
	.default(undefined);

const FIGURES = Object.keys(PACE_LIMITS) as PaceFigure[];

const taughtTimeSchema = object({
	kind: string().oneOf(CLASS_KINDS).required(),
	known: string().oneOf(['steps', 'minutes']).required(),
	usualSeconds: object(Object.fromEntries([...FIGURES, 'whole pace'].map((by) => [by, number().min(0)])))
		.noUnknown()
		.required(),
	realSeconds: number().positive().required(),
	figures: object(Object.fromEntries(FIGURES.map((figure) => [figure, logsSchema])))
		.noUnknown()
		.required(),
	movements: object().required(),
	sides: object({ first: number().min(0).required(), second: number().min(0).required() })
		.noUnknown()
		.default(undefined)
})
	.noUnknown()
	.required();

/** As it is kept: worked out by this program from what was taught, never sent. */
export const TAUGHT_TIME: DocumentKind = { name: 'taught time', schema: taughtTimeSchema, steps: [] };
