import type { Timeline } from '../clock';
import { WORKING_MODES, type Mode } from '../movement';
import { STRENGTH_FROM_EFFORT } from '../rules';

/** Moving about, fetching, explaining and listening: light. */
export const EFFORT_BETWEEN = 1;

/** Exertion (0-10) of working muscles by the effort of the form, 0 to 3. Common practice, no source. */
const EXERTION = [1.5, 3, 5, 7.5] as const;
/** Hanging in a shape, however deep: the muscles do nothing. Common practice, no source. */
const HANGING = 1;
/** From this length on a hold of one's own strength is harder at its end, by this much. Common practice, no source. */
const LONG_HOLD = { seconds: 30, more: 1 };

/**
 * Returns how hard a second of work is, 0-10: its exertion and not its depth. Resting is nothing, hanging in a shape is
 * light, muscles that work count by the effort of the form (0-3), and long holds more. What people say after class
 * replaces it.
 *
 * @param seconds of this stretch of work, on one side
 */
export function effortOfWork(mode: Mode, effort: number, seconds: number): number {
	if (mode === 'rest') return 0;
	if (!WORKING_MODES.has(mode)) return HANGING;
	const isLongHold = mode !== 'dynamic' && effort >= STRENGTH_FROM_EFFORT && seconds >= LONG_HOLD.seconds;
	return Math.min(10, EXERTION[effort as 0 | 1 | 2 | 3] + (isLongHold ? LONG_HOLD.more : 0));
}

/** Effort of a class before it is taught, 0-10: the mean over its seconds, not rounded; 0 for an empty one. */
export function plannedEffort(
	{ entries, totalSeconds }: Timeline,
	of: (itemId: string) => { mode: Mode; effort: number } | undefined
): number {
	if (totalSeconds === 0) return 0;
	let sum = 0;
	for (const { phase, itemId, fromSeconds, toSeconds } of entries) {
		const work = phase === 'work' && itemId !== null ? of(itemId) : undefined;
		const seconds = toSeconds - fromSeconds;
		sum += (work ? effortOfWork(work.mode, work.effort, seconds) : EFFORT_BETWEEN) * seconds;
	}
	return sum / totalSeconds;
}
