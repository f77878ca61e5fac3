import { boolean, number, object, string } from 'yup';
import { isObject, type DocumentKind, type Json } from '../validation';
import { CLASS_KINDS, KINDS, UNKNOWN_KIND_LOG_SD, USUAL_KIND, type ClassKind } from './kinds';
import type { LearnedPace, LearnedRatio } from './learn';
import { DEFAULT_PACE, PACE_LIMITS, stretched, type Pace, type PaceChanges, type PaceFigure } from './pace';

/** One figure of a teacher's pace, with its origin. */
export interface PaceEntry {
	meanSeconds: number;
	/** Standard deviation from one time to the next, as a share of the mean. */
	varies: number;
	/** How many times it was measured; 0 where the teacher said it. */
	observations: number;
}

/**
 * How long things take with one teacher. It belongs to the teacher and is looked up when a class is read; a class keeps
 * only what was set for it by hand. What is left out has the usual figure.
 */
export interface PaceModel {
	/** The kind of class that the teacher usually gives. */
	classKind?: ClassKind;
	timer?: boolean;
	/** False where the teacher does not want it to be learned from their classes. */
	learns?: boolean;
	/** Figures that the teacher set. */
	figures: Partial<Record<PaceFigure, PaceEntry>>;
	/** Pace learned from their classes, by kind of class: computed when needed, not stored. */
	learned?: Partial<Record<ClassKind, LearnedPace>>;
}

/** A teacher of whom nothing is known yet. */
export const USUAL_PACE: PaceModel = { figures: {} };

/**
 * How much each figure varies before it was measured: standard deviations as shares of the mean, from the spread of the
 * timings that the pace comes from (docs/clock.md). Common practice, no published source.
 */
export const USUALLY_VARIES: Record<PaceFigure, number> = {
	heldBreathSeconds: 0.5,
	movingBreathSeconds: 0.5,
	roundBreathSeconds: 0.5,
	countSeconds: 0.5,
	setUpSeconds: 0.5,
	changeSidesSeconds: 0.6,
	changeSidesWithPropSeconds: 0.6,
	moveSeconds: 0.5
};

/**
 * The figures that hold for a class: the usual ones, as the teacher's classes of that kind show them, over them what the
 * teacher said, over them what was said of the class.
 */
export function paceOf(model: PaceModel, pinned: PaceChanges = {}): Pace {
	const own = Object.fromEntries(
		Object.entries(model.figures).map(([figure, { meanSeconds }]) => [figure, meanSeconds])
	);
	const classKind = pinned.classKind ?? model.classKind ?? DEFAULT_PACE.classKind;
	const timer = pinned.timer ?? model.timer ?? DEFAULT_PACE.timer;
	const usual = { ...DEFAULT_PACE, setUpSeconds: KINDS[classKind].setUpSeconds.new };
	return {
		...withLearned(usual, model.learned?.[classKind]),
		...own,
		...pinned,
		classKind,
		timer
	};
}

function withLearned(usual: Pace, learned: LearnedPace | undefined): Pace {
	if (!learned) return usual;
	const pace = stretched(usual, learned.factor);
	const figures = Object.entries(learned.figures) as [PaceFigure, LearnedRatio][];
	const ratios = (of: Record<string, LearnedRatio>) =>
		Object.fromEntries(Object.entries(of).map(([key, { ratio }]) => [key, ratio]));
	return {
		...pace,
		...Object.fromEntries(
			figures.map(([figure, { ratio }]) => {
				const { min, max } = PACE_LIMITS[figure];
				return [figure, Math.min(max, Math.max(min, pace[figure] * ratio))];
			})
		),
		movements: ratios(learned.movements)
	};
}

/** Origin of a figure: set by hand, learned from a number of observations, or usual. */
export interface Provenance {
	from: 'said' | 'learned' | 'usual';
	usualSeconds: number;
	/** How many of the teacher's own it was learned from; 0 where it moved with the pace as a whole. */
	times: number;
}

/** Where each figure of a teacher's pace comes from, in the kind of class that they usually give. */
export function provenances(model: PaceModel): Record<PaceFigure, Provenance> {
	const { learned: _learned, ...said } = model;
	const usual = paceOf({ ...said, figures: {} });
	const learned = model.learned?.[usual.classKind];
	return Object.fromEntries(
		(Object.keys(PACE_LIMITS) as PaceFigure[]).map((figure) => [
			figure,
			{
				from: model.figures[figure] ? 'said' : learned ? 'learned' : 'usual',
				usualSeconds: usual[figure],
				times: learned?.figures[figure]?.times ?? 0
			}
		])
	) as Record<PaceFigure, Provenance>;
}

/** How far a whole class may be from what is planned: standard deviation of the logarithm of their ratio. */
export function classLogSd(model: PaceModel, pinned: PaceChanges = {}): number {
	const chosen = pinned.classKind ?? model.classKind;
	const learned = model.learned?.[chosen ?? USUAL_KIND];
	if (learned) return learned.logSd;
	return chosen ? KINDS[chosen].logSd : UNKNOWN_KIND_LOG_SD;
}

/** Sets the pace by hand; undefined fields return to the usual value. */
export function withPaceSaid(model: PaceModel, said: PaceSaid): PaceModel {
	const { classKind = model.classKind, timer = model.timer, ...seconds } = said;
	const next: PaceModel['figures'] = { ...model.figures };
	for (const [key, meanSeconds] of Object.entries(seconds) as [PaceFigure, number | undefined][]) {
		if (meanSeconds === undefined) delete next[key];
		else next[key] = { meanSeconds, varies: USUALLY_VARIES[key], observations: 0 };
	}
	return {
		...(classKind ? { classKind } : {}),
		...(timer ? { timer } : {}),
		...(model.learns === false ? { learns: false } : {}),
		figures: next
	};
}

/** Whether the pace is to be learned from what was taught. */
export function withLearning({ learns: _before, ...model }: PaceModel, learns: boolean): PaceModel {
	return learns ? model : { ...model, learns: false };
}

/** A change of figures, where undefined takes one back. */
export type PaceSaid = { [K in keyof PaceChanges]?: PaceChanges[K] | undefined };

/** The figures of a teacher that are not the usual ones. */
export function paceChangesOf({ classKind, timer, figures }: PaceModel): PaceChanges {
	return {
		...(classKind ? { classKind } : {}),
		...(timer ? { timer } : {}),
		...Object.fromEntries(Object.entries(figures).map(([key, entry]) => [key, entry.meanSeconds]))
	};
}

export const paceModelSchema = object({
	classKind: string().oneOf(CLASS_KINDS),
	timer: boolean(),
	learns: boolean(),
	figures: object(
		Object.fromEntries(
			Object.entries(PACE_LIMITS).map(([figure, { min, max }]) => [
				figure,
				object({
					meanSeconds: number().min(min).max(max).required(),
					varies: number().min(0).max(3).required(),
					observations: number().integer().min(0).required()
				})
					.noUnknown()
					.default(undefined)
			])
		)
	)
		.noUnknown()
		.required()
})
	.noUnknown()
	.required();

/** How much was explained, in version 2, with the seconds that a new shape took on top of getting into it. */
const TALK = { brief: 3, ordinary: 13, detailed: 32 } as const;
const isTalk = (talk: unknown): talk is keyof typeof TALK =>
	typeof talk === 'string' && Object.hasOwn(TALK, talk);

/** Version 2 called a flowing class "brief talk". */
const kindOfTalk = (talk: unknown): Json =>
	isTalk(talk)
		? { classKind: talk === 'brief' ? 'flow' : talk }
		: talk === undefined
			? {}
			: { classKind: talk };

/** Seconds that a new shape took to be explained before version 3; on top of them came those of getting into it. */
export const explainedBefore = (talk: unknown): number => (isTalk(talk) ? TALK[talk] : TALK.ordinary);

/** Figures set by hand, brought from version 2 to 3: explaining is part of the set-up. */
export function paceChangesFrom2({ talk, ...figures }: Json): Json {
	const { setUpSeconds } = figures;
	return {
		...kindOfTalk(talk),
		...figures,
		...(typeof setUpSeconds === 'number' ? { setUpSeconds: setUpSeconds + explainedBefore(talk) } : {})
	};
}

/**
 * A pace as it is kept. 2: each figure with its spread and how often it was measured, where it was one number before.
 * 3: the kind of class in the place of how much is said, and explaining is part of the set-up.
 */
export const PACE_MODEL: DocumentKind = {
	name: 'pace',
	schema: paceModelSchema,
	steps: [
		({ talk, ...figures }) => ({
			...(talk === undefined ? {} : { talk }),
			figures: Object.fromEntries(
				Object.entries(figures).map(([figure, meanSeconds]) => [
					figure,
					{ meanSeconds, varies: USUALLY_VARIES[figure as PaceFigure] ?? 0, observations: 0 }
				])
			)
		}),
		({ talk, figures, ...rest }) => {
			const { setUpSeconds, ...others } = isObject(figures) ? figures : {};
			const explained =
				isObject(setUpSeconds) && typeof setUpSeconds.meanSeconds === 'number'
					? {
							setUpSeconds: {
								...setUpSeconds,
								meanSeconds: setUpSeconds.meanSeconds + explainedBefore(talk)
							}
						}
					: setUpSeconds === undefined
						? {}
						: { setUpSeconds };
			return {
				...kindOfTalk(talk),
				...rest,
				...(figures === undefined
					? {}
					: { figures: isObject(figures) ? { ...others, ...explained } : figures })
			};
		}
	]
};
