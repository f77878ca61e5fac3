import { number, object, string } from 'yup';
import { POSITIONS, type KitKind, type Position, type Tempo } from '../movement';

export const TALK_STYLES = ['brief', 'ordinary', 'detailed'] as const;
export type TalkStyle = (typeof TALK_STYLES)[number];

/**
 * How long the things take that are not the work itself, in seconds. The figures are medians observed
 * while classes were taught (about 640 timed segments, each to 4 s): common practice, no published source.
 */
export interface Pace {
	/** One slow held breath: observed 6-8. */
	heldBreathSeconds: number;
	/** One breath joined to a movement: observed 4-6, at most 7. */
	movingBreathSeconds: number;
	/** One spoken count: observed 1-1.5, at most 2.8. A count is not a breath. */
	countSeconds: number;
	/** One slow repetition by its size. */
	repetitionSeconds: Record<Tempo, number>;
	/** How much is explained. */
	talk: TalkStyle;
	/** Explaining a shape for the first time, on top of getting there. */
	explainSeconds: Record<TalkStyle, number>;
	/** What is left of the explanation on a second side or a second visit: observed about 60 %. */
	explainAgainFactor: number;
	/**
	 * What is left of it in the first round of a flow, where people move while it is said. Set so that a first round
	 * takes two to four times as long as a later one, which is what was observed.
	 */
	explainInFlowFactor: number;
	/** Getting into the shape once in the body position. With moving and explaining: observed 26 in the median. */
	setUpSeconds: number;
	/** Changing sides without a prop (observed 2-32) and with strap, blanket or block (11-33). */
	changeSidesSeconds: number;
	changeSidesWithPropSeconds: number;
	/** Fetching and placing, by kind: a block 8-12, an extra pillow 10, two rolled blankets 26. */
	fetchSeconds: Record<KitKind, number>;
	/** Changing the body position where {@link MOVE_SECONDS} has no figure of its own: middle half 8-16. */
	moveSeconds: number;
}

export const DEFAULT_PACE: Pace = {
	heldBreathSeconds: 7,
	movingBreathSeconds: 5,
	countSeconds: 1.25,
	repetitionSeconds: { small: 4.5, sweep: 5.5, large: 8, balance: 11.5, 'slow-switch': 13 },
	talk: 'ordinary',
	explainSeconds: { brief: 3, ordinary: 13, detailed: 32 },
	explainAgainFactor: 0.6,
	explainInFlowFactor: 0.5,
	setUpSeconds: 3,
	changeSidesSeconds: 12,
	changeSidesWithPropSeconds: 24,
	fetchSeconds: {
		block: 12,
		blanket: 13,
		strap: 12,
		bolster: 12,
		cushion: 10,
		chair: 14,
		'wall space': 0,
		belt: 12,
		weight: 12
	},
	moveSeconds: 10
};

/**
 * Changes of body position with a figure of their own, seconds, as `from>to`. Those marked observed come
 * from the same timings as the pace; the rest are set between them by how far the body travels up or down
 * (common practice, no source).
 */
const MOVE_SECONDS: Partial<Record<`${Position}>${Position}`, number>> = {
	'kneeling>quadruped': 10, // observed 6-14
	'quadruped>kneeling': 10,
	'seated>supine': 12, // observed 8-15
	'supine>seated': 14,
	'supine>quadruped': 24, // observed
	'supine>kneeling': 33, // observed
	'seated>wall-supine': 18, // observed 16-20
	'wall-supine>seated': 20,
	'wall-supine>supine': 12,
	'supine>wall-supine': 18,
	'supine>sidelying': 8,
	'sidelying>supine': 8,
	'supine>prone': 12,
	'prone>supine': 12,
	'prone>quadruped': 8,
	'quadruped>prone': 8,
	'supine>standing': 30,
	'standing>supine': 20,
	'wall-supine>standing': 34,
	'standing>wall-supine': 30,
	'wall-supine>quadruped': 26,
	'wall-supine>kneeling': 34,
	'seated>standing': 16,
	'standing>seated': 14,
	'prone>standing': 18
};

/** Seconds from one body position into another; 0 where nothing changes. */
export function moveSeconds(pace: Pace, from: Position, to: Position): number {
	if (from === to) return 0;
	const scale = pace.moveSeconds / DEFAULT_PACE.moveSeconds;
	return (MOVE_SECONDS[`${from}>${to}`] ?? DEFAULT_PACE.moveSeconds) * scale;
}

/** Figures that are set for one class by hand. */
export interface PaceChanges {
	talk?: TalkStyle;
	heldBreathSeconds?: number;
	movingBreathSeconds?: number;
	countSeconds?: number;
	setUpSeconds?: number;
	changeSidesSeconds?: number;
	changeSidesWithPropSeconds?: number;
	moveSeconds?: number;
}

export type PaceFigure = Exclude<keyof PaceChanges, 'talk'>;

/** What each figure may be, seconds: the least and the most that a plan takes. */
export const PACE_LIMITS: Record<PaceFigure, { min: number; max: number }> = {
	heldBreathSeconds: { min: 3, max: 15 },
	movingBreathSeconds: { min: 2, max: 12 },
	countSeconds: { min: 0.5, max: 4 },
	setUpSeconds: { min: 0, max: 60 },
	changeSidesSeconds: { min: 0, max: 120 },
	changeSidesWithPropSeconds: { min: 0, max: 120 },
	moveSeconds: { min: 0, max: 60 }
};

export const paceChangesSchema = object({
	talk: string().oneOf(TALK_STYLES),
	...Object.fromEntries(
		Object.entries(PACE_LIMITS).map(([figure, { min, max }]) => [figure, number().min(min).max(max)])
	)
})
	.noUnknown()
	.required();

/** Every pair of different positions has a figure; used by tests and by the settings screen. */
export function moveTable(pace: Pace): { from: Position; to: Position; seconds: number }[] {
	return POSITIONS.flatMap((from) =>
		POSITIONS.filter((to) => to !== from).map((to) => ({ from, to, seconds: moveSeconds(pace, from, to) }))
	);
}
