import { number, object, string } from 'yup';
import type { DocumentKind } from '../validation';
import {
	DEFAULT_PACE,
	PACE_LIMITS,
	TALK_STYLES,
	type Pace,
	type PaceChanges,
	type PaceFigure,
	type TalkStyle
} from './pace';

/** What is known of one figure of a teacher's pace. */
export interface PaceEntry {
	meanSeconds: number;
	/** Standard deviation from one time to the next, as a share of the mean. */
	varies: number;
	/** How many times it was measured; 0 where the teacher said it. */
	observations: number;
}

/**
 * How long the things take that are not the work itself, with one teacher. It belongs to the teacher and is looked up
 * when a class is read; a class keeps only what was set for it by hand. What is left out has the usual figure.
 */
export interface PaceModel {
	talk?: TalkStyle;
	figures: Partial<Record<PaceFigure, PaceEntry>>;
}

/** A teacher of whom nothing is known yet. */
export const USUAL_PACE: PaceModel = { figures: {} };

/**
 * How much each figure varies before it was measured: standard deviations as shares of the mean, from the spread of the
 * timings that the pace comes from (middle half of position changes 8-16 s, side changes 2-32 s, slow breaths 6-8 s).
 * Common practice, no published source.
 */
export const USUALLY_VARIES: Record<PaceFigure, number> = {
	heldBreathSeconds: 0.1,
	movingBreathSeconds: 0.1,
	countSeconds: 0.2,
	setUpSeconds: 0.4,
	changeSidesSeconds: 0.45,
	changeSidesWithPropSeconds: 0.45,
	moveSeconds: 0.4
};

/** The figures that hold for a class: the usual ones, over them the teacher's, over them those of the class. */
export function paceOf({ talk, figures }: PaceModel = USUAL_PACE, pinned: PaceChanges = {}): Pace {
	const own = Object.fromEntries(
		Object.entries(figures).map(([figure, { meanSeconds }]) => [figure, meanSeconds])
	);
	return { ...DEFAULT_PACE, ...own, ...(talk ? { talk } : {}), ...pinned };
}

/** How much a figure varies with this teacher, as a share of its mean. */
export function variesOf({ figures }: PaceModel, figure: PaceFigure): number {
	return figures[figure]?.varies ?? USUALLY_VARIES[figure];
}

/** What a teacher says of their pace, by hand: a figure left undefined goes back to the usual one. */
export function withPaceSaid({ talk, figures }: PaceModel, said: PaceSaid): PaceModel {
	const { talk: newTalk = talk, ...seconds } = said;
	const next: PaceModel['figures'] = { ...figures };
	for (const [key, meanSeconds] of Object.entries(seconds) as [PaceFigure, number | undefined][]) {
		if (meanSeconds === undefined) delete next[key];
		else next[key] = { meanSeconds, varies: USUALLY_VARIES[key], observations: 0 };
	}
	return { ...(newTalk ? { talk: newTalk } : {}), figures: next };
}

/** A change of figures, where undefined takes one back. */
export type PaceSaid = { [K in keyof PaceChanges]?: PaceChanges[K] | undefined };

/** The figures of a teacher that are not the usual ones. */
export function paceChangesOf({ talk, figures }: PaceModel): PaceChanges {
	return {
		...(talk ? { talk } : {}),
		...Object.fromEntries(Object.entries(figures).map(([key, entry]) => [key, entry.meanSeconds]))
	};
}

export const paceModelSchema = object({
	talk: string().oneOf(TALK_STYLES),
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

/** A pace as it is kept. 2: each figure with its spread and how often it was measured, where it was one number before. */
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
		})
	]
};
