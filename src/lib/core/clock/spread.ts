import { doseRange, formOf, type DoseUnit, type FindMovement } from '../movement';
import { USUAL_PACE, variesOf, type PaceFigure, type PaceModel } from '../pace';
import type { Item } from '../plan';
import type { Phase, Timeline } from './clock';

/**
 * How much the stretches vary for which a pace has no figure, as standard deviations in shares of their planned time.
 * From the spread of the timings that the pace comes from (props 8-38 s): common practice, no published source.
 */
const VARIES = { fetch: 0.45, explain: 0.4, notice: 0.3, leave: 0.3, talk: 0.25, test: 0.3 };
const WORK_VARIES = { seconds: 0.03, repetitions: 0.12 };

/** The figure of a pace that says how much a stretch of such a phase, or of work in such a unit, varies. */
const FIGURE_OF_PHASE: Partial<Record<Phase, PaceFigure>> = {
	move: 'moveSeconds',
	setUp: 'setUpSeconds',
	change: 'changeSidesSeconds'
};
const FIGURE_OF_UNIT: Partial<Record<DoseUnit, PaceFigure>> = {
	counts: 'countSeconds',
	breaths: 'heldBreathSeconds',
	rounds: 'movingBreathSeconds'
};

function phaseVaries(phase: Exclude<Phase, 'work'>, pace: PaceModel): number {
	const figure = FIGURE_OF_PHASE[phase];
	return figure ? variesOf(pace, figure) : VARIES[phase as keyof typeof VARIES];
}

function workVaries(unit: DoseUnit, pace: PaceModel): number {
	const figure = FIGURE_OF_UNIT[unit];
	return figure ? variesOf(pace, figure) : WORK_VARIES[unit as keyof typeof WORK_VARIES];
}

/** What is the same all evening: how slowly this teacher breathes today, and how much they talk. */
export const BREATH_VARIES = 0.06;
export const TALK_VARIES = 0.15;

/** One independent stretch of a class for the model: its planned seconds and what makes it vary. */
export interface Stretch {
	seconds: number;
	varies: number;
	/** Shares in a factor that is the same for the whole class. */
	common: 'breath' | 'talk' | null;
}

export interface Spread {
	/** Planned time: the mean of the model. */
	meanSeconds: number;
	sdSeconds: number;
	/** Two classes of three end between these. */
	likelyFromSeconds: number;
	likelyToSeconds: number;
	/** Chance (0-1) that the class ends within its length. */
	onTime: number;
}

/** Every stretch of a timeline with its spread. */
export function stretches(
	timeline: Timeline,
	find: FindMovement,
	itemOf: (itemId: string) => Item | undefined,
	pace: PaceModel = USUAL_PACE
): Stretch[] {
	return timeline.entries.map(({ phase, itemId, byBreath, fromSeconds, toSeconds }) => {
		const seconds = toSeconds - fromSeconds;
		if (phase !== 'work') {
			const common = phase === 'explain' || phase === 'talk' ? ('talk' as const) : null;
			return { seconds, varies: phaseVaries(phase, pace), common };
		}
		const item = itemId === null ? undefined : itemOf(itemId);
		const movement = item && find(item.movement);
		const form = movement && formOf(movement, item.form);
		const own = form && item ? doseRange(form, item.mode, item.unit).unit : 'seconds';
		const unit = byBreath ? 'breaths' : own;
		const common = unit === 'breaths' || unit === 'rounds' ? ('breath' as const) : null;
		return { seconds, varies: workVaries(unit, pace), common };
	});
}

/**
 * When a class is likely to end. Each stretch takes its planned time on average and varies by itself; breath and talk
 * vary for the whole class besides. A sum of many stretches is close to normal, so mean and variance say it all.
 */
export function spread(parts: readonly Stretch[], lengthSeconds: number): Spread {
	let mean = 0;
	let variance = 0;
	const shared = { breath: 0, talk: 0 };
	for (const { seconds, varies, common } of parts) {
		mean += seconds;
		// a stretch in a common factor: (1 + own)(1 + common) has the variance own + common + own x common
		const both = common ? 1 + (common === 'breath' ? BREATH_VARIES : TALK_VARIES) ** 2 : 1;
		variance += (seconds * varies) ** 2 * both;
		if (common) shared[common] += seconds;
	}
	variance += (shared.breath * BREATH_VARIES) ** 2 + (shared.talk * TALK_VARIES) ** 2;
	const sd = Math.sqrt(variance);
	return {
		meanSeconds: mean,
		sdSeconds: sd,
		likelyFromSeconds: mean - sd,
		likelyToSeconds: mean + sd,
		onTime: sd === 0 ? Number(mean <= lengthSeconds) : normalProbability((lengthSeconds - mean) / sd)
	};
}

/**
 * Chance that a standard normal value is at most z.
 * Abramowitz & Stegun, Handbook of Mathematical Functions (1964), 7.1.26: error under 1.5e-7 (from memory).
 */
export function normalProbability(z: number): number {
	const x = Math.abs(z) / Math.SQRT2;
	const t = 1 / (1 + 0.3275911 * x);
	const poly =
		t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
	const erf = 1 - poly * Math.exp(-x * x);
	return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** "4 times out of 10": a chance as people say it; never always and never never. */
export function timesOutOfTen(chance: number): number {
	return Math.min(9, Math.max(1, Math.round(chance * 10)));
}
