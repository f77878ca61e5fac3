import type { Timeline } from './timeline';

/** Where a class is most intense. */
export interface Peak {
	/** Middle of the time spent at that intensity, wherever its stretches lie; seconds from the beginning. */
	atSeconds: number;
	intensity: number;
}

/** The peak of a class by the intensity (1-5) of its items; null where nothing is done. */
export function peakOf(timeline: Timeline, intensityOf: (itemId: string) => number | undefined): Peak | null {
	let highest = 0;
	let seconds = 0;
	let moment = 0;
	for (const { phase, itemId, fromSeconds, toSeconds } of timeline.entries) {
		const intensity = phase === 'work' && itemId !== null ? (intensityOf(itemId) ?? 0) : 0;
		if (intensity === 0 || intensity < highest) continue;
		if (intensity > highest) seconds = moment = 0;
		highest = intensity;
		seconds += toSeconds - fromSeconds;
		moment += ((fromSeconds + toSeconds) / 2) * (toSeconds - fromSeconds);
	}
	return seconds > 0 ? { atSeconds: moment / seconds, intensity: highest } : null;
}
