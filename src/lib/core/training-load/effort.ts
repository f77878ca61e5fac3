import type { Timeline } from '../clock';
import { WORKING_MODES, type Mode } from '../movement';

/** Moving about, fetching, explaining and listening: light. */
export const EFFORT_BETWEEN = 1;

/**
 * How hard a second of work is, 0-10: resting is nothing, hanging in a shape is its intensity (1-5), and what the
 * muscles do themselves is twice that. Common practice, no source; what people say after class replaces it.
 */
export function effortOfWork(mode: Mode, intensity: number): number {
	if (mode === 'rest') return 0;
	return WORKING_MODES.has(mode) ? 2 * intensity : intensity;
}

/** Effort of a class before it is taught, 0-10: the mean over its seconds, not rounded; 0 for an empty one. */
export function plannedEffort(
	{ entries, totalSeconds }: Timeline,
	of: (itemId: string) => { mode: Mode; intensity: number } | undefined
): number {
	if (totalSeconds === 0) return 0;
	let sum = 0;
	for (const { phase, itemId, fromSeconds, toSeconds } of entries) {
		const work = phase === 'work' && itemId !== null ? of(itemId) : undefined;
		sum += (work ? effortOfWork(work.mode, work.intensity) : EFFORT_BETWEEN) * (toSeconds - fromSeconds);
	}
	return sum / totalSeconds;
}
